<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A row that did not come in, and why.
 *
 * @property list<string> $row
 * @property int $id
 * @property int $intake_id
 * @property int $line
 * @property string $reason
 * @property bool $waits for somebody to say what is meant; else it is refused for good
 */
final class IntakeRejection extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['row' => 'array', 'waits' => 'boolean'];
}
