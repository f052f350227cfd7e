<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** What an industry label of a file stands for; without a code it is still to decide. */
final class IndustryLabel extends Model
{
    protected $guarded = [];
}
