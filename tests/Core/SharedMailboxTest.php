<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Person\SameName;
use Luftig\Core\Reach\SharedMailbox;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Whose an address is: of a house, of one person, or of several. */
final class SharedMailboxTest extends TestCase
{
    #[TestWith(['praxis@a.example'])]
    #[TestWith(['Praxis2@a.example'])]
    #[TestWith(['büro@a.example'])]
    #[TestWith(['no-reply@a.example'])]
    #[TestWith(['info.wien@a.example'])]
    #[TestWith(['kontakt-nord@a.example'])]
    #[TestWith(['empfang@a.example'])]
    #[TestWith(['receptie@a.example'])]
    #[TestWith(['vaxel@a.example'])]
    #[TestWith(['resepsjon@a.example'])]
    #[TestWith(['kundeservice@a.example'])]
    #[TestWith(['sekretariat@a.example'])]
    #[TestWith(['toimisto@a.example'])]
    #[TestWith(['accueil@a.example'])]
    #[TestWith(['shop@a.example'])]
    public function test_a_mailbox_of_a_house(string $address): void
    {
        self::assertTrue(SharedMailbox::is($address));
    }

    #[TestWith(['ida.lie@a.example'])]
    #[TestWith(['hr.meier@a.example'])]
    #[TestWith(['infomann@a.example'])]
    #[TestWith(['it.must@a.example'])]
    #[TestWith(['i.lie@praxis.example'])]
    #[TestWith(['lie@info.example'])]
    public function test_a_mailbox_of_somebody(string $address): void
    {
        self::assertFalse(SharedMailbox::is($address));
    }

    /** @return array<string, array{string, string, string, string, SameName}> first and last name of each */
    public static function names(): array
    {
        return [
            'the same' => ['Ida', 'Lie', 'Ida', 'Lie', SameName::Same],
            'a name without a letter is none' => ['😀', 'Lie', 'Ida', 'Lie', SameName::Same],
            'what neither has is not shared' => ['Jörg', '', 'Ida', '', SameName::Other],
            'in other letters' => ['IDA', 'Lie', 'ida', 'lie', SameName::Same],
            'an umlaut written out' => ['Jörg', 'Müller', 'Joerg', 'Mueller', SameName::Same],
            'an umlaut left out' => ['Jörg', 'Müller', 'Jorg', 'Muller', SameName::Same],
            'a Danish letter' => ['Søren', 'Østby', 'Soeren', 'Oestby', SameName::Same],
            'an initial' => ['I.', 'Lie', 'Ida', 'Lie', SameName::Same],
            'a second name' => ['Ida Marie', 'Lie', 'Ida', 'Lie', SameName::Same],
            'a second name as an initial' => ['Ida M.', 'Lie', 'Ida Marie', 'Lie', SameName::Same],
            'half of a double name' => ['Ida', 'Lie-Askov', 'Ida', 'Lie', SameName::Same],
            'no first name' => ['', 'Lie', 'Ida', 'Lie', SameName::Same],
            'parted at another place' => ['Ida', 'van Dam', 'Ida van', 'Dam', SameName::Same],
            'somebody who married' => ['Ida', 'Lie', 'Ida', 'Askov', SameName::Doubtful],
            'two of one family' => ['Jana', 'Quasthövel', 'Jonas', 'Quasthövel', SameName::Doubtful],
            'another initial' => ['K.', 'Lie', 'Ida', 'Lie', SameName::Doubtful],
            'two people' => ['Ida', 'Lie', 'Per', 'Askov', SameName::Other],
            'names the other way round are others' => ['Lie', 'Ida', 'Per', 'Askov', SameName::Other],
        ];
    }

    #[DataProvider('names')]
    public function test_names_at_one_address(
        string $first,
        string $last,
        string $otherFirst,
        string $otherLast,
        SameName $is,
    ): void {
        self::assertSame($is, SameName::of($first, $last, $otherFirst, $otherLast));
        self::assertSame($is, SameName::of($otherFirst, $otherLast, $first, $last), 'it holds both ways');
    }
}
