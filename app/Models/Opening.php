<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A role that an account seeks, told from one or several postings.
 *
 * @property int $id
 * @property int $account_id
 * @property string $mark
 * @property string $title
 * @property string|null $place
 * @property string|null $type
 * @property string|null $text
 * @property CarbonImmutable $since
 * @property CarbonImmutable $newest_at
 * @property CarbonImmutable|null $closed_at
 * @property int $postings
 * @property string|null $agency what shows that an agency seeks
 * @property int $functions a set
 */
final class Opening extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['since' => 'datetime', 'newest_at' => 'datetime', 'closed_at' => 'datetime'];

    /**
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeOpen(Builder $query): Builder
    {
        return $query->where(
            fn (Builder $either) => $either->whereNull('closed_at')->orWhere('closed_at', '>', now()),
        );
    }

    /** @return HasMany<FeedItem, $this> */
    public function items(): HasMany
    {
        return $this->hasMany(FeedItem::class)->orderBy('at');
    }
}
