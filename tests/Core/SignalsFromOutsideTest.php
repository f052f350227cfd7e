<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;
use Luftig\Core\Shell\AboutOperation;
use Luftig\Core\Shell\OpeningsOperation;
use Luftig\Core\Shell\SameStoryOperation;
use Luftig\Core\Shell\TechnologiesOperation;
use Luftig\Core\Signal\About;
use Luftig\Core\Signal\Item;
use Luftig\Core\Signal\Named;
use Luftig\Core\Signal\Posting;
use Luftig\Core\Signal\Story;
use Luftig\Core\Text\StopWords;
use PHPUnit\Framework\TestCase;

/** What holds of rules 17, 24 and 25 whatever comes, and how the shell answers. */
final class SignalsFromOutsideTest extends TestCase
{
    use TestTrait;

    private const WORDS = ['glas', 'tunhede', 'hobro', 'papir', 'ask', 'hall', 'builds', 'new', 'the', 'of'];

    public function test_whom_an_item_is_about_does_not_hang_on_the_order_of_accounts(): void
    {
        $this->forAll(Generators::seq(Generators::elements(self::WORDS)), Generators::seq(
            Generators::elements(self::WORDS),
        ))->then(function (array $title, array $text): void {
            $accounts = $this->accounts();
            $item = new Item(implode(' ', $title), implode(' ', $text));
            $there = (new About($accounts, ['ask', 'hobro']))->of($item);
            self::assertEquals($there, (new About(array_reverse($accounts), ['hobro', 'ask']))->of($item));
            foreach ($there as $mention) {
                self::assertGreaterThan(0, $mention->confidence);
                self::assertLessThanOrEqual(.9, $mention->confidence, 'a name alone is never as sure as a domain');
            }
        });
    }

    public function test_a_name_in_the_headline_is_never_less_sure_than_in_the_text(): void
    {
        $this->forAll(Generators::elements('Papir Tunhede', 'Ask', 'Hobro', 'Glas Lund'), Generators::seq(
            Generators::elements(self::WORDS),
        ))->then(function (string $name, array $rest): void {
            $about = new About($this->accounts(), ['ask', 'hobro']);
            $sure = function (Item $item) use ($about, $name): float {
                foreach ($about->of($item) as $mention) {
                    if ($mention->id === $name) {
                        return $mention->confidence;
                    }
                }

                return 0.0;
            };
            $text = implode(' ', $rest);
            self::assertGreaterThanOrEqual(
                $sure(new Item('News', "$text · $name")),
                $sure(new Item("$name today", $text)),
            );
            // An account more of the same name makes it less sure, never more.
            $more = new About([...$this->accounts(), new Named('other', $name)], ['ask', 'hobro']);
            self::assertLessThanOrEqual(
                $sure(new Item("$name today", $text)),
                max([0.0, ...array_map(
                    fn ($one): float => $one->id === $name ? $one->confidence : 0.0,
                    $more->of(new Item("$name today", $text)),
                )]),
            );
        });
    }

    public function test_a_story_is_the_same_as_itself_and_both_ways(): void
    {
        $this->forAll(
            Generators::seq(Generators::elements(self::WORDS)),
            Generators::seq(Generators::elements(self::WORDS)),
            Generators::choose(-10, 10),
        )->then(function (array $one, array $other, int $days): void {
            $a = new Story(implode(' ', $one), 0);
            $b = new Story(implode(' ', $other), 86_400 * $days);
            self::assertSame($a->share($b), $b->share($a));
            self::assertSame($a->isSame($b), $b->isSame($a));
            self::assertSame(StopWords::without(implode(' ', $one)) !== [], $a->isSame($a));
            self::assertTrue($a->share($b) >= 0 && $a->share($b) <= 1);
        });
    }

    public function test_more_sources_are_never_less_sure(): void
    {
        $this->forAll(Generators::seq(Generators::choose(1, 100)), Generators::choose(1, 100))
            ->then(function (array $sources, int $more): void {
                $sources = array_map(fn (int $one): float => $one / 100, $sources);
                $before = $sources === [] ? 0.0 : Story::confidence($sources);
                $after = Story::confidence([...$sources, $more / 100]);
                self::assertGreaterThanOrEqual($before - 1e-12, $after);
                self::assertLessThanOrEqual(max([.97, $more / 100, ...$sources]) + 1e-12, $after);
            });
    }

    public function test_a_title_is_folded_and_types_are_one_however_written(): void
    {
        foreach ([
            'Planer (m/w/d)', 'PLANER (M/W/D)', 'Planer m/w/d', 'planer (w/m/x)', 'Planer (all genders)', 'Planer',
        ] as $title) {
            self::assertSame('planer', Posting::folded($title), $title);
        }
        self::assertSame('r d planer', Posting::folded('R D Planer'), 'which are no genders');
        self::assertSame(['full time', 'part time'], Posting::types('FULL_TIME, part-time'));
        self::assertSame([], Posting::types(' , '));
    }

    public function test_the_shell_says_what_is_wrong_and_where(): void
    {
        foreach ([
            [OpeningsOperation::class, ['postings' => [['id' => 1]]], 'postings[0].employer'],
            [OpeningsOperation::class, ['postings' => [], 'role' => ['text_query' => 'x']], 'role.title_query'],
            [OpeningsOperation::class, ['postings' => [], 'role' => ['title_query' => 'a OR']], 'role.title_query'],
            [OpeningsOperation::class, ['postings' => [], 'rolle' => 1], 'rolle'],
            [TechnologiesOperation::class, ['visits' => [['at' => 'soon', 'found' => []]]], 'visits[0].at'],
            [
                TechnologiesOperation::class,
                ['visits' => [[
                    'at' => '2026-11-01', 'reached' => true, 'found' => [['name' => 'X', 'by' => 'posting']],
                ]]],
                'visits[0].found[0].by',
            ],
            [AboutOperation::class, ['item' => ['text' => 'x'], 'accounts' => []], 'item.title'],
            [AboutOperation::class, ['item' => ['title' => 'x'], 'accounts' => [['id' => 1]]], 'accounts[0].name'],
            [SameStoryOperation::class, ['a' => ['title' => 'x', 'at' => '2026-11-01']], 'b'],
        ] as [$operation, $input, $at]) {
            try {
                $operation::answer(Input::of($input));
                self::fail("{$operation::name()} took what is wrong at $at.");
            } catch (Mistake $mistake) {
                self::assertSame($at, $mistake->at, $operation::name());
            }
        }
    }

    public function test_the_shell_answers_by_the_rules(): void
    {
        $posting = fn (int $id, string $day, string $text = ''): array => [
            'id' => $id, 'employer' => 'Tunhede', 'title' => 'Planner', 'place' => 'Hobro',
            'posted_at' => "2026-{$day}T00:00:00Z", 'text' => $text, 'employment_type' => '',
        ];
        self::assertSame([
            'openings' => [
                ['ids' => [2], 'title' => 'Planner', 'agency' => true, 'counts' => 0.0],
                ['ids' => ['a', 1], 'title' => 'Planner', 'agency' => false, 'counts' => 1.0],
            ],
            'strength' => .5,
        ], OpeningsOperation::answer(Input::of(['postings' => [
            $posting(1, '11-15'), ['id' => 'a'] + $posting(1, '10-02'), ['agency_hint' => true] + $posting(2, '01-01'),
        ]])));
        self::assertSame(
            ['same' => true, 'share' => 1.0],
            SameStoryOperation::answer(Input::of([
                'a' => ['title' => 'A hall', 'at' => '2026-11-01'],
                'b' => ['title' => 'The hall', 'at' => '2026-11-08'],
            ])),
        );
        self::assertSame(
            [['id' => 7, 'confidence' => 1.0, 'verdict' => 'taken',
                'because' => 'Its domain tunhede.example stands in a link or address.']],
            AboutOperation::answer(Input::of([
                'item' => ['title' => 'x', 'emails' => ['ida@tunhede.example']],
                'accounts' => [['id' => 7, 'name' => 'Glas', 'domain' => 'www.tunhede.example']],
            ])),
        );
    }

    /** @return list<Named> */
    private function accounts(): array
    {
        return [
            new Named('Papir Tunhede', 'Papir Tunhede A/S', 'tunhede.example', null, 'Hobro'),
            new Named('Ask', 'Ask'), new Named('Hobro', 'Hobro GmbH', null, null, 'Hobro'),
            new Named('Glas Lund', 'Glas Lund'), new Named('twin', 'Glas Hall'), new Named('twin two', 'Glas Hall AB'),
        ];
    }
}
