<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;

/**
 * Since when, until when an account is a customer; whether among the best.
 *
 * @property int $id
 * @property int $account_id
 * @property CarbonImmutable|null $since
 * @property CarbonImmutable|null $until
 * @property bool $best
 */
final class CustomerPeriod extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['since' => 'date', 'until' => 'date', 'best' => 'boolean'];

    public function covers(CarbonInterface $day): bool
    {
        return ($this->since === null || $this->since <= $day) && ($this->until === null || $this->until >= $day);
    }
}
