<?php

declare(strict_types=1);

namespace Tests\Core;

use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Company\CompanyFacts;
use Luftig\Core\Company\CompanyName;
use Luftig\Core\Company\Identity;
use Luftig\Core\Company\Verdict;
use Luftig\Core\Text\JaroWinkler;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rule 15, second half. */
final class IdentityTest extends TestCase
{
    use TestTrait;

    public function test_jaro_winkler_of_the_classic_pairs(): void
    {
        self::assertEqualsWithDelta(.9611, JaroWinkler::of('martha', 'marhta'), 5e-5);
        self::assertEqualsWithDelta(.84, JaroWinkler::of('dwayne', 'duane'), 5e-5);
        self::assertEqualsWithDelta(.8133, JaroWinkler::of('dixon', 'dicksonx'), 5e-5);
        self::assertSame(
            [1.0, 0.0, 0.0],
            [JaroWinkler::of('', ''), JaroWinkler::of('a', ''), JaroWinkler::of('abc', 'xyz')],
        );
    }

    /** @return list<array{CompanyFacts, CompanyFacts, Verdict}> */
    public static function pairs(): array
    {
        $of = fn (string $name, ?string $domain = null, ?string $country = null): CompanyFacts => new CompanyFacts(
            $name,
            $domain,
            $country,
        );

        return [
            [$of('Tunhede', 'www.tunhede.example'), $of('Something else', 'info@tunhede.example'), Verdict::Same],
            [$of('Müller & Söhne GmbH & Co. KG'), $of('Mueller und Soehne'), Verdict::Unsure],
            [$of('Glasverk Tunhede A/S', 'a.example'), $of('Glasverk Tunhede'), Verdict::Unsure],
            [$of('Glasverk Tunhede', 'a.example'), $of('Glasverk Tunhede ApS', 'b.example'), Verdict::Unsure],
            [$of('Glasverk Tunhede', 'a.example'), $of('Glasverk Tunhedde', 'b.example'), Verdict::Separate],
            [$of('Glasverk Tunhede', null, 'DK'), $of('Glasverk Tunhede', null, 'SE'), Verdict::Separate],
            // Of eight letters one is another, at the beginning: (7/8 + 7/8 + 1) / 3 = .9167, and no common beginning.
            [$of('Tunheden'), $of('Bunheden'), Verdict::Separate],
            // Of twelve letters one: (11/12 + 11/12 + 1) / 3 = .9444
            [$of('Tunhedenaben'), $of('Bunhedenaben'), Verdict::Unsure],
            [$of('Plåt 2000 AB'), $of('Plåt 2001 AB'), Verdict::Separate],
            [$of('Lipowica Sp. z o.o.'), $of('Lipowica S.A.'), Verdict::Unsure],
            [$of('Tunhede', 'x@gmail.com'), $of('Sverkhult', 'y@gmail.com'), Verdict::Separate],
            [$of('Bruk och Stål'), $of('Bruk & Stål AB'), Verdict::Unsure],
        ];
    }

    #[DataProvider('pairs')]
    public function test_never_the_same_by_name_alone(CompanyFacts $a, CompanyFacts $b, Verdict $verdict): void
    {
        self::assertSame($verdict, Identity::of($a, $b)->verdict, implode(' ', Identity::of($a, $b)->because));
        self::assertSame($verdict, Identity::of($b, $a)->verdict, 'either way round');
    }

    public function test_verdict_and_evidence_follow_from_domain_name_number_country_and_city(): void
    {
        // Equal, alike by .93 (one letter of fifteen more), not alike, and alike but for the number.
        $names = [
            ['Glasverk Tunhede', 'GLASVERK TUNHEDE A/S', 'equal'],
            ['Glasverk Tunhede', 'Glasverk Tunhedde', 'alike'],
            ['Glasverk Tunhede', 'Papir Sverkhult', 'differ'],
            ['Glasverk Tunhede 1', 'Glasverk Tunhede 2', 'number'],
        ];
        foreach ($names as [$one, $other, $names]) {
            foreach (
                [[null, null], ['a.example', null], ['a.example', 'b.example'], ['a.example', 'www.a.example']] as [
                    $domainA,
                    $domainB,
                ]
            ) {
                foreach ([[null, null], ['SE', null], ['SE', 'se'], ['SE', 'DK']] as [$countryA, $countryB]) {
                    foreach (
                        [[null, null], ['Halden', null], ['Hålden', 'halden'], ['Halden', 'Hobro']] as [$cityA, $cityB]
                    ) {
                        $found = Identity::of(
                            new CompanyFacts($one, $domainA, $countryA, $cityA),
                            new CompanyFacts($other, $domainB, $countryB, $cityB),
                        );
                        if ($domainB === 'www.a.example') {
                            self::assertSame(
                                [Verdict::Same, ['Both have the domain a.example.']],
                                [$found->verdict, $found->because],
                            );

                            continue;
                        }
                        $otherDomain = $domainA !== null && $domainB !== null;
                        $otherCountry = $countryB === 'DK';
                        $alike = $names === 'equal' || $names === 'alike' && ! $otherDomain;
                        self::assertSame(
                            $alike && ! $otherCountry ? Verdict::Unsure : Verdict::Separate,
                            $found->verdict,
                            "$names, $domainB, $countryB",
                        );
                        self::assertSame(array_values(array_filter([
                            [
                                'equal' => 'The names are equal without legal forms.',
                                'alike' => 'The names are alike.',
                                'differ' => 'The names differ.',
                                'number' => 'The names are alike.',
                            ][$names],
                            $cityB === 'halden' ? 'Both are in Hålden.' : null,
                            $otherDomain ? 'The domains a.example and b.example differ.' : null,
                            $otherCountry ? 'The countries SE and DK differ.' : null,
                            $names === 'number' ? 'The numbers in the names differ.' : null,
                            $cityB === 'Hobro' ? 'One is in Halden, the other in Hobro.' : null,
                        ])), $found->because);
                    }
                }
            }
        }
    }

    public function test_names_are_compared_without_what_says_nothing(): void
    {
        $forms = fn (string $name): array => CompanyName::of($name)->forms;
        self::assertSame(
            [['bruk and stal'], ['muller', 'mueller'], ['ab'], ['a'], ['lipowica'], ['tunhede'], ['glas 24 7']],
            array_map(
                $forms,
                [
                    'Bruk & Stal GmbH & Co. KG', 'Müller', 'AB', 'A und GmbH & Co. KG', 'Lipowica Sp. z o.o.',
                    'Tunhede B.V. i', 'Glas 24/7',
                ],
            ),
        );
        self::assertSame(['7', '24'], CompanyName::of('Glas 7/24')->numbers, 'in whatever order');
    }

    public function test_a_legal_form_at_the_beginning_is_one_only_where_it_stands_so(): void
    {
        $equal = fn (string $a, string $b): bool => CompanyName::of($a)->equals(CompanyName::of($b));
        self::assertFalse($equal('EV Components GmbH', 'Components GmbH'));
        self::assertSame([true, true, true, true], [
            $equal('AB Glas', 'Glas AB'), $equal('SIA Baltik', 'Baltik'), $equal('Foo e.V.', 'Foo'),
            $equal('Lux S.à r.l.', 'Lux Sarl'),
        ]);
        self::assertTrue($equal("Mu\u{308}ller AG", 'Mueller AG'), 'an umlaut in two pieces is one');
        foreach ([['Füe', 'Fuee'], ['Åre', 'Aare'], ['Mueller', 'Müller'], ['Bøe', 'Boee']] as [$a, $b]) {
            self::assertSame(
                [true, CompanyName::of($b)->key()],
                [$equal($a, $b), CompanyName::of($a)->key()],
                "$a and $b",
            );
        }
    }

    public function test_equal_names_share_their_key_and_likeness_is_symmetric(): void
    {
        $name = Generators::elements(
            'Müller Glas GmbH', 'Mueller Glas', 'Bøg & Lund ApS', 'Boeg og Lund', 'AB Åkra', 'Aakra', 'GmbH',
        );
        $this->limitTo(100)->forAll($name, $name)->then(function (string $a, string $b): void {
            if (CompanyName::of($a)->equals(CompanyName::of($b))) {
                self::assertSame(CompanyName::of($a)->key(), CompanyName::of($b)->key());
            }
            self::assertEqualsWithDelta(JaroWinkler::of($a, $b), JaroWinkler::of($b, $a), 1e-12);
        });
    }
}
