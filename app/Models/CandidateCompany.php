<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;

/**
 * A company that turned up in a source and is in no list.
 *
 * @property int $id
 * @property string $mark
 * @property string $name
 * @property string|null $domain
 * @property string|null $place
 * @property string|null $country
 * @property string|null $agency what shows that it is one
 * @property CarbonImmutable $last_at
 * @property CandidateState $state
 * @property int|null $account_id
 * @property int|null $intake_id by which it was accepted
 * @property-read Collection<int, FeedItem> $items
 * @property-read Intake|null $intake
 */
final class CandidateCompany extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['state' => CandidateState::class, 'last_at' => 'datetime'];

    /** @return HasMany<FeedItem, $this> */
    public function items(): HasMany
    {
        return $this->hasMany(FeedItem::class)->orderByDesc('at');
    }

    /** @return BelongsTo<Intake, $this> */
    public function intake(): BelongsTo
    {
        return $this->belongsTo(Intake::class);
    }
}
