<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model as Eloquent;

/** What all records have. */
abstract class Model extends Eloquent
{
    use ReadsQuickly;
}
