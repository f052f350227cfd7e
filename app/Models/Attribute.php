<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\AttributeFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * A fact that the team defined for itself; confidence is that of its source.
 *
 * @property int $id
 * @property string $name
 * @property float $confidence
 */
final class Attribute extends Model
{
    /** @use HasFactory<AttributeFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $guarded = [];

    /** What accounts have of a fact, each value once; of all facts where none is named. */
    public static function values(string $name = ''): Builder
    {
        return DB::table('account_attribute')->join('attributes', 'attributes.id', '=', 'attribute_id')
            ->when($name !== '', fn (Builder $query) => $query->where('name', $name))
            ->distinct()->orderBy('value')->select('value');
    }
}
