<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\ReasonFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Why to approach a contact now, frozen with what it rests on (rule 19).
 *
 * @property array<string, mixed> $evidence
 * @property int $id
 * @property int $offer_id
 * @property int $account_id
 * @property int|null $contact_id
 * @property int $user_id
 * @property string $words
 * @property string|null $channel
 * @property CarbonImmutable $expires_on
 * @property CarbonImmutable|null $created_at
 * @property-read Offer $offer
 * @property-read Account $account
 * @property-read Contact|null $contact
 * @property-read User $user
 * @property-read Collection<int, Approach> $approaches
 */
final class Reason extends Model
{
    /** @use HasFactory<ReasonFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['evidence' => 'array', 'expires_on' => 'date'];

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }

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

    /** @return HasMany<Approach, $this> */
    public function approaches(): HasMany
    {
        return $this->hasMany(Approach::class)->latest('made_at');
    }

    /** Nothing can be made of it any more: its day has come, or what it rests on turned out to be wrong. */
    public function isExpired(): bool
    {
        return $this->expires_on <= today() || $this->isStruck();
    }

    public function isStruck(): bool
    {
        return StruckSignal::query()->whereIn('id', array_column($this->evidence['signals'] ?? [], 'id'))->exists();
    }

    /** @param  Builder<self>  $query */
    private static function whereSound(Builder $query): void
    {
        $query->where('expires_on', '>', today())->whereNotExists(
            fn ($struck) => $struck->from('struck_signals')
                ->whereColumn('struck_signals.account_id', 'reasons.account_id')
                ->whereRaw("JSON_CONTAINS(JSON_EXTRACT(reasons.evidence, '$.signals[*].id'), struck_signals.id)"),
        );
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeInState(Builder $query, string $state): Builder
    {
        return match ($state) {
            'used' => $query->has('approaches'),
            'open' => $query->whereHas('approaches', fn (Builder $made) => $made->whereNull('result')),
            'expired' => $query->doesntHave('approaches')->whereNot(self::whereSound(...)),
            default => $query->doesntHave('approaches')->where(self::whereSound(...)),
        };
    }
}
