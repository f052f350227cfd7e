<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\OfferFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * What we sell, with its own rules.
 *
 * @property int $id
 * @property string $name
 * @property string|null $about
 * @property string|null $question with which a draft ends
 * @property int|null $answers_agreed_by a lead who agreed that those who answered are examples for everybody
 * @property CarbonImmutable|null $answers_agreed_at
 * @property-read RuleSet|null $rules
 * @property-read User|null $agreedBy
 * @property-read Collection<int, RuleSet> $ruleSets
 */
final class Offer extends Model
{
    /** @use HasFactory<OfferFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['answers_agreed_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function agreedBy(): BelongsTo
    {
        return $this->belongsTo(User::class, 'answers_agreed_by');
    }

    /** @return HasOne<RuleSet, $this> the rules in force */
    public function rules(): HasOne
    {
        return $this->hasOne(RuleSet::class)->latestOfMany('version');
    }

    /** @return HasMany<RuleSet, $this> */
    public function ruleSets(): HasMany
    {
        return $this->hasMany(RuleSet::class)->orderByDesc('version');
    }
}
