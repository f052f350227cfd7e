<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\ApproachFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Spatie\Activitylog\LogOptions;
use Spatie\Activitylog\Traits\LogsActivity;

/**
 * That a contact was approached, and what came of it (rule 19).
 *
 * @property array<string, mixed> $snapshot what rule 20 learns from, as it was at the time
 * @property int $id
 * @property int $offer_id
 * @property int $account_id
 * @property int|null $contact_id
 * @property int|null $reason_id
 * @property int|null $user_id
 * @property ApproachKind $kind
 * @property CarbonImmutable $made_at
 * @property string|null $next_step
 * @property CarbonImmutable|null $next_step_on
 * @property Result|null $result
 * @property CarbonImmutable|null $result_at
 * @property CarbonImmutable|null $later_on
 * @property string|null $instead
 * @property array<string, mixed>|null $corrected what its result corrected, as it was before
 * @property-read Account $account
 * @property-read Contact|null $contact
 * @property-read User|null $user
 * @property-read Reason|null $reason
 */
final class Approach extends Model
{
    /** @use HasFactory<ApproachFactory> */
    use HasFactory;

    use LogsActivity;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'kind' => ApproachKind::class, 'result' => Result::class, 'made_at' => 'datetime', 'result_at' => 'datetime',
        'next_step_on' => 'date', 'later_on' => 'date', 'snapshot' => 'array',
        'corrected' => 'array',
    ];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return BelongsTo<Contact, $this> */
    public function contact(): BelongsTo
    {
        return $this->belongsTo(Contact::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Reason, $this> */
    public function reason(): BelongsTo
    {
        return $this->belongsTo(Reason::class);
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> made by somebody today
     */
    public function scopeTodayBy(Builder $query, User $user): Builder
    {
        return $query->where('user_id', $user->id)->where('made_at', '>=', $user->dayBegan());
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> made by somebody since Monday
     */
    public function scopeThisWeekBy(Builder $query, User $user): Builder
    {
        return $query->where('user_id', $user->id)->where('made_at', '>=', $user->weekBegan());
    }

    public function getActivitylogOptions(): LogOptions
    {
        return LogOptions::defaults()->logAll()->logOnlyDirty()->dontSubmitEmptyLogs();
    }
}
