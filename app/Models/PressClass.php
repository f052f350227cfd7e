<?php

declare(strict_types=1);

namespace App\Models;

use Luftig\Core\Signal\Kind;

/**
 * What reports of the press are about, told by a text query (rule 25); the first that fits says the kind.
 *
 * @property int $id
 * @property string $name
 * @property Kind $kind
 * @property string $query
 * @property int $position
 */
final class PressClass extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['kind' => Kind::class];
}
