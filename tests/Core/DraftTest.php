<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Reason\Greeting;
use Luftig\Core\Reason\Limit;
use Luftig\Core\Signal\Strength;
use PHPUnit\Framework\TestCase;

final class DraftTest extends TestCase
{
    public function test_words_fit_their_kind(): void
    {
        $says = fn (string $kind, string $text): ?string => Limit::of($kind)?->exceeded($text);
        self::assertNull($says('connect', str_repeat('ä', 280).'  '));
        self::assertSame('These are 281 characters; at most 280 fit.', $says('connect', str_repeat('ä', 281)));
        self::assertSame('These are 281 characters; at most 280 fit.', $says('comment', str_repeat('a', 281)));
        self::assertNull($says('message', str_repeat('a', 600)));
        self::assertSame('These are 601 characters; at most 600 fit.', $says('message', str_repeat('a', 601)));
        self::assertNull($says('email', str_repeat('one – ', 120)), 'a dash is no word');
        self::assertSame('These are 121 words; at most 120 fit.', $says('email', str_repeat('one ', 121)));
        self::assertSame('These are 201 words; at most 200 fit.', $says('letter', str_repeat("one\n", 201)));
        self::assertNull($says('letter', str_repeat('R&D, ', 200)));
        self::assertSame([null, null, null], array_map(Limit::of(...), ['call', 'ask_intro', '']));
    }

    public function test_a_greeting_is_read_back(): void
    {
        foreach (['Pernille', 'Anne-Sophie', 'Åsa', 'Jan Willem'] as $name) {
            self::assertSame($name, Greeting::readFrom(Greeting::of($name).' how are you?'));
        }
        self::assertSame('Åsa', Greeting::readFrom('Hej Åsa, hur mår du?'));
        self::assertSame('Hello,', Greeting::of(null));
        self::assertSame('Hello,', Greeting::of(''));
        self::assertNull(Greeting::readFrom('Hello, how are you?'));
        self::assertNull(Greeting::readFrom('I said Hello Pernille, once.'));
    }

    public function test_strength_follows_the_catalogue(): void
    {
        self::assertEqualsWithDelta(
            .9 * log10(12_000_000 / 420 / 1000) / 2,
            Strength::ofFunding('B', 12_000_000, 420),
            1e-12,
        );
        self::assertEqualsWithDelta(.6, Strength::ofFunding('A', null, 420), 1e-12);
        self::assertEqualsWithDelta(.6 * .3, Strength::ofFunding('D', 1000, 420), 1e-12);
        self::assertEqualsWithDelta(1 - .5 ** 1.5, Strength::ofHiring([true, false]), 1e-12);
        self::assertNull(Strength::ofChange(100, 102));
        self::assertNull(Strength::ofChange(9, 18));
        self::assertEqualsWithDelta(.4 * 1, Strength::ofChange(100, 110), 1e-12);
        self::assertEqualsWithDelta(.8 * .4, Strength::ofChange(20, 24), 1e-12);
    }
}
