<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Person\Spelling;
use Luftig\Core\Person\TitleReader;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Words of titles with a letter wrong (rule 7). */
final class SpellingTest extends TestCase
{
    use TestTrait;

    #[TestWith(['maintenace', 'maintenance'])]
    #[TestWith(['maintenannce', 'maintenance'])]
    #[TestWith(['mantenance', 'maintenance'])]
    #[TestWith(['maintanance', 'maintenance'])]
    #[TestWith(['mainteannce', 'maintenance'])]
    #[TestWith(['procurment', 'procurement'])]
    #[TestWith(['opertions', 'operations'])]
    #[TestWith(['maintenance', null])]
    #[TestWith(['mantenace', null])]
    #[TestWith(['aintenance', null])]
    #[TestWith(['qualty', null])]
    #[TestWith(['zorbling', null])]
    #[TestWith(['', null])]
    public function test_the_word_that_was_meant(string $written, ?string $meant): void
    {
        $spelling = new Spelling(['maintenance', 'procurement', 'operations', 'quality', 'head of maintenance']);
        self::assertSame($meant, $spelling->nearest($written));
    }

    public function test_of_two_words_as_near_none_is_guessed(): void
    {
        $spelling = new Spelling(['planning', 'plannings', 'controller', 'controlled']);
        self::assertNull($spelling->nearest('plannins'), 'a letter too much, or one that is wrong');
        self::assertNull($spelling->nearest('controllex'));
        self::assertSame('controller', $spelling->nearest('controlller'));
    }

    public function test_any_one_slip_behind_the_first_letter_is_seen_through(): void
    {
        $spelling = new Spelling(['instandhaltung']);
        $this->forAll(Generators::choose(1, 12), Generators::choose(0, 25), Generators::choose(0, 3))
            ->then(function (int $at, int $letter, int $how) use ($spelling): void {
                $word = 'instandhaltung';
                $new = chr(97 + $letter);
                $written = match ($how) {
                    0 => substr($word, 0, $at).substr($word, $at + 1),
                    1 => substr($word, 0, $at).$new.substr($word, $at),
                    2 => substr($word, 0, $at).$new.substr($word, $at + 1),
                    default => substr($word, 0, $at).$word[$at + 1].$word[$at].substr($word, $at + 2),
                };
                self::assertSame($written === $word ? null : $word, $spelling->nearest($written), $written);
            });
    }

    #[TestWith(['Maintenace Manager', null, Seniority::Manager, BusinessFunction::Maintenance])]
    #[TestWith(['Instandhaltugsleiter', 'DE', Seniority::Head, BusinessFunction::Maintenance])]
    #[TestWith(['Underhålschef', 'SE', Seniority::Head, BusinessFunction::Maintenance])]
    #[TestWith(['Laatupäälikkö', 'FI', Seniority::Manager, BusinessFunction::Quality])]
    #[TestWith(['Head of Procurment', 'NL', Seniority::Head, BusinessFunction::Procurement])]
    public function test_titles_with_a_slip_in_them(
        string $title,
        ?string $country,
        Seniority $seniority,
        BusinessFunction $function,
    ): void {
        $read = TitleReader::standard()->read($title, $country, null);
        self::assertSame([$seniority, [$function]], [$read->seniority, $read->functions()]);
    }

    public function test_names_and_trades_are_not_taken_for_slips(): void
    {
        foreach (['Winemaker', 'Sustenance', 'Serving tables', 'Mainland', 'Procedure writer'] as $title) {
            self::assertSame([], TitleReader::standard()->read($title, null, null)->functions(), $title);
        }
    }
}
