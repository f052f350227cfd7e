<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Mistake;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Channel;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Reach\LocalHour;
use Luftig\Core\Reach\NextStep;
use Luftig\Core\Reach\NextSteps;
use Luftig\Core\Reach\Step;
use Luftig\Core\Shell\Shell;
use PHPUnit\Framework\TestCase;

/** What to do first to reach somebody, at the hour it is there (rule 18). */
final class NextStepsTest extends TestCase
{
    use TestTrait;

    private const TUESDAY = 2;

    public function test_the_best_channel_comes_first_and_a_call_only_when_somebody_picks_up(): void
    {
        $channels = [new Channel(ChannelType::Email), new Channel(ChannelType::DirectPhone)];
        // E-mail .6 · .5, phone .5.
        self::assertSame(
            [['call', .5, true], ['email', .3, true]],
            $this->told(NextSteps::of($channels, hour: new LocalHour(self::TUESDAY, 9 * 60))),
        );
        self::assertSame(
            [['email', .3, true], ['call', .5, false]],
            $this->told(NextSteps::of($channels, hour: new LocalHour(self::TUESDAY, 12 * 60 + 30))),
        );
        self::assertSame('call', NextSteps::of($channels)->first()?->step->value, 'where it is nobody knows');
    }

    public function test_a_comment_comes_before_all_while_what_they_wrote_is_fresh(): void
    {
        $channels = [
            new Channel(ChannelType::Email, AddressState::Valid),
            new Channel(ChannelType::Social, activeDaysAgo: 3.0),
        ];
        self::assertSame(
            [['comment', .2, true], ['email', .6 * .98, true], ['connect', .2, true]],
            $this->told(NextSteps::of($channels, hasFreshPost: true)),
        );
        self::assertSame(
            ['email', 'message'],
            array_column($this->told(NextSteps::of($channels, hasFreshPost: true, isConnected: true, done: [
                Step::Comment, Step::Connect,
            ])), 0),
        );
        self::assertSame([['ask_intro', .9 * .4, true]], $this->told(NextSteps::of([], .4)));
        self::assertNull(NextSteps::of([new Channel(ChannelType::Email, AddressState::Invalid)])->first());
    }

    public function test_what_was_answered_before_moves_a_channel(): void
    {
        $channels = [new Channel(ChannelType::Email, AddressState::Valid), new Channel(ChannelType::DirectPhone)];
        // 12 of 120 answered, so .1 in the mean: e-mails (3 + 1) ÷ (60 + 10) = .0571, calls (9 + 1) ÷ 70 = .1429.
        $told = $this->told(NextSteps::of($channels, record: ['email' => [3, 60], 'call' => [9, 60]]));
        self::assertSame(['call', 'email'], array_column($told, 0));
        self::assertEqualsWithDelta([.5 * 10 / 7, .588 * 4 / 7], array_column($told, 1), 1e-12);
        self::assertSame(
            ['email', 'call'],
            array_column($this->told(NextSteps::of($channels, record: ['email' => [0, 60], 'call' => [0, 2]])), 0),
            'where nobody answered, nothing is known of which is better',
        );
    }

    public function test_a_number_that_several_have_is_worth_as_much_as_a_switchboard_and_a_dead_one_nothing(): void
    {
        $worth = fn (AddressState $state): float => (new Channel(ChannelType::DirectPhone, $state))->worth();
        self::assertSame(
            [.5, .5, .1, 0.0],
            array_map($worth, [
                AddressState::Unknown, AddressState::Valid, AddressState::Shared, AddressState::Invalid,
            ]),
        );
        self::assertSame(.1, (new Channel(ChannelType::Switchboard, AddressState::Shared))->worth());
    }

    public function test_hours_of_work(): void
    {
        $until = fn (int $weekday, int $hour, int $minute = 0): int => (new LocalHour($weekday, 60 * $hour + $minute))
            ->untilCalls();
        self::assertSame(0, $until(self::TUESDAY, 8));
        self::assertSame(1, $until(self::TUESDAY, 7, 59));
        self::assertSame(60, $until(self::TUESDAY, 12));
        self::assertSame(15 * 60, $until(self::TUESDAY, 17));
        self::assertSame(63 * 60, $until(5, 17), 'from Friday evening to Monday at eight');
        self::assertSame(32 * 60, $until(7, 0), 'Sunday');
        $this->expectException(Mistake::class);
        new LocalHour(8, 0);
    }

    public function test_whatever_is_known_each_step_has_a_channel_and_a_worse_record_never_lifts(): void
    {
        $this->limitTo(60)->forAll(
            Generators::subset(array_map(fn (ChannelType $one): string => $one->value, ChannelType::cases())),
            Generators::choose(1, 7), Generators::choose(0, 1439), Generators::choose(0, 40), Generators::choose(0, 40),
        )->then(function (array $types, int $weekday, int $minute, int $good, int $less): void {
            $channels = array_map(
                fn (string $type): Channel => new Channel(ChannelType::from($type), activeDaysAgo: 1.0), $types,
            );
            $hour = new LocalHour($weekday, $minute);
            $steps = fn (int $answered): array => NextSteps::of(
                $channels, hour: $hour, record: ['call' => [$answered, 80], 'email' => [20, 80]],
            )->steps;
            self::assertCount(count(array_unique(array_map(fn (string $type): string => match ($type) {
                'direct_phone', 'switchboard' => 'call', default => $type,
            }, $types))), $steps($good));
            $call = fn (array $of): float => array_values(array_filter(
                $of, fn (NextStep $one): bool => $one->step === Step::Call,
            ))[0]->worth ?? 0.0;
            self::assertGreaterThanOrEqual($call($steps(max(0, $good - $less))), $call($steps($good)));
            foreach ($steps($good) as $at => $one) {
                $before = $steps($good)[$at - 1] ?? $one;
                self::assertTrue($before->isNow || ! $one->isNow, 'what fits the hour comes first');
                self::assertTrue($before->isNow !== $one->isNow || $before->worth >= $one->worth);
            }
        });
    }

    public function test_the_shell_answers_and_says_what_is_wrong(): void
    {
        $ask = fn (array $input): string => Shell::run(['steps'], fn (): string => (string) json_encode($input))[0];
        $channels = [['type' => 'direct_phone'], ['type' => 'email', 'state' => 'valid']];
        self::assertSame(
            '[{"step":"email","worth":0.588,"now":true},{"step":"call","worth":0.5,"now":false}]',
            trim($ask(['channels' => $channels, 'weekday' => 6, 'minute' => 600])),
        );
        self::assertStringContainsString('come together', $ask(['channels' => $channels, 'weekday' => 6]));
        self::assertStringContainsString('of how many', $ask([
            'channels' => $channels, 'record' => ['email' => [3, 2]],
        ]));
        self::assertStringContainsString('no kind of approach', $ask(['channels' => $channels, 'done' => ['fax']]));
    }

    /** @return list<array{string, float, bool}> */
    private function told(NextSteps $next): array
    {
        return array_map(
            fn (NextStep $one): array => [$one->step->value, $one->worth, $one->isNow], $next->steps,
        );
    }
}
