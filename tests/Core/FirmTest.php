<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Company\Agency;
use Luftig\Core\Company\Domain;
use Luftig\Core\Company\Industries;
use Luftig\Core\Company\Technology;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rule 15, first sentences, and industries. */
final class FirmTest extends TestCase
{
    /** @return list<array{string, string|null}> */
    public static function domains(): array
    {
        return [
            ['https://www.Tunhede.example:8080/about?x=1#y', 'tunhede.example'],
            ['info@mail.tunhede.example', 'tunhede.example'],
            ['TUNHEDE.EXAMPLE.', 'tunhede.example'],
            ['shop.tunhede.co.uk', 'tunhede.co.uk'], ['co.uk', null], ['a.b.kawasaki.jp', 'a.b.kawasaki.jp'],
            ['city.kawasaki.jp', 'city.kawasaki.jp'],
            ['http://böck-glas.example', 'xn--bck-glas-n4a.example'], ['not a domain', null], ['192.168.0.1', null],
            ['', null], ['localhost', null],
        ];
    }

    public function test_labels_have_63_letters_at_most_and_hosts_253(): void
    {
        $label = str_repeat('a', 63);
        self::assertSame("$label.example", Domain::from("$label.example")?->name);
        self::assertNull(Domain::from("a$label.example"));
        self::assertNull(Domain::from("www.a$label.example"));
        $host = "$label.$label.$label.".str_repeat('b', 53).'.example';
        self::assertSame(253, strlen($host));
        self::assertSame(str_repeat('b', 53).'.example', Domain::from($host)?->name);
        self::assertNull(Domain::from("$label.$label.$label.".str_repeat('b', 54).'.example'));
    }

    #[DataProvider('domains')]
    public function test_the_registrable_part_identifies(string $text, ?string $domain): void
    {
        self::assertSame($domain, Domain::from($text)?->name);
    }

    public function test_free_mail_is_known(): void
    {
        self::assertTrue(Domain::from('someone@gmx.de')?->freeMail);
        self::assertFalse(Domain::from('tunhede.example')?->freeMail);
    }

    public function test_where_addresses_are_thrown_away_is_known_apart_from_where_people_have_theirs(): void
    {
        $of = function (string $text): array {
            $domain = Domain::from($text);

            return [$domain?->freeMail, $domain?->disposable];
        };
        self::assertSame([true, true], $of('someone@trashmail.com'));
        self::assertSame([true, false], $of('someone@posteo.de'));
        self::assertSame([false, false], $of('someone@tunhede.example'));
    }

    public function test_lists_of_providers_hold_what_can_match_and_no_company(): void
    {
        $free = require __DIR__.'/../../core/Company/data/free-mail.php';
        $disposable = require __DIR__.'/../../core/Company/data/disposable.php';
        self::assertSame([], array_intersect_key($free, $disposable));
        foreach ([...array_keys($free), ...array_keys($disposable)] as $name) {
            self::assertSame($name, Domain::from('someone@'.$name)?->name);
        }
        foreach (['gmail.com', 'web.de', 't-online.de', 'wp.pl', 'hotmail.se', 'laposte.net', 'icloud.com'] as $name) {
            self::assertArrayHasKey($name, $free);
        }
        foreach (['insurer.com', 'ukbuilder.com', 'shipfromto.com', '1000acres.co.uk'] as $name) {
            self::assertFalse(Domain::from($name)?->freeMail, "$name may be a company's own");
        }
    }

    public function test_labels_are_read_and_doubtful_ones_are_not_sure(): void
    {
        self::assertSame(['2310', true], Industries::read('Glasbruk'));
        self::assertSame(['2310', true], Industries::read('C 23.10 Glass'));
        self::assertSame(['2220', false], Industries::read('Plastics and more'));
        self::assertSame([null, false], Industries::read('circular materials'));
        self::assertSame('Glass and glass products', Industries::name('2310'));
    }

    /** @return list<array{string, string|null}> as it is written, the class that is meant; null: it is no code */
    public static function codes(): array
    {
        return [
            ['2573A', '2593'], ['62010', '6201'], ['62.01.0', '6201'], ['C 23.10', '2310'],
            ['NACE 25.73 - tools', '2593'], ['WZ 22', '22'], ['86.23', '8620'], ['WZ 86.23.0', '8620'],
            ['46.61', '4653'], ['4661', '4661'], ['ISIC 46.61', '4661'], ['SIC 46610', '4653'], ['46.6', '465'],
            ['SBI 52.29.1', '5229'], ['2399', '2399'], ['23.91', '2399'], ['2391', '2391'], ['6203', '6202'],
            ['SNI 23190', '2310'], ['23 glass', '23'], ['24/7 services', null], ['24 h', null], ['24x7', null],
            ['365', null], ['8699', null], ['99999999', null],
        ];
    }

    #[DataProvider('codes')]
    public function test_codes_of_industries_are_read_and_other_numbers_are_none(string $written, ?string $code): void
    {
        [$read, $isSure] = Industries::read($written);
        self::assertSame($code, $isSure ? $read : null);
    }

    public function test_a_domain_is_read_out_of_an_address_as_mail_programs_write_it(): void
    {
        self::assertSame('firm.de', Domain::from('Anna <anna@firm.de>')?->name);
        self::assertNull(Domain::from('Anna <anna>'));
    }

    public function test_variants_of_a_technology_are_one(): void
    {
        foreach (
            [
                'Vedliko Plan', 'vedliko-plan', 'VedlikoPlan', 'Vedliko Plan 4', 'Vedliko Plan v2.1',
                'Vedliko Plan, version 12', 'Védliko Plan (release 3)',
            ] as $name
        ) {
            self::assertSame('vedlikoplan', Technology::key($name), $name);
        }
        self::assertSame(
            ['vedlikoboard', 'c++', 'c#', '365', 'tryklog3d'],
            array_map(Technology::key(...), ['Vedliko Board', 'C++', 'C#', '365', 'Tryklog 3D']),
        );
    }

    public function test_agencies_are_known_by_industry_name_or_wording_and_clients_alone_make_none(): void
    {
        self::assertSame('agency, by its industry', Agency::because('Verket', ['7810'], ''));
        self::assertSame('agency, by its name: “zeitarbeit”', Agency::because('Uhlstedt Zeitarbeit GmbH', ['25'], ''));
        self::assertSame('agency, by its name: “rekrytering”', Agency::because('Kråkvik Rekrytering AB', [], ''));
        self::assertSame(
            'agency, by its wording: “im auftrag unserer kunden”',
            Agency::because('Uhlstedt', [], 'Im Auftrag unserer Kunden suchen wir Schlosser.'),
        );
        foreach (
            [
                'Our client is looking for a fitter', 'our clients are looking', 'On behalf of our client,',
                'on behalf of our clients', 'Vi hyr ut personal', 'Namens onze opdrachtgever',
            ] as $wording
        ) {
            self::assertNotNull(Agency::because('Uhlstedt', [], "For years. $wording."), $wording);
        }
        foreach (
            [
                ['Staffingsborg Glas', ['23'], 'Our clients make glass.'],
                ['Bemanningen', [], ''],
                ['Verkstad', ['25', '78'], 'On behalf of nobody.'],
            ] as $none
        ) {
            self::assertNull(Agency::because(...$none), $none[0]);
        }
    }
}
