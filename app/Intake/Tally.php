<?php

declare(strict_types=1);

namespace App\Intake;

/** What became of some rows. */
final class Tally
{
    public int $created = 0;

    public int $updated = 0;

    public int $unchanged = 0;

    /** @var array<int, string> line → why it was refused */
    public array $rejected = [];

    /** @var array<int, string> line → why it waits for somebody to say what is meant */
    public array $waiting = [];

    public function add(self $other): void
    {
        $this->created += $other->created;
        $this->updated += $other->updated;
        $this->unchanged += $other->unchanged;
        $this->rejected += $other->rejected;
        $this->waiting += $other->waiting;
    }
}
