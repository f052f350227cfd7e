<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\AttributeFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;

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
}
