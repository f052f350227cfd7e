<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\FeedFactory;
use Illuminate\Auth\Authenticatable as HasIdentity;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Laravel\Sanctum\HasApiTokens;

/**
 * A source that is asked by itself: where, how often, in which format, and how sure it is.
 *
 * @property int $id
 * @property string $name
 * @property string $format
 * @property string $address
 * @property int $rhythm minutes
 * @property float $confidence 0–1
 * @property bool $paused
 * @property array<string, mixed>|null $cursor
 * @property CarbonImmutable|null $next_at
 * @property string|null $problem what went wrong last, in a sentence
 * @property int $failures in a row
 * @property int|null $user_id
 * @property CarbonImmutable|null $created_at
 */
final class Feed extends Model implements Authenticatable
{
    /** Of what is posted to us instead of being asked for. */
    public const WEBHOOK = 'webhook';

    use HasApiTokens;

    /** @use HasFactory<FeedFactory> */
    use HasFactory;

    use HasIdentity;
    use SoftDeletes;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['cursor' => 'array', 'next_at' => 'datetime', 'paused' => 'boolean'];

    public function isPosted(): bool
    {
        return $this->format === self::WEBHOOK;
    }

    /** Neither what posts to us, nor what comes in files. */
    public function isAsked(): bool
    {
        return ! $this->isPosted() && $this->address !== '';
    }

    /** @return HasMany<FeedRun, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(FeedRun::class)->latest('id');
    }

    /** @return HasMany<FeedItem, $this> */
    public function items(): HasMany
    {
        return $this->hasMany(FeedItem::class)->latest('id');
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeDue(Builder $query): Builder
    {
        return $query->where('paused', false)->where('format', '<>', self::WEBHOOK)->where('address', '<>', '')
            ->where(fn (Builder $either) => $either->whereNull('next_at')->orWhere('next_at', '<=', now()));
    }
}
