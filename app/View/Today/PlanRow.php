<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Models\Contact;
use App\Models\Standing;
use App\View\Line;
use App\View\Reach;
use Luftig\Core\Reason\Draft;

/** An approach that is planned. */
final readonly class PlanRow
{
    /**
     * @param  list<Line>  $lines
     * @param  list<Contact>  $others  whom rule 9 takes beside the first
     */
    public function __construct(public Standing $standing, public array $lines, public ?Contact $contact, public ?Reach $reach, public Draft $draft, public array $others = [])
    {
    }
}
