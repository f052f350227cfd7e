<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

/**
 * Points of a contact and their curve (rule 8): −30 + 25·Role·(1 + max(push, −1)) + 15·Access. Whoever has live signals
 * of their own and a function match of .4 or more is worth at least a champion for these: their own push counts
 * 25·max(Role, .5).
 */
final readonly class ContactPoints
{
    public const START = -30.0;

    public const ROLE = 25.0;

    public const ACCESS = 15.0;

    /** The least role for what somebody did themselves. */
    public const OWN = .5;

    /** From this match on. */
    public const MATCH = .4;

    private function __construct(public float $role, public float $push, public float $access)
    {
    }

    /**
     * @param  float  $role  0–1
     * @param  float  $push  of the contact (ContactPush)
     * @param  float  $access  0–1
     * @param  float  $own  the part of the push that is from their own signals
     * @param  float  $match  of their function, 0–1
     */
    public static function of(float $role, float $push, float $access, float $own = 0.0, float $match = 0.0): self
    {
        $more = $match >= self::MATCH ? self::ROLE * max(0.0, self::OWN - $role) * $own : 0.0;

        return new self(self::ROLE * $role, self::ROLE * $role * max($push, -1.0) + $more, self::ACCESS * $access);
    }

    public function total(): float
    {
        return self::START + $this->role + $this->push + $this->access;
    }

    /** Above 0 and below 100. */
    public function priority(): float
    {
        return Points::curve($this->total());
    }
}
