<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\StoryFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * What we did for a customer, told as proof (rule 21).
 *
 * @property int $id
 * @property int $offer_id
 * @property int|null $account_id the customer, where it is an account
 * @property int|null $user_id
 * @property string $name among us
 * @property bool $named whether the customer may be named
 * @property CarbonImmutable|null $told_from since when it may be told; null: not yet
 * @property list<string> $industries ISIC codes of the customer
 * @property int|null $headcount
 * @property string|null $country
 * @property list<string> $technologies
 * @property array<string, array{customer: string, problem: string, done: string, result: string}> $words by language
 * @property-read Account|null $account
 * @property-read Offer $offer
 */
final class Story extends Model
{
    /** @use HasFactory<StoryFactory> */
    use HasFactory;

    use SoftDeletes;

    protected $guarded = [];

    /** @var array<string, mixed> */
    protected $attributes = ['industries' => '[]', 'technologies' => '[]', 'named' => false];

    /** @var array<string, string> */
    protected $casts = [
        'named' => 'boolean', 'told_from' => 'date', 'industries' => 'array', 'technologies' => 'array',
        'words' => 'array',
    ];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }

    public function mayBeTold(): bool
    {
        return $this->told_from !== null && $this->told_from <= today();
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> that may be told
     */
    public function scopeTold(Builder $query): Builder
    {
        return $query->where('told_from', '<=', today());
    }
}
