<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\KeepOutFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Spatie\Activitylog\LogOptions;
use Spatie\Activitylog\Traits\LogsActivity;

/**
 * Who must not be approached, why, until when.
 *
 * @property int $id
 * @property KeepOutType $type
 * @property string $value
 * @property int|null $account_id
 * @property int|null $contact_id
 * @property string $reason
 * @property CarbonImmutable|null $until
 * @property int|null $user_id
 * @property-read Account|null $account
 * @property-read Contact|null $contact
 * @property-read User|null $user
 */
final class KeepOut extends Model
{
    /** @use HasFactory<KeepOutFactory> */
    use HasFactory;

    use LogsActivity;

    /** Of a person: nothing of theirs leaves but by an admin. */
    public const ASKED = 'asked not to be contacted';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['until' => 'date', 'type' => KeepOutType::class];

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

    /**
     * Entries that hold on a day.
     *
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeInForce(Builder $query): Builder
    {
        return $query->where(fn (Builder $q) => $q->whereNull('until')->orWhere('until', '>=', now()->toDateString()));
    }

    public function getActivitylogOptions(): LogOptions
    {
        return LogOptions::defaults()->logAll()->logOnlyDirty()->dontSubmitEmptyLogs();
    }
}
