<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A signal that somebody struck out, as it was; it does not come in again.
 *
 * @property int $id the signal's
 * @property string $fingerprint
 * @property int $account_id
 * @property array<string, mixed> $row
 * @property list<array<string, mixed>> $sources
 * @property string $reason
 * @property int|null $user_id
 * @property CarbonImmutable $struck_at
 * @property-read User|null $user
 */
final class StruckSignal extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['row' => 'array', 'sources' => 'array', 'struck_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
