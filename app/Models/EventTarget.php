<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\EventTargetFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Spatie\Activitylog\LogOptions;
use Spatie\Activitylog\Traits\LogsActivity;

/**
 * An address of the team's own that is told of new reasons and results.
 *
 * @property int $id
 * @property string $name
 * @property string $address
 * @property string|null $secret with which what is sent is signed; without one nothing is
 * @property bool $paused
 * @property CarbonImmutable|null $created_at
 */
final class EventTarget extends Model
{
    /** @use HasFactory<EventTargetFactory> */
    use HasFactory;

    use LogsActivity;

    protected $guarded = [];

    protected $hidden = ['secret'];

    /** @var array<string, string> */
    protected $casts = ['paused' => 'boolean', 'secret' => 'encrypted'];

    /** @return HasMany<EventDelivery, $this> */
    public function deliveries(): HasMany
    {
        return $this->hasMany(EventDelivery::class);
    }

    public function getActivitylogOptions(): LogOptions
    {
        return LogOptions::defaults()->logOnly(['name', 'address', 'paused'])->logOnlyDirty()->dontSubmitEmptyLogs();
    }
}
