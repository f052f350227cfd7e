<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Where one of us worked, studied, lived, or is a member.
 *
 * @property int $id
 * @property int $user_id
 * @property string $kind position, school, association or place
 * @property string $name
 * @property string|null $title
 * @property int $reading what the title says, packed
 * @property int|null $account_id
 * @property CarbonImmutable|null $since
 * @property CarbonImmutable|null $until
 * @property int|null $brought_by
 * @property-read User $user
 * @property-read Account|null $account
 */
final class Station extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['since' => 'date', 'until' => 'date'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }
}
