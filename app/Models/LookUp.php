<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\LookUpFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Luftig\Core\Reach\AddressState;

/**
 * A line of the ledger: who or what was asked for, of which service, what came, and what it took.
 *
 * @property int $id
 * @property int $look_up_service_id
 * @property int|null $contact_id
 * @property int|null $account_id where a figure of it was asked for
 * @property Figure|null $fact which figure
 * @property int|null $look_up_run_id
 * @property int|null $user_id
 * @property string $mark
 * @property string $state asked, found, nothing or failed
 * @property string|null $value
 * @property AddressState|null $verdict of the checker
 * @property float $price credits; while it is asked, what it may take
 * @property string|null $country
 * @property int|null $size class of the house
 * @property CarbonImmutable $asked_at
 * @property CarbonImmutable|null $answered_at
 * @property-read LookUpService $service
 * @property-read Contact|null $contact
 * @property-read Account|null $account
 * @property-read User|null $user
 */
final class LookUp extends Model
{
    /** Days for which nobody is asked for twice of one service (rule 23). */
    public const HOLDS = 180;

    public const ASKED = 'asked';

    public const FOUND = 'found';

    public const NOTHING = 'nothing';

    public const FAILED = 'failed';

    /** @use HasFactory<LookUpFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'asked_at' => 'datetime', 'answered_at' => 'datetime', 'price' => 'float', 'verdict' => AddressState::class,
        'fact' => Figure::class,
    ];

    /** @return BelongsTo<LookUpService, $this> */
    public function service(): BelongsTo
    {
        return $this->belongsTo(LookUpService::class, 'look_up_service_id');
    }

    /** @return BelongsTo<Contact, $this> */
    public function contact(): BelongsTo
    {
        return $this->belongsTo(Contact::class);
    }

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** Answered, for better or worse: it is not asked again while it holds. */
    public function isAnswered(): bool
    {
        return $this->state === self::FOUND || $this->state === self::NOTHING;
    }

    /**
     * Those that still hold.
     *
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeLately(Builder $query): Builder
    {
        return $query->where('asked_at', '>', now()->subDays(self::HOLDS));
    }
}
