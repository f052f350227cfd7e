<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Luftig\Core\Reach\RelationStrength;

/**
 * Somebody in the address book of one of us.
 *
 * @property int $id
 * @property int $user_id whose address book
 * @property int|null $contact_id
 * @property string $person
 * @property string|null $email
 * @property string|null $profile
 * @property string|null $domain
 * @property CarbonImmutable|null $since
 * @property int|null $exchanges
 * @property CarbonImmutable|null $last_exchange
 * @property string|null $source
 * @property int|null $brought_by
 * @property-read User $user
 * @property-read Contact|null $contact
 */
final class Relation extends Model
{
    private const DAYS_IN_MONTH = 30.4375;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['since' => 'date', 'last_exchange' => 'date'];

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

    /** Rule 10. */
    public function strength(): float
    {
        return RelationStrength::ofConnection(
            $this->exchanges,
            $this->last_exchange === null
                ? null
                : max(0.0, $this->last_exchange->diffInDays(now(), false) / self::DAYS_IN_MONTH),
        );
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> that somebody brought, or that others brought of theirs
     */
    public function scopeSeenBy(Builder $query, User $user): Builder
    {
        return $query
            ->where(fn (Builder $either) => $either->where('brought_by', $user->id)->orWhere('user_id', $user->id));
    }
}
