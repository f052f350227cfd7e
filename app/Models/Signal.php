<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Luftig\Core\Signal\Kind;

/**
 * Something dated that happened.
 *
 * @property array<string, mixed>|null $facts the raw facts behind its strength
 */
final class Signal extends Model
{
    protected $guarded = [];

    protected $casts = ['kind' => Kind::class, 'occurred_at' => 'datetime', 'since' => 'datetime', 'seen_at' => 'datetime', 'facts' => 'array', 'strength_given' => 'boolean'];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return BelongsTo<Contact, $this> */
    public function contact(): BelongsTo
    {
        return $this->belongsTo(Contact::class);
    }
}
