<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Reason\Draft;
use Luftig\Core\Reason\Evidence;
use Luftig\Core\Reason\Greeting;
use Luftig\Core\Reason\Limit;
use Luftig\Core\Signal\Kind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is proposed to say about each kind of signal: for the rep, and to the one who is written to. */
final class DraftWordsTest extends TestCase
{
    private const ASKS = ' May I ask who looks after that with you?';

    /** @return array<string, array{Kind, bool, string, string}> kind, of the addressee, for the rep, to the other */
    public static function kinds(): array
    {
        $anybody = fn (Kind $kind, string $advice, string $words): array => [$kind, false, $advice, $words];
        $theirs = fn (Kind $kind, string $advice, string $words): array => [$kind, true, $advice, $words];

        return [
            'funding' => $anybody(
                Kind::Funding, 'Ask what the new money will change: X', 'I read of Glasverk: “X”.',
            ),
            'hiring' => $anybody(
                Kind::Hiring, 'Offer relief until it is filled: X', 'I saw what you are looking for: “X”.',
            ),
            'growth' => $anybody(Kind::Growth, 'Ask what grows along with it: X', 'I noticed: “X”.'),
            'decline' => $anybody(Kind::Decline, 'Ask what fewer hands have to manage now', 'I noticed: “X”.'),
            'a new leader' => $anybody(
                Kind::NewLeader, 'Ask what changes now: X', 'I saw that there is a new face with you: “X”.',
            ),
            'themselves, new' => $theirs(
                Kind::NewLeader, 'Ask what they found on taking over', 'congratulations on the new position.',
            ),
            'a promotion' => $anybody(
                Kind::Promotion, 'Congratulate on Olav’s new position', 'I saw that there is a new face with you: “X”.',
            ),
            'themselves, promoted' => $theirs(
                Kind::Promotion, 'Congratulate on their new position', 'congratulations on the new position.',
            ),
            'somebody from a customer' => $anybody(
                Kind::CustomerAlum, 'Speak of the customer they came from',
                'one of you knows us from a former employer.',
            ),
            'themselves from a customer' => $theirs(
                Kind::CustomerAlum, 'Speak of the customer they came from',
                'we may have met where you worked before.',
            ),
            'another at the top' => $anybody(
                Kind::LeadershipChange, 'Ask what the new management looks at first', 'I noticed: “X”.',
            ),
            'adopted' => $anybody(Kind::TechAdopted, 'Offer what completes it: X', 'I noticed: “X”.'),
            'dropped' => $anybody(Kind::TechDropped, 'Ask what takes its place: X', 'I noticed: “X”.'),
            'a remark of a colleague' => $anybody(
                Kind::PostEngagement, 'Take up Olav’s remark under the post',
                'I came across a remark from your house: “X”.',
            ),
            'their own remark' => $theirs(
                Kind::PostEngagement, 'Answer what they said under the post',
                'what you said under the post stayed with me.',
            ),
            'news' => $anybody(Kind::News, 'Take up what the press wrote: X', 'I read of Glasverk: “X”.'),
            'a new site' => $anybody(Kind::Expansion, 'Ask about the new capacity: X', 'I read of Glasverk: “X”.'),
            'a stop of hiring' => $anybody(
                Kind::HiringFreeze, 'Speak of what can be done without new hands', 'I read of Glasverk: “X”.',
            ),
            'signed with another' => $anybody(
                Kind::RivalSigned, 'Leave the door open for a second opinion', 'I noticed: “X”.',
            ),
        ];
    }

    #[DataProvider('kinds')]
    public function test_a_kind_has_its_words(Kind $kind, bool $isTheirs, string $advice, string $words): void
    {
        $draft = Draft::of('Glasverk', 'Pernille', [new Evidence($kind, 'X', 'Olav', $isTheirs)]);
        self::assertSame($advice, $draft->headline());
        self::assertSame(Greeting::of('Pernille')." $words".self::ASKS, $draft->words());
    }

    public function test_every_kind_is_here_or_is_never_spoken_of(): void
    {
        $here = array_map(fn (array $one): Kind => $one[0], self::kinds());
        foreach (Kind::cases() as $kind) {
            self::assertSame(in_array($kind, $here, true), $kind->mayBeQuoted(), $kind->value);
        }
    }

    public function test_of_a_kind_the_first_is_said_and_of_kinds_at_most_two(): void
    {
        $draft = Draft::of('Glasverk', null, [
            new Evidence(Kind::OwnEngagement, 'Looked at our page'), new Evidence(Kind::Hiring, 'Planner sought'),
            new Evidence(Kind::Hiring, 'Engineer sought'), new Evidence(Kind::Expansion, 'Fourth line'),
            new Evidence(Kind::News, 'In the paper'),
        ]);
        self::assertSame(
            Greeting::of(null).' I saw what you are looking for: “Planner sought”, and I read of Glasverk: '
                .'“Fourth line”.'.self::ASKS,
            $draft->words(),
        );
        self::assertSame('Offer relief until it is filled: Planner sought', $draft->headline());
    }

    public function test_without_anything_to_say_one_begins_with_what_they_do(): void
    {
        foreach ([[], [new Evidence(Kind::TopicInterest, 'Reads about leaks')]] as $evidence) {
            $draft = Draft::of('Glasverk', 'Pernille', $evidence);
            self::assertSame('Begin with what they do', $draft->headline());
            self::assertSame(
                Greeting::of('Pernille').' what you do is close to what we know well.'.self::ASKS,
                $draft->words(),
            );
            self::assertSame('A question to Glasverk', $draft->subject());
        }
    }

    public function test_an_offer_asks_what_it_wants_to_know(): void
    {
        $draft = Draft::of('Glasverk', null, [new Evidence(Kind::News, 'X')], 'How do you find leaks?');
        self::assertStringEndsWith('“X”. How do you find leaks?', $draft->words());
    }

    /** @return array<string, array{string, string}> */
    public static function subjects(): array
    {
        return [
            'seven words' => ['Two planners and a head of maintenance', 'Two planners and a head of maintenance'],
            'eight words' => ['Two planners and a new head of maintenance', 'A question to Glasverk'],
            'words parted by more than a space' => ["Planner\t sought", "Planner\t sought"],
            'none' => ['  ', 'A question to Glasverk'],
        ];
    }

    #[DataProvider('subjects')]
    public function test_a_subject_has_seven_words_at_most(string $title, string $subject): void
    {
        self::assertSame($subject, Draft::of('Glasverk', null, [new Evidence(Kind::News, $title)])->subject());
    }

    /** @return array<string, array{string, int, string, string}> rule 21: kind of approach, its limit, one too long */
    public static function limits(): array
    {
        $words = fn (int $count): string => implode(' ', array_fill(0, $count, 'leak'));

        return [
            'a comment' => ['comment', 280, str_repeat('ø', 280), str_repeat('ø', 281)],
            'a connection' => ['connect', 280, str_repeat('a', 280), str_repeat('a', 281)],
            'a message' => ['message', 600, str_repeat('a', 600), str_repeat('a', 601)],
            'a mail' => ['email', 120, $words(120), $words(121)],
            'a letter' => ['letter', 200, $words(200), $words(201)],
        ];
    }

    #[DataProvider('limits')]
    public function test_words_have_a_length_they_may_be(string $kind, int $most, string $fits, string $long): void
    {
        $limit = Limit::of($kind);
        self::assertSame($most, $limit?->most);
        $unit = $kind === 'email' || $kind === 'letter' ? 'words' : 'characters';
        self::assertNull($limit->exceeded(" $fits "));
        self::assertSame('These are '.($most + 1)." $unit; at most $most fit.", $limit->exceeded($long));
    }

    public function test_what_is_said_or_asked_by_mouth_has_no_limit(): void
    {
        self::assertNull(Limit::of('call'));
        self::assertNull(Limit::of('ask_intro'));
    }
}
