<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\LookUpRunFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Some people who are asked for, one after the other, until each has an address or nobody knows one; or figures of
 * companies.
 *
 * @property int $id
 * @property int $offer_id
 * @property int $user_id
 * @property int|null $list_id
 * @property string $name
 * @property int|null $standing_order_id that began it
 * @property bool $accepts_doubtful
 * @property float|null $most credits
 * @property string $state queued, running, stopped or finished
 * @property string|null $worker
 * @property string|null $problem
 * @property list<int>|null $left_out services that failed too often, until somebody goes on with it
 * @property CarbonImmutable $created_at
 * @property CarbonImmutable $updated_at
 * @property CarbonImmutable|null $finished_at
 * @property-read User $user
 */
final class LookUpRun extends Model
{
    public const QUEUED = 'queued';

    public const RUNNING = 'running';

    public const STOPPED = 'stopped';

    public const FINISHED = 'finished';

    /** @use HasFactory<LookUpRunFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['accepts_doubtful' => 'boolean', 'most' => 'float', 'finished_at' => 'datetime',
        'left_out' => 'array'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<LookUp, $this> */
    public function lookUps(): HasMany
    {
        return $this->hasMany(LookUp::class);
    }

    /** Who is asked for, with what came of it. */
    public function people(): Builder
    {
        return DB::table('looked_up')->where('look_up_run_id', $this->id);
    }

    /** Which figures of whom are asked for, with what came of it. */
    public function figures(): Builder
    {
        return DB::table('asked_figures')->where('look_up_run_id', $this->id);
    }

    public function isOpen(): bool
    {
        return $this->state === self::QUEUED || $this->state === self::RUNNING;
    }

    public function spent(): float
    {
        return (float) $this->lookUps()->sum('price');
    }
}
