<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

/** How many mails to some addresses are to be expected back (rule 16); dead ones are not sent to and counted apart. */
final readonly class Bounces
{
    /** Above this share one is warned. */
    public const TOO_MANY = .05;

    /**
     * @param  float  $expected  Σ (1 − chance)
     * @param  int  $sent  addresses that are not dead
     */
    private function __construct(public float $expected, public int $sent, public int $dead)
    {
    }

    /** @param  iterable<array{AddressState, float|null}>  $addresses  state, and of a guess its chance */
    public static function of(iterable $addresses): self
    {
        $expected = 0.0;
        $sent = $dead = 0;
        foreach ($addresses as [$state, $chance]) {
            if ($state->isDead()) {
                $dead++;

                continue;
            }
            $sent++;
            $expected += 1 - $state->chance($chance);
        }

        return new self($expected, $sent, $dead);
    }

    /** 0–1 of those that are sent to; 0 where there is none. */
    public function rate(): float
    {
        return $this->sent === 0 ? 0.0 : $this->expected / $this->sent;
    }

    public function areTooMany(): bool
    {
        return $this->rate() > self::TOO_MANY + 1e-12;
    }
}
