<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\PositionFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A present or past position of a contact.
 *
 * @property int $id
 * @property int $contact_id
 * @property int|null $account_id
 * @property string|null $company
 * @property string|null $title
 * @property int $reading what the title says, packed
 * @property string|null $company_key
 * @property bool $by_hand
 * @property CarbonImmutable|null $since
 * @property CarbonImmutable|null $until
 * @property-read Account|null $account
 */
final class Position extends Model
{
    /** @use HasFactory<PositionFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['since' => 'date', 'until' => 'date', 'by_hand' => 'boolean'];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /**
     * In SQL, that a position is at a company that is no account. Not “IS NULL”: the database would rather look through
     * all of those than look a company up.
     */
    public static function isAtNoAccount(string $alias = 'positions'): string
    {
        return "COALESCE($alias.account_id, 0) = 0";
    }

    /** The company by domain or name, where it is not the one a contact is at. */
    public function elsewhere(Contact $contact): ?string
    {
        return $this->account_id === $contact->account_id ? null : $this->account->domain ?? $this->company;
    }
}
