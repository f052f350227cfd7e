<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Concerns\HasUuids;
use Illuminate\Database\Eloquent\Prunable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * That a target is to be told of something, and how far that is. What is told is read when it is sent, so that nothing
 * of people is kept here.
 *
 * @property string $id also that of the event
 * @property int $event_target_id
 * @property string $type reason or result
 * @property int $subject_id of the reason, or of the approach
 * @property int $tries
 * @property string $state waits, sent, failed or void
 * @property string|null $problem
 * @property CarbonImmutable|null $next_at
 * @property CarbonImmutable|null $created_at
 * @property-read EventTarget $target
 */
final class EventDelivery extends Model
{
    use HasUuids;
    use Prunable;

    public const WAITS = 'waits';

    public const SENT = 'sent';

    public const FAILED = 'failed';

    /** What it was to tell of is gone. */
    public const VOID = 'void';

    private const DAYS = 30;

    public const UPDATED_AT = null;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['next_at' => 'datetime'];

    /** @return BelongsTo<EventTarget, $this> */
    public function target(): BelongsTo
    {
        return $this->belongsTo(EventTarget::class, 'event_target_id');
    }

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return self::query()->where('created_at', '<', now()->subDays(self::DAYS));
    }
}
