<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Luftig\Core\Buying\Part;

/**
 * What a person set by hand in the buying group of an account; it stays over every computation and intake.
 *
 * @property int $id
 * @property int $offer_id
 * @property int $account_id
 * @property int $contact_id
 * @property Part|null $part
 * @property bool $removed
 * @property int|null $reports_to
 * @property int|null $user_id
 * @property-read User|null $user
 */
final class GroupPlace extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['part' => Part::class, 'removed' => 'boolean'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
