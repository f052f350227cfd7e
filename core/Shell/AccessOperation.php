<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Reach\Access;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Channel;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Rules\Input;

/** Rule 5. */
final class AccessOperation implements Operation
{
    public static function name(): string
    {
        return 'access';
    }

    public static function summary(): string
    {
        return 'How well a contact can be reached.';
    }

    public static function fields(): array
    {
        return [
            'channels[].type' => Input::values(ChannelType::class),
            'channels[].state' => Input::values(AddressState::class).'; for email, unknown without one',
            'channels[].chance' => '0–1, for a guess',
            'channels[].active_days_ago' => 'days, for social',
            'intro' => '0–1, optional: strength of the best intro path',
        ];
    }

    public static function example(): array
    {
        return [
            'channels' => [['type' => 'email', 'state' => 'valid'], ['type' => 'social', 'active_days_ago' => 3]],
            'intro' => .3,
        ];
    }

    public static function answer(Input $input): array
    {
        $access = Access::of(self::channels($input), $input->optionalNumber('intro', 0, 1) ?? 0.0);
        $input->done();

        return ['access' => $access->value, 'channel' => $access->channel];
    }

    /** @return list<Channel> */
    public static function channels(Input $input): array
    {
        return array_map(static function (Input $channel): Channel {
            $made = new Channel(
                $channel->choice('type', ChannelType::class),
                $channel->optionalChoice('state', AddressState::class) ?? AddressState::Unknown,
                $channel->optionalNumber('chance', 0, 1),
                $channel->optionalNumber('active_days_ago', 0),
            );
            $channel->done();

            return $made;
        }, $input->objects('channels'));
    }
}
