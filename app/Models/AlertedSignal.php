<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A signal of which somebody was told, by any of their alerts; once.
 *
 * @property int $id
 * @property int $user_id
 * @property int|null $signal_id null: it was withdrawn
 * @property string $fingerprint of the signal
 * @property bool $on_today
 * @property bool $by_mail
 * @property bool $in_feed
 * @property CarbonImmutable $told_at
 * @property CarbonImmutable|null $seen_at
 * @property CarbonImmutable|null $mailed_at
 * @property-read Signal|null $signal
 */
final class AlertedSignal extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'told_at' => 'datetime', 'seen_at' => 'datetime', 'mailed_at' => 'datetime', 'on_today' => 'boolean',
        'by_mail' => 'boolean', 'in_feed' => 'boolean',
    ];

    /** @return BelongsTo<Signal, $this> */
    public function signal(): BelongsTo
    {
        return $this->belongsTo(Signal::class);
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> with the signals that are there still, the newest first
     */
    public function scopeTold(Builder $query, User $user): Builder
    {
        return $query->where('user_id', $user->id)->whereNotNull('signal_id')->with('signal.account')
            ->orderByDesc('id');
    }
}
