<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Mistake;
use Luftig\Core\Priority\PointLines;
use Luftig\Core\Priority\Points;
use Luftig\Core\Reach\Access;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Channel;
use Luftig\Core\Reach\ChannelType;
use PHPUnit\Framework\TestCase;

/** Rules 5 and 6. */
final class PriorityTest extends TestCase
{
    use TestTrait;

    public function test_the_worked_example_comes_out(): void
    {
        $points = Points::of(.8, 1.1, .5);

        self::assertEqualsWithDelta(8.0, $points->total(), 1e-12);
        self::assertEqualsWithDelta(68.997, $points->priority(), 5e-4);
    }

    public function test_lines_add_up_and_priority_grows_with_each_part(): void
    {
        $part = Generators::map(fn (int $n): float => $n / 1000, Generators::choose(1, 999));
        $this->limitTo(100)->forAll(
            $part,
            Generators::map(fn (int $n): float => $n / 100, Generators::choose(-99, 400)),
            $part,
        )->then(function (float $fit, float $push, float $access): void {
            $points = Points::of($fit, $push, $access);

            self::assertEqualsWithDelta(
                $points->total(),
                Points::START + $points->fit + (new PointLines)->ofPush($fit, $push) + $points->access,
                1e-9,
            );
            self::assertGreaterThan($points->priority(), Points::of($fit, $push + .01, $access)->priority());
            self::assertGreaterThan($points->priority(), Points::of($fit, $push, $access + .001)->priority());
            self::assertGreaterThan($points->priority(), Points::of($fit + .001, $push, $access)->priority());
        });
    }

    public function test_lines_of_a_teams_own_add_up(): void
    {
        $lines = new PointLines(-50, 30, 10, 8, 5, 6);
        // −50 + 30 · .8 + (25 · .8 + 6) · .5 + 10 · .3 + 8 · 2 · .3 + 5, since access is above .2.
        self::assertEqualsWithDelta(-50 + 24 + 13 + 3 + 4.8 + 5, Points::of(.8, .5, .3, $lines)->total(), 1e-12);
        // A fit of .5 and an access of .2 are not above a half and not reachable.
        self::assertEqualsWithDelta(-50 + 15 + 2, Points::of(.5, 0, .2, $lines)->total(), 1e-12);
        self::assertEqualsWithDelta(.5, Points::chance(20, -2), 1e-12);
        $this->expectExceptionMessage('at most 200 points');
        new PointLines(-201);
    }

    public function test_drags_count_down_to_minus_one_only(): void
    {
        self::assertSame(Points::of(.5, -1, .2)->total(), Points::of(.5, -7, .2)->total());
        $this->expectException(Mistake::class);
        Points::of(1.2, 0, 0);
    }

    public function test_channels_combine_and_only_the_best_address_counts(): void
    {
        $email = fn (AddressState $state, ?float $chance = null): Channel => new Channel(
            ChannelType::Email,
            $state,
            $chance,
        );
        $value = fn (Channel ...$channels): float => Access::of($channels)->value;

        self::assertEqualsWithDelta(.588, $value($email(AddressState::Valid)), 1e-12);
        self::assertEqualsWithDelta(
            .588,
            $value($email(AddressState::CatchAll), $email(AddressState::Valid), $email(AddressState::Invalid)),
            1e-12,
        );
        self::assertEqualsWithDelta(.54, $value($email(AddressState::Guess, .97)), 1e-12, 'a guess is at most .9');
        self::assertEqualsWithDelta(
            .12, $value($email(AddressState::Shared)), 1e-12, 'a shared mailbox is worth a fifth',
        );
        self::assertSame(0.0, $value($email(AddressState::Off)));
        self::assertEqualsWithDelta(
            1 - .412 * .5,
            $value($email(AddressState::Valid), new Channel(ChannelType::DirectPhone)),
            1e-12,
        );
        self::assertSame([.2, 0.0, 0.0], array_map(
            fn (?float $days): float => round($value(new Channel(ChannelType::Social, activeDaysAgo: $days)), 9),
            [30.0, 30.1, null],
        ));
        self::assertEqualsWithDelta(
            1 - .5 * (1 - .9 * .4),
            Access::of([new Channel(ChannelType::DirectPhone)], .4)->value,
            1e-12,
        );
    }
}
