<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Signal\About;
use Luftig\Core\Signal\Item;
use Luftig\Core\Signal\Mention;
use Luftig\Core\Signal\Named;
use Luftig\Core\Signal\Story;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whose news it is, and whether two papers tell the same (rule 25). */
final class AboutTest extends TestCase
{
    /**
     * @return array<string, array{array{0: string, 1?: string, 2?: list<string>, 3?: list<string>}, array<int, float>}>
     */
    public static function items(): array
    {
        return [
            'the name in the headline' => [['Glasverk Tunhede builds'], [1 => .8]],
            'the name in the text' => [['A fourth line', 'So says Glasverk Tunhede.'], [1 => .6]],
            'a part of the name' => [['Glasverk builds', 'In Tunhede.'], []],
            'within another word' => [['Glasverk Tunhedes builds'], []],
            'with its city' => [['Glasverk Tunhede builds', 'in Hobro'], [1 => .9, 3 => .3]],
            'with its city, in the text' => [['News', 'Glasverk Tunhede of Hobro'], [1 => .72, 3 => .3]],
            'with a contact' => [['News', 'Glasverk Tunhede, says Pernille Rye.'], [1 => .72]],
            'with a product' => [['News', 'Glasverk Tunhede sells the Hvidkrus again.'], [1 => .72]],
            'its domain as a link' => [['News', '', ['https://www.tunhede.example/press?x=1']], [1 => 1.0]],
            'its domain as an address' => [['News', '', [], ['ida@tunhede.example']], [1 => 1.0]],
            'its domain in the text' => [['News', 'More: www.tunhede.example, or call.'], [1 => 1.0]],
            'its profile' => [['News', '', ['http://firms.example/p/tunhede/']], [1 => 1.0]],
            'free mail is nobody' => [['News', '', [], ['tunhede@gmail.com']], []],
            'a common word' => [['Ask grows'], [2 => .4]],
            'a common word in the text' => [['News', 'Ask grows.'], [2 => .3]],
            'a common word with its city' => [['News', 'Ask of Viborg grows.'], [2 => .36]],
            'a place, whose name is no evidence' => [['Hobro builds'], [3 => .4]],
            'two of one name' => [['Papir Lund grows'], [4 => .4, 5 => .4]],
            'two of one name, one in its city' => [['Papir Lund of Odense grows'], [4 => .48, 5 => .4]],
            'umlauts written out' => [['Glashuette Moorloh waechst'], [6 => .8]],
            'umlauts left out' => [['Glashutte Moorloh'], [6 => .8]],
            'and for &' => [['Quast und Sohn sucht'], [7 => .8]],
            'two accounts' => [['Ask and Glasverk Tunhede'], [1 => .8, 2 => .4]],
        ];
    }

    /**
     * @param  array{0: string, 1?: string, 2?: list<string>, 3?: list<string>}  $item
     * @param  array<int, float>  $expected
     */
    #[DataProvider('items')]
    public function test_an_item_is_about_an_account(array $item, array $expected): void
    {
        $found = [];
        foreach ($this->about()->of(new Item(...$item)) as $mention) {
            $found[$mention->id] = round($mention->confidence, 9);
        }
        self::assertSame($expected, $found);
    }

    public function test_from_six_tenths_on_it_is_taken_from_three_it_waits(): void
    {
        $verdict = fn (float $sure): string => (new Mention(1, $sure, ''))->verdict()->value;
        self::assertSame(
            ['taken', 'taken', 'to_decide', 'to_decide', 'dropped'],
            array_map($verdict, [1.0, .8 * .5 * 1.2 + .12, .599, .6 * .5, .29]),
        );
    }

    /** @return list<array{string, string, float, bool}> */
    public static function titles(): array
    {
        return [
            // glasverk tunhede builds fourth line · fourth line glasverk tunhede: 2·4 of 9
            ['Glasverk Tunhede builds a fourth line', 'A fourth line for Glasverk Tunhede', 8 / 9, true],
            // three of five each
            ['Tunhede builds fourth line quickly', 'Tunhede builds fourth hall again', .6, true],
            ['Tunhede builds fourth line', 'Sverkhult builds second hall', .25, false],
            ['Und die', 'Of the', 0.0, false],
        ];
    }

    #[DataProvider('titles')]
    public function test_two_titles_tell_the_same(string $one, string $other, float $share, bool $isSame): void
    {
        $day = 86_400;
        [$a, $b, $late] = [new Story($one, 0), new Story($other, 7 * $day), new Story($other, 7 * $day + 1)];
        self::assertEqualsWithDelta($share, $a->share($b), 1e-12);
        self::assertSame([$isSame, $isSame], [$a->isSame($b), $b->isSame($a)]);
        self::assertFalse($a->isSame($late));
        $link = ['https://paper.example/1'];
        self::assertTrue((new Story($one, 0, $link))->isSame(new Story($other, $day, $link)));
    }

    public function test_several_sources_make_it_surer(): void
    {
        self::assertSame(.6, round(Story::confidence([.6]), 9));
        self::assertSame(.84, round(Story::confidence([.6, .6]), 9));
        self::assertSame(.97, round(Story::confidence([.9, .9]), 9));
        self::assertSame(1.0, Story::confidence([1.0]));
        self::assertSame(1.0, Story::confidence([1.0, .6]), 'another source takes nothing away');
    }

    private function about(): About
    {
        return new About([
            new Named(
                1, 'Glasverk Tunhede A/S', 'tunhede.example', 'https://firms.example/p/Tunhede', 'Hobro', ['Hvidkrus'],
                ['Pernille Rye'],
            ),
            new Named(2, 'Ask AB', city: 'Viborg'),
            new Named(3, 'Hobro GmbH', city: 'Hobro'),
            new Named(4, 'Papir Lund', city: 'Odense'),
            new Named(5, 'Papir Lund ApS', city: 'Vejle'),
            new Named(6, 'Glashütte Moorloh GmbH'),
            new Named(7, 'Quast & Sohn'),
        ], ['ask', 'Hobro']);
    }
}
