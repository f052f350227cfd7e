<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Two records that may be of one company or one person, and what was decided.
 *
 * @property int $id
 * @property string $record account or contact
 * @property int $first_id
 * @property int $second_id
 * @property float $score
 * @property list<string> $because
 * @property string $state open, same or separate
 * @property array<string, mixed>|null $moved what a merge moved, so that it can be undone
 * @property int|null $user_id
 * @property CarbonImmutable|null $updated_at
 * @property-read User|null $user
 */
final class Double extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['because' => 'array', 'moved' => 'array'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
