<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\ReservationFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A contact whom a rep has taken; nobody else takes them until it ends.
 *
 * @property int $id
 * @property int $contact_id
 * @property int $account_id
 * @property int $offer_id
 * @property int $user_id
 * @property CarbonImmutable $until
 * @property bool $planned by the day's plan, and not by hand
 * @property-read User $user
 * @property-read Contact $contact
 */
final class Reservation extends Model
{
    /** @use HasFactory<ReservationFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['until' => 'date', 'planned' => 'boolean'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Contact, $this> */
    public function contact(): BelongsTo
    {
        return $this->belongsTo(Contact::class);
    }
}
