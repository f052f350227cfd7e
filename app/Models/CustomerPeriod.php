<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;

/** Since when, until when an account is a customer; whether among the best. */
final class CustomerPeriod extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['since' => 'date', 'until' => 'date', 'best' => 'boolean'];

    public function covers(CarbonInterface $day): bool
    {
        return ($this->since === null || $this->since <= $day) && ($this->until === null || $this->until >= $day);
    }
}
