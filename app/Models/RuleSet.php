<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One saved version of an offer's rules: the criteria of its target profile and what it changes in the catalogue.
 *
 * @property list<array<string, mixed>> $criteria
 * @property array<string, array<string, mixed>> $kinds
 */
final class RuleSet extends Model
{
    protected $guarded = [];

    protected $casts = ['criteria' => 'array', 'kinds' => 'array'];

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
