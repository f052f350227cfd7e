<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What an industry label of a file stands for; without a code it is still to decide.
 *
 * @property int $id
 * @property string $label
 * @property string|null $code
 * @property string|null $suggested
 * @property int|null $decided_by
 * @property-read Collection<int, AccountIndustry> $accounts
 */
final class IndustryLabel extends Model
{
    protected $guarded = [];

    /** @return HasMany<AccountIndustry, $this> */
    public function accounts(): HasMany
    {
        return $this->hasMany(AccountIndustry::class, 'label_id');
    }
}
