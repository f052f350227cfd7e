<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

/** Points of a contact and their curve (rule 8): −30 + 25·Role·(1 + max(push, −1)) + 15·Access. */
final readonly class ContactPoints
{
    public const START = -30.0;

    public const ROLE = 25.0;

    public const ACCESS = 15.0;

    private function __construct(public float $role, public float $push, public float $access)
    {
    }

    /**
     * @param  float  $role  0–1
     * @param  float  $push  of the contact (ContactPush)
     * @param  float  $access  0–1
     */
    public static function of(float $role, float $push, float $access): self
    {
        return new self(self::ROLE * $role, self::ROLE * $role * max($push, -1.0), self::ACCESS * $access);
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
