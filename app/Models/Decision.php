<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What a rep decided on an account: kept, dropped, or put off to a day.
 *
 * @property int $id
 * @property int $offer_id
 * @property int $account_id
 * @property int $user_id
 * @property string $decision
 * @property CarbonImmutable|null $until
 * @property-read User $user
 */
final class Decision extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['until' => 'date'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
