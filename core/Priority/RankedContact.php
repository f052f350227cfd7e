<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

use Luftig\Core\Buying\Part;
use Luftig\Core\Buying\RoleOfContact;

/** A contact who takes part in buying, with what made the priority (rule 8). */
final readonly class RankedContact
{
    /**
     * @param  float  $push  of the contact, not of the account
     * @param  float  $access  0–1
     * @param  float  $priority  0–100
     * @param  float  $own  the part of the push that is from their own signals
     */
    public function __construct(
        public int $id,
        public RoleOfContact $role,
        public float $push,
        public float $access,
        public float $priority,
        public Part $part,
        public float $own = 0.0,
    ) {
    }
}
