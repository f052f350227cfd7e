<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;

/**
 * What a feed brought, as it came and as it was read.
 *
 * @property int $id
 * @property int $feed_id
 * @property string $mark
 * @property string $content by which a change is told
 * @property ItemKind $kind
 * @property string $title
 * @property string|null $link
 * @property CarbonImmutable|null $at
 * @property array<string, mixed> $facts
 * @property list<array{at: string, before: array<string, mixed>}>|null $changes
 * @property ItemState $state
 * @property string|null $why
 * @property int|null $account_id
 * @property int|null $opening_id
 * @property CarbonImmutable|null $gone_at
 * @property CarbonImmutable $seen_at
 * @property CarbonImmutable|null $created_at
 * @property-read Feed $feed
 * @property-read Account|null $account
 * @property-read Collection<int, Signal> $signals
 */
final class FeedItem extends Model
{
    protected $guarded = [];

    protected $hidden = ['raw'];

    /** @var array<string, string> */
    protected $casts = [
        'kind' => ItemKind::class, 'state' => ItemState::class, 'facts' => 'array', 'changes' => 'array',
        'at' => 'datetime', 'gone_at' => 'datetime', 'seen_at' => 'datetime',
    ];

    /** @return BelongsTo<Feed, $this> */
    public function feed(): BelongsTo
    {
        return $this->belongsTo(Feed::class)->withTrashed();
    }

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return HasMany<Mention, $this> */
    public function mentions(): HasMany
    {
        return $this->hasMany(Mention::class)->orderByDesc('confidence');
    }

    /** @return BelongsToMany<Signal, $this> */
    public function signals(): BelongsToMany
    {
        return $this->belongsToMany(Signal::class, 'signal_sources')->withPivot('confidence', 'because');
    }

    /** What was seen last before then is kept as it was read, and no longer as it came. */
    public static function forgetRaw(CarbonImmutable $before): void
    {
        $nothing = (string) gzcompress('');
        self::query()->where('seen_at', '<', $before)->whereRaw('LENGTH(raw) > ?', [strlen($nothing)])
            ->update(['raw' => $nothing]);
    }

    /** As it came. */
    public function raw(): string
    {
        return (string) gzuncompress((string) $this->getRawOriginal('raw'));
    }
}
