<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;

/**
 * One time that a feed was asked, and what came.
 *
 * @property int $id
 * @property int $feed_id
 * @property CarbonImmutable $started_at
 * @property CarbonImmutable|null $finished_at
 * @property int $came
 * @property int $created
 * @property int $changed
 * @property int $same
 * @property int $gone
 * @property int $waiting
 * @property int $refused
 * @property int $signals
 * @property string|null $problem
 */
final class FeedRun extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['started_at' => 'datetime', 'finished_at' => 'datetime'];
}
