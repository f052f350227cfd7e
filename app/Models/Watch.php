<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\WatchFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * A search that runs by itself.
 *
 * @property int $id
 * @property int $offer_id
 * @property int $user_id
 * @property string $name
 * @property string $subject accounts or contacts
 * @property string $search its address
 * @property Rhythm $rhythm
 * @property int $weekday on which it runs where it does weekly, from 1, Monday
 * @property int $hour of the watcher's day
 * @property string $time_zone
 * @property bool $mailed newcomers are mailed to the watcher
 * @property CarbonImmutable $ran_at
 * @property CarbonImmutable $next_at
 * @property-read User $user
 * @property-read Offer $offer
 */
final class Watch extends Model
{
    /** @use HasFactory<WatchFactory> */
    use HasFactory;

    use SoftDeletes;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'rhythm' => Rhythm::class, 'mailed' => 'boolean', 'ran_at' => 'datetime', 'next_at' => 'datetime',
    ];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }

    /** When it runs next. */
    public function nextAfter(CarbonImmutable $moment): CarbonImmutable
    {
        return $this->rhythm->after($moment, $this->hour, $this->time_zone, $this->weekday);
    }

    public function markRead(): void
    {
        DB::table('watch_finds')->where('watch_id', $this->id)->update(['unread' => false]);
    }

    /** What it found since it began, the newest first and unread before read. */
    public function newcomers(): Builder
    {
        return DB::table('watch_finds')->where('watch_id', $this->id)->whereNotNull('why')->orderByDesc('unread')
            ->orderByDesc('found_at')->orderBy('record_id');
    }
}
