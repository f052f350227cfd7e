<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\StandingOrderFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * That the look-ups which pay are bought each night, for so many credits a month.
 *
 * @property int $id
 * @property int $offer_id
 * @property int $user_id
 * @property float $credits a month
 * @property float|null $least priority that an account must have
 * @property bool $accepts_doubtful
 * @property-read Offer $offer
 * @property-read User $user
 */
final class StandingOrder extends Model
{
    /** @use HasFactory<StandingOrderFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['credits' => 'float', 'least' => 'float', 'accepts_doubtful' => 'boolean'];

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return HasMany<LookUpRun, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(LookUpRun::class);
    }

    /** Credits that it took this month. */
    public function spent(): float
    {
        return (float) LookUp::query()->whereIn('look_up_run_id', $this->runs()->select('id'))
            ->where('asked_at', '>=', now()->startOfMonth())->sum('price');
    }
}
