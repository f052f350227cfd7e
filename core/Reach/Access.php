<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

use Luftig\Core\Mistake;

/** How well somebody can be reached, 0–1 (rule 5). */
final readonly class Access
{
    /** What the best path through somebody counts of its strength. */
    public const INTRO_PART = .9;

    private function __construct(public float $value, public float $channel)
    {
    }

    /**
     * @param  iterable<Channel>  $channels  of one contact
     * @param  float  $intro  strength of the best intro path, 0–1
     */
    public static function of(iterable $channels, float $intro = 0.0): self
    {
        if ($intro < 0 || $intro > 1) {
            throw Mistake::at('intro', 'The strength of a path lies between 0 and 1.');
        }
        $address = 0.0;
        $unreached = 1.0;
        foreach ($channels as $channel) {
            if ($channel->type === ChannelType::Email) {
                $address = max($address, $channel->worth());
            } else {
                $unreached *= 1 - $channel->worth();
            }
        }
        $unreached *= 1 - $address;

        return new self(1 - $unreached * (1 - self::INTRO_PART * $intro), 1 - $unreached);
    }
}
