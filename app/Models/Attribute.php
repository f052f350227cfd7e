<?php

declare(strict_types=1);

namespace App\Models;

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
    public $timestamps = false;

    protected $guarded = [];
}
