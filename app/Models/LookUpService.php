<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\LookUpServiceFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * An outside service that finds addresses, says whether one works, or knows figures of companies.
 *
 * @property int $id
 * @property string $name
 * @property string $does find, check or know
 * @property string $driver how it is spoken with
 * @property string $address
 * @property string|null $secret what it knows us by
 * @property float $price credits for each that is found
 * @property int $position its place in the team's order
 * @property bool $paused
 */
final class LookUpService extends Model
{
    public const FINDS = 'find';

    public const CHECKS = 'check';

    public const KNOWS = 'know';

    /** @use HasFactory<LookUpServiceFactory> */
    use HasFactory;

    protected $guarded = [];

    protected $hidden = ['secret'];

    /** @var array<string, string> */
    protected $casts = ['paused' => 'boolean', 'price' => 'float', 'secret' => 'encrypted'];

    /** @return HasMany<LookUp, $this> */
    public function lookUps(): HasMany
    {
        return $this->hasMany(LookUp::class);
    }

    /**
     * Those that are asked, in the team's order.
     *
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeThat(Builder $query, string $does): Builder
    {
        return $query->where('does', $does)->where('paused', false)->orderBy('position')->orderBy('id');
    }
}
