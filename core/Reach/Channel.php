<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

use Luftig\Core\Mistake;

/** One way to reach one contact, with its state. */
final readonly class Channel
{
    private const SHARED_PART = .2;

    private const ACTIVE_DAYS = 30;

    public function __construct(
        public ChannelType $type,
        public AddressState $state = AddressState::Unknown,
        public ?float $chance = null,
        public ?float $activeDaysAgo = null,
    ) {
        if ($chance !== null && ($chance < 0 || $chance > 1)) {
            throw Mistake::at('chance', 'A chance lies between 0 and 1.');
        }
    }

    /**
     * 0–1 (rule 5). A social profile of which no activity is known is worth nothing, a direct number that several have
     * as much as a switchboard, and one that is dead nothing.
     */
    public function worth(): float
    {
        $worth = $this->type->worth();

        return match ($this->type) {
            ChannelType::Email => $worth
                * $this->state->chance($this->chance)
                * ($this->state === AddressState::Shared ? self::SHARED_PART : 1),
            ChannelType::Social => $this->activeDaysAgo !== null && $this->activeDaysAgo <= self::ACTIVE_DAYS
                ? $worth
                : 0.0,
            ChannelType::DirectPhone => match (true) {
                $this->state->isDead() => 0.0,
                $this->state === AddressState::Shared => ChannelType::Switchboard->worth(),
                default => $worth,
            },
            default => $worth,
        };
    }
}
