<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What results spoke for, and whether a lead took it into the rules (rule 20).
 *
 * @property int $id
 * @property int $offer_id
 * @property int|null $user_id
 * @property int $prior_id the rules that a person had set, towards which it is drawn
 * @property bool $accepted
 * @property list<int> $approaches that it was learned from
 * @property array<string, array{float, float, float, float}> $lines line → before, after, low, high, in points
 * @property float $log_odds of an answer at 0 points
 * @property CarbonImmutable $created_at
 * @property-read User|null $user
 * @property-read RuleSet $prior
 */
final class Lesson extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['accepted' => 'boolean', 'approaches' => 'array', 'lines' => 'array'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<RuleSet, $this> */
    public function prior(): BelongsTo
    {
        return $this->belongsTo(RuleSet::class, 'prior_id');
    }
}
