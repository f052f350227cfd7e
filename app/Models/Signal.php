<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\SignalFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Support\Collection;
use Luftig\Core\Signal\Kind;

/**
 * Something dated that happened.
 *
 * @property array<string, mixed>|null $facts the raw facts behind its strength
 * @property int $id
 * @property int $account_id
 * @property int|null $contact_id
 * @property Kind $kind
 * @property string $title
 * @property CarbonImmutable $occurred_at
 * @property CarbonImmutable|null $since
 * @property float $strength
 * @property bool $strength_given
 * @property float $confidence
 * @property string|null $source
 * @property string|null $quote
 * @property string|null $link
 * @property CarbonImmutable|null $seen_at
 * @property string $fingerprint
 * @property bool $derived
 * @property bool $fed whether only feeds tell of it
 * @property int $concerns which functions it concerns, a set
 * @property int|null $offer_id
 * @property CarbonImmutable|null $created_at
 * @property-read Account $account
 * @property-read Contact|null $contact
 * @property-read Collection<int, FeedItem> $items
 */
final class Signal extends Model
{
    /** @use HasFactory<SignalFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'kind' => Kind::class, 'occurred_at' => 'datetime', 'since' => 'datetime', 'seen_at' => 'datetime',
        'facts' => 'array', 'strength_given' => 'boolean', 'derived' => 'boolean',
        'fed' => 'boolean',
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

    /** @return BelongsToMany<FeedItem, $this> what feeds brought of it */
    public function items(): BelongsToMany
    {
        return $this->belongsToMany(FeedItem::class, 'signal_sources')->withPivot('confidence', 'because')
            ->orderByDesc('at');
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> those of everybody and those that only an offer looks for
     */
    public function scopeOfOffer(Builder $query, Offer $offer): Builder
    {
        return $query->where(fn (Builder $either) => $either->whereNull('offer_id')->orWhere('offer_id', $offer->id));
    }
}
