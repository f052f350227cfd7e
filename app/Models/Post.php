<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** A present or past post of a contact. */
final class Post extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['since' => 'date', 'until' => 'date'];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }
}
