<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\AlertFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Luftig\Core\Signal\Kind;

/**
 * Of which new signals somebody wants to be told, and how.
 *
 * @property int $id
 * @property int $user_id
 * @property int $offer_id
 * @property list<string>|null $kinds null: all that count for the offer
 * @property AlertAbout $about
 * @property int|null $list_id
 * @property int|null $account_id
 * @property bool $on_today
 * @property bool $by_mail
 * @property bool $in_feed
 * @property CarbonImmutable|null $created_at
 * @property-read User $user
 * @property-read Offer $offer
 * @property-read KeptList|null $list
 * @property-read Account|null $account
 */
final class Alert extends Model
{
    /** @use HasFactory<AlertFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'kinds' => 'array', 'about' => AlertAbout::class, 'on_today' => 'boolean', 'by_mail' => 'boolean',
        'in_feed' => 'boolean',
    ];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }

    /** @return BelongsTo<KeptList, $this> */
    public function list(): BelongsTo
    {
        return $this->belongsTo(KeptList::class);
    }

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    public function isOf(Kind $kind): bool
    {
        return $this->kinds === null || in_array($kind->value, $this->kinds, true);
    }
}
