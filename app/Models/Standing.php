<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\StandingFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Luftig\Core\Signal\Timing;

/**
 * An account's computed row for an offer (rules 3 to 6).
 *
 * @property list<float|null> $criteria memberships in the order of the rule set's criteria
 * @property list<array{int, string, float, float, int, float, float|null}> $lines id, kind, freshness, novelty, place,
 *     push, share
 * @property list<array{0: int, 1: float, 2: string, 3?: int}>|null $contacts id, priority, part and place of the buyer
 *     role of those who take part in buying, the best first
 * @property float|null $best_contact
 * @property int $offer_id
 * @property int $account_id
 * @property int $rule_set_id
 * @property StandingState $state
 * @property string|null $cause
 * @property float $fit
 * @property float $fit_low
 * @property float $fit_high
 * @property float $coverage
 * @property float $push
 * @property float $access
 * @property float $points
 * @property float|null $priority
 * @property float|null $moved
 * @property float|null $later the priority in five working days; null: it will have none
 * @property CarbonImmutable|null $fades_on the first day on which a signal that may be said is no longer fresh
 * @property CarbonImmutable|null $act_by
 * @property CarbonImmutable $computed_at
 * @property-read Account $account
 * @property-read Offer $offer
 * @property-read RuleSet $ruleSet
 */
final class Standing extends Model
{
    /** @use HasFactory<StandingFactory> */
    use HasFactory;

    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'state' => StandingState::class, 'act_by' => 'date', 'fades_on' => 'date',
        'criteria' => 'array', 'lines' => 'array',
        'contacts' => 'array', 'computed_at' => 'datetime',
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

    /** @return BelongsTo<RuleSet, $this> */
    public function ruleSet(): BelongsTo
    {
        return $this->belongsTo(RuleSet::class);
    }

    /**
     * In accounts that are somebody's or nobody's. Asked for the other way round, so that the base goes along the order
     * that is wanted, and not along all accounts.
     *
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeOpenTo(Builder $query, User $user): Builder
    {
        return $query->whereNotIn(
            'standings.account_id', Account::query()->select('id')->where('owner_id', '<>', $user->id),
        );
    }

    public function timing(): float
    {
        return Timing::shown($this->push);
    }

    /** A live drag outweighs what speaks for the account. */
    public function isDragged(): bool
    {
        return $this->push < 0;
    }

    /** Where it stands, and why there: “Out: dropped by Mira”. */
    public function inWords(): string
    {
        return $this->state->label().($this->cause === null ? '' : ": {$this->cause}");
    }
}
