<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Bounces;
use Luftig\Core\Rules\Input;

/** Rule 16, of a list. */
final class BouncesOperation implements Operation
{
    public static function name(): string
    {
        return 'bounces';
    }

    public static function summary(): string
    {
        return 'How many mails to some addresses are to be expected back.';
    }

    public static function fields(): array
    {
        return [
            'addresses[].state' => Input::values(AddressState::class),
            'addresses[].chance' => '0–1, for a guess',
            'answer' => '{expected, rate (of those that are not dead), warn (above 5 %)}',
        ];
    }

    public static function example(): array
    {
        return ['addresses' => [
            ['state' => 'valid'], ['state' => 'valid'], ['state' => 'guess', 'chance' => .8], ['state' => 'invalid'],
        ]];
    }

    public static function answer(Input $input): array
    {
        $bounces = Bounces::of(array_map(static function (Input $address): array {
            $of = [$address->choice('state', AddressState::class), $address->optionalNumber('chance', 0, 1)];
            $address->done();

            return $of;
        }, $input->objects('addresses')));
        $input->done();

        return ['expected' => $bounces->expected, 'rate' => $bounces->rate(), 'warn' => $bounces->areTooMany()];
    }
}
