<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Accounts\AccountReading;
use App\Intake\Cells;
use App\Intake\Contacts\ContactReading;
use App\Intake\CustomerRows;
use App\Intake\RejectedRow;
use App\Intake\SignalRows;
use Luftig\Core\Signal\Kind;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What one row of a file says, cell by cell. */
final class AccountReadingTest extends TestCase
{
    /**
     * @return array<string, array{array<string, string>, array<string, mixed>}> cells, and what they add to a record
     */
    public static function accounts(): array
    {
        return [
            'nothing but its domain' => [[], []],
            'a web address' => [['domain' => 'https://www.A.example/about'], []],
            'a name' => [['name' => 'Glasverk Tunhede'], ['name' => 'Glasverk Tunhede']],
            'heads' => [['headcount' => '1 250'], ['headcount' => 1250, 'headcount_given' => null]],
            'about so many heads' => [
                ['headcount' => 'ca. 260'], ['headcount' => 260, 'headcount_given' => 'ca. 260'],
            ],
            'a range of heads' => [
                ['headcount' => '50–99'], ['headcount' => 75, 'headcount_given' => '50–99'],
            ],
            'heads that are not known' => [['headcount' => 'k.A.'], []],
            'growth in per cent' => [['growth' => '4,5 %'], ['growth' => .045]],
            'growth without its sign' => [['growth' => '12'], ['growth' => .12]],
            'a fraction' => [['growth' => '-.08'], ['growth' => -.08]],
            'sites' => [['sites' => '3'], ['sites' => 3]],
            'more sites than there can be' => [['sites' => '100000'], ['sites' => 65535]],
            'a year' => [['founded' => '1961'], ['founded' => 1961]],
            'keywords' => [
                ['keywords' => 'container glass, three shifts'], ['keywords' => 'container glass; three shifts'],
            ],
            'a description' => [['description' => 'Makes glass.'], ['description' => 'Makes glass.']],
            'revenue in EUR' => [
                ['revenue' => 'EUR 78 Mio'],
                [
                    'revenue' => 78e6, 'revenue_amount' => 78e6, 'revenue_currency' => 'EUR',
                    'revenue_given' => null,
                ],
            ],
            'revenue in another currency' => [
                ['revenue' => '112', 'revenue_currency' => 'sek'],
                ['revenue' => 10.0, 'revenue_amount' => 112.0, 'revenue_currency' => 'SEK', 'revenue_given' => null],
            ],
            'about so much' => [
                ['revenue' => 'ca. 45 MSEK'],
                [
                    'revenue' => 4_017_857.14, 'revenue_amount' => 45e6, 'revenue_currency' => 'SEK',
                    'revenue_given' => 'ca. 45 MSEK',
                ],
            ],
            'a place' => [
                ['city' => 'Hobro', 'region' => 'Nordjylland', 'postal_code' => '9500', 'country' => 'Danmark'],
                ['place' => [
                    'city' => 'Hobro', 'region' => 'Nordjylland', 'postal_code' => '9500', 'country' => 'DK',
                ]],
            ],
            'coordinates' => [
                ['latitude' => '56,64', 'longitude' => '9.79'],
                ['place' => ['latitude' => 56.64, 'longitude' => 9.79]],
            ],
            'a competitor' => [['status' => 'Wettbewerber'], ['status' => 'competitor']],
            'an agency' => [['status' => 'hiring-agency'], ['status' => 'agency']],
            'neither' => [['status' => '-'], []],
            'one label with commas of its own' => [
                ['industry' => 'Glass, ceramics and others'], ['industries' => ['Glass, ceramics and others']],
            ],
            'several labels' => [['industry' => '2310; 2399'], ['industries' => ['2310', '2399']]],
            'technologies' => [['technologies' => 'Tryklog, Vedliko'], ['technologies' => ['Tryklog', 'Vedliko']]],
            'sites elsewhere' => [['other_sites' => 'Aalborg; Skive'], ['other_sites' => ['Aalborg', 'Skive']]],
            'a parent' => [['parent' => 'www.group.example'], ['parent' => 'group.example']],
            'itself as its parent' => [['parent' => 'a.example'], []],
            'a source' => [['source' => 'trade register'], ['source' => 'trade register']],
            'columns of ones own' => [
                ['extras:Ovens' => '4', 'extras:Shifts' => 'three'],
                ['extras' => ['Ovens' => '4', 'Shifts' => 'three']],
            ],
        ];
    }

    /**
     * @param  array<string, string>  $cells
     * @param  array<string, mixed>  $says
     */
    #[DataProvider('accounts')]
    public function test_an_account_is_what_its_cells_say(array $cells, array $says): void
    {
        $record = AccountReading::of(new Cells($cells + ['domain' => 'a.example']));
        ksort($record);
        $says += ['domain' => 'a.example'];
        ksort($says);

        self::assertEqualsWithDelta($says, $record, .005);
        self::assertSame(array_map(gettype(...), $says), array_map(gettype(...), $record));
    }

    /** @return array<string, array{array<string, string>, string}> */
    public static function refused(): array
    {
        return [
            'neither domain nor name' => [
                ['domain' => ''], 'Neither a website nor a name says which account this is.',
            ],
            'no such domain' => [['domain' => 'Tunhede'], '“Tunhede” is not a domain or web address.'],
            'a provider of mail' => [
                ['domain' => 'x@gmx.de'],
                'gmx.de is a domain where anybody can have an address; it identifies no company.',
            ],
            'a name that is longer than there is room for' => [
                ['name' => str_repeat('a', 256)], 'The name is longer than 255 characters.',
            ],
        ];
    }

    /** @param  array<string, string>  $cells */
    #[DataProvider('refused')]
    public function test_what_an_account_cannot_do_without_refuses_its_row(array $cells, string $says): void
    {
        $this->expectException(RejectedRow::class);
        $this->expectExceptionMessage($says);
        AccountReading::of(new Cells($cells + ['domain' => 'a.example']));
    }

    /** @return array<string, array{string, string}> column, what is written there */
    public static function unreadable(): array
    {
        return [
            'heads in words' => ['headcount', 'many'],
            'less than none' => ['headcount', '-5'],
            'more than there are' => ['headcount', '20 Mio'],
            'no year' => ['founded', '61'],
            'two years' => ['founded', '1961/62'],
            'a year ahead' => ['founded', '2201'],
            'a turnover that nobody tells' => ['revenue', 'on request'],
            'a country that is none' => ['country', 'Zubrowka'],
            'a parent that is none' => ['parent', 'the group'],
            'a status that is none' => ['status', 'friend'],
            'more than there is room for' => ['city', str_repeat('a', 101)],
        ];
    }

    #[DataProvider('unreadable')]
    public function test_a_cell_that_cannot_be_read_costs_only_itself(string $column, string $written): void
    {
        $row = new Cells([$column => $written, 'domain' => 'a.example', 'name' => 'A', 'sites' => '3']);
        self::assertEquals(['domain' => 'a.example', 'name' => 'A', 'sites' => 3], AccountReading::of($row));
        self::assertSame([$column => $written], $row->unread());
    }

    /** @return array<string, array{array<string, string>, array{string, string}}> */
    public static function names(): array
    {
        return [
            'both' => [['first_name' => 'Ida', 'last_name' => 'Lie'], ['Ida', 'Lie']],
            'the whole' => [['name' => 'Ida Marie Lie'], ['Ida Marie', 'Lie']],
            'the last first' => [['name' => 'Lie, Ida Marie'], ['Ida Marie', 'Lie']],
            'one only' => [['name' => 'Lie'], ['', 'Lie']],
            'a first only' => [['first_name' => 'Ida'], ['Ida', '']],
            'parts before the whole' => [['first_name' => 'Ida', 'name' => 'Somebody Else'], ['Ida', '']],
        ];
    }

    /**
     * @param  array<string, string>  $cells
     * @param  array{string, string}  $name
     */
    #[DataProvider('names')]
    public function test_a_name_is_parted(array $cells, array $name): void
    {
        $record = ContactReading::of(new Cells($cells + ['domain' => 'a.example']));
        self::assertSame($name, [$record['first_name'], $record['last_name']]);
    }

    /** @return array<string, array{array<string, string>, list<array<string, string>>}> */
    public static function channels(): array
    {
        $email = fn (string $address, array $state = []): array => ['type' => 'email', 'value' => $address] + $state;

        return [
            'none' => [[], []],
            'an address' => [['email' => 'Ida@A.example'], [$email('ida@a.example')]],
            'with mailto' => [['email' => 'mailto:ida@a.example'], [$email('ida@a.example')]],
            'a checked one' => [
                ['email' => 'ida@a.example', 'email_state' => 'gültig'],
                [$email('ida@a.example', ['state' => 'valid'])],
            ],
            'a dead one' => [
                ['email' => 'ida@a.example', 'email_state' => 'bounced'],
                [$email('ida@a.example', ['state' => 'invalid'])],
            ],
            'a shared one' => [
                ['email' => 'info@a.example'], [$email('info@a.example', ['state' => 'shared'])],
            ],
            'one to be thrown away' => [
                ['email' => 'ida@trashmail.com'], [$email('ida@trashmail.com', ['state' => 'disposable'])],
            ],
            'several' => [
                ['email' => 'ida@a.example; i.lie@a.example', 'email_state' => 'ok'],
                [$email('ida@a.example', ['state' => 'valid']), $email('i.lie@a.example')],
            ],
            'with a name before it' => [['email' => 'Ida Lie <ida@a.example>'], [$email('ida@a.example')]],
            'written against robots' => [['email' => 'ida (at) a.example'], [$email('ida@a.example')]],
            'a shared one that somebody checked' => [
                ['email' => 'praxis@a.example', 'email_state' => 'valid'],
                [$email('praxis@a.example', ['state' => 'shared'])],
            ],
            'a shared one that is dead' => [
                ['email' => 'praxis@a.example', 'email_state' => 'bounced'],
                [$email('praxis@a.example', ['state' => 'invalid'])],
            ],
            'two phones' => [
                ['phone' => '031-390 06 00 / 070-174 06 05', 'country' => 'SE'],
                [
                    ['type' => 'direct_phone', 'value' => '+46 31 390 06 00'],
                    ['type' => 'direct_phone', 'value' => '+46 70 174 06 05'],
                ],
            ],
            'a phone with a word and a slash' => [
                ['phone' => 'Tel. 031/390 06 00', 'country' => 'SE'],
                [['type' => 'direct_phone', 'value' => '+46 31 390 06 00']],
            ],
            'a phone' => [
                ['phone' => '070-174 06 05', 'country' => 'SE'],
                [['type' => 'direct_phone', 'value' => '+46 70 174 06 05']],
            ],
            'a phone from nowhere' => [
                ['phone' => '0701 740 605'], [['type' => 'direct_phone', 'value' => '0701 740 605']],
            ],
            'a switchboard' => [
                ['switchboard' => '+46 31 390 06 00'], [['type' => 'switchboard', 'value' => '+46 31 390 06 00']],
            ],
            'a profile' => [
                ['profile' => 'people.example/ida'],
                [['type' => 'social', 'value' => 'https://people.example/ida']],
            ],
            'activity' => [
                ['active' => '20.11.2026'],
                [['type' => 'social', 'value' => 'social', 'active_at' => '2026-11-20 00:00:00']],
            ],
            'what they asked for' => [['asked' => 'text'], [['type' => 'asked', 'value' => 'text']]],
        ];
    }

    /**
     * @param  array<string, string>  $cells
     * @param  list<array<string, string>>  $channels
     */
    #[DataProvider('channels')]
    public function test_ways_to_somebody_are_read(array $cells, array $channels): void
    {
        $record = ContactReading::of(new Cells($cells + ['domain' => 'a.example', 'name' => 'Ida Lie']));
        self::assertSame($channels, $record['channels']);
    }

    /** @return array<string, array{string, list<array<string, string|null>>}> */
    public static function positions(): array
    {
        $one = fn (string $title, ?string $company, ?string $since, string $until, ?string $domain = null): array => [
            'domain' => $domain, 'company' => $company, 'title' => $title, 'since' => $since, 'until' => $until,
        ];

        return [
            'years' => ['Shift Lead, Fjernlund Papir, 2019–2026', [
                $one('Shift Lead', 'Fjernlund Papir', '2019-01-01', '2026-01-01'),
            ]],
            'months' => ['Shift Lead, Fjernlund Papir, 3/2019 - 11/2025', [
                $one('Shift Lead', 'Fjernlund Papir', '2019-03-01', '2025-11-01'),
            ]],
            'one year' => ['Planner, Fjernlund Papir, 2019', [
                $one('Planner', 'Fjernlund Papir', '2019-01-01', '2019-12-31'),
            ]],
            'no year' => ['Planner, Fjernlund Papir', [$one('Planner', 'Fjernlund Papir', null, '2000-01-01')]],
            'a domain' => ['Planner, fjernlund.example, 2019', [
                $one('Planner', 'fjernlund.example', '2019-01-01', '2019-12-31', 'fjernlund.example'),
            ]],
            'a comma in the company' => ['Planner, Ask, Berg and Co, 2019', [
                $one('Planner', 'Ask, Berg and Co', '2019-01-01', '2019-12-31'),
            ]],
            'a title only' => ['Planner', [$one('Planner', null, null, '2000-01-01')]],
            'two' => ['Planner, A Works, 2019; Clerk, B Works, 2010-2012', [
                $one('Planner', 'A Works', '2019-01-01', '2019-12-31'),
                $one('Clerk', 'B Works', '2010-01-01', '2012-01-01'),
            ]],
        ];
    }

    /** @param  list<array<string, string|null>>  $positions */
    #[DataProvider('positions')]
    public function test_earlier_positions_are_read(string $cell, array $positions): void
    {
        $record = ContactReading::of(new Cells(['before' => $cell, 'domain' => 'a.example', 'name' => 'Ida Lie']));
        self::assertSame($positions, $record['before']);
    }

    /** @return array<string, array{array<string, string>, string}> */
    public static function wrongContacts(): array
    {
        return [
            'nobody' => [['domain' => 'a.example'], 'The name is missing.'],
            'nowhere' => [
                ['name' => 'Ida Lie'],
                'The domain of the account is missing, and the address does not tell it.',
            ],
        ];
    }

    /** @param  array<string, string>  $cells */
    #[DataProvider('wrongContacts')]
    public function test_what_cannot_be_read_of_a_contact_is_said(array $cells, string $says): void
    {
        $this->expectExceptionMessage($says);
        ContactReading::of(new Cells($cells));
    }

    public function test_a_private_address_tells_no_account_and_may_tell_a_person(): void
    {
        $read = ContactReading::of(new Cells(['name' => 'Ida Lie', 'email' => 'ida@gmx.de']));
        self::assertSame([null, true], [$read['domain'], $read['is_short']]);
    }

    /** @return array<string, array{string, string, list<string>}> column, what is written there, what is read of it */
    public static function halfRead(): array
    {
        return [
            'no phone' => ['phone', 'ask', []],
            'what a spreadsheet made of one' => ['phone', '4,93023E+11', []],
            'too short' => ['phone', '0815', []],
            'one of two' => ['phone', '+46 31 390 06 00; ask', ['+46 31 390 06 00']],
            'no end of a domain' => ['email', 'ida@firm', []],
            'no address' => ['email', 'see the web site', []],
            'an address of two' => ['email', 'ida@a.example; ida@', ['ida@a.example']],
            'a profile that could run' => ['profile', 'javascript:alert(1)', []],
            'a state that nobody knows' => ['email_state', 'purple', []],
        ];
    }

    /** @param  list<string>  $read */
    #[DataProvider('halfRead')]
    public function test_what_cannot_be_read_of_a_way_to_somebody_is_left(
        string $column,
        string $written,
        array $read,
    ): void {
        $row = new Cells([$column => $written, 'domain' => 'a.example', 'name' => 'Ida Lie']);
        self::assertSame($read, array_column(ContactReading::of($row)['channels'], 'value'));
        self::assertSame([$column => $written], $row->unread());
    }

    /** @return array<string, array{array<string, string>, array<string, mixed>}> */
    public static function signals(): array
    {
        return [
            'a round' => [
                ['kind' => 'Finanzierung', 'round' => 'B', 'amount' => '12 Mio', 'currency' => 'sek'],
                ['kind' => 'funding', 'facts' => [
                    'round' => 'B', 'amount' => 12e6, 'currency' => 'SEK', 'eur' => 1_071_428.57,
                ]],
            ],
            'openings' => [['kind' => 'jobb', 'openings' => '3'], ['kind' => 'hiring', 'facts' => ['openings' => 3]]],
            'a change of heads' => [
                ['kind' => 'wachstum', 'before' => '400', 'after' => '460'],
                ['kind' => 'growth', 'facts' => ['before' => 400, 'after' => 460]],
            ],
            'a technology' => [
                ['kind' => 'tech_dropped', 'technology' => 'Tryklog'],
                ['kind' => 'tech_dropped', 'facts' => ['technology' => 'Tryklog']],
            ],
            'a technology of something else' => [
                ['kind' => 'news', 'technology' => 'Tryklog'], ['kind' => 'news', 'facts' => null],
            ],
            'a post' => [
                ['kind' => 'engaged with a post', 'deed' => 'commented'],
                ['kind' => 'post_engagement', 'facts' => ['deed' => 'commented']],
            ],
            'a strength' => [
                ['kind' => 'topic', 'strength' => '40 %'],
                ['kind' => 'topic_interest', 'strength' => .4, 'strength_given' => true],
            ],
            'no confidence' => [['kind' => 'presse'], ['kind' => 'news', 'confidence' => 1.0]],
            'some confidence' => [['kind' => 'news', 'confidence' => '.6'], ['kind' => 'news', 'confidence' => .6]],
            'a day' => [
                ['kind' => 'news', 'date' => '17 Nov 2026'],
                ['kind' => 'news', 'occurred_at' => '2026-11-17 00:00:00'],
            ],
        ];
    }

    /**
     * @param  array<string, string>  $cells
     * @param  array<string, mixed>  $says
     */
    #[DataProvider('signals')]
    public function test_a_signal_is_what_its_cells_say(array $cells, array $says): void
    {
        $record = (new SignalRows)->read(new Cells(
            $cells + ['domain' => 'a.example', 'title' => 'Something', 'date' => '2026-11-01'],
        ));
        self::assertEqualsWithDelta($says, array_intersect_key($record, $says), .01);
    }

    /** @return array<string, array{Kind, array<string, mixed>, int|null, float|null}> */
    public static function strengths(): array
    {
        return [
            // 10,000 EUR a head: log10(10) ÷ 2
            'a round of a size' => [Kind::Funding, ['round' => 'A', 'eur' => 4_000_000], 400, .5],
            'of unknown size' => [Kind::Funding, ['round' => 'B'], 400, .9 * .6],
            'an opening' => [Kind::Hiring, [], null, .5],
            'three openings' => [Kind::Hiring, ['openings' => 3], null, .875],
            '10 per cent' => [Kind::Growth, ['before' => 400, 'after' => 440], null, .4],
            'too little' => [Kind::Growth, ['before' => 400, 'after' => 404], null, null],
            'growth without figures' => [Kind::Growth, [], null, 1.0],
            'a reaction' => [Kind::PostEngagement, [], null, .5],
            'a comment' => [Kind::PostEngagement, ['deed' => 'commented'], null, .9],
            'a look at a page' => [Kind::OwnEngagement, [], null, .4],
            'a headline' => [Kind::News, [], null, 1.0],
            'a new site' => [Kind::Expansion, [], null, 1.0],
        ];
    }

    /** @param  array<string, mixed>  $facts */
    #[DataProvider('strengths')]
    public function test_strength_follows_from_the_facts(Kind $kind, array $facts, ?int $heads, ?float $strength): void
    {
        $is = SignalRows::strength($kind, $facts, $heads);
        $strength === null ? self::assertNull($is) : self::assertEqualsWithDelta($strength, $is, 1e-9);
    }

    public function test_a_customer_is_one_from_a_day_to_another(): void
    {
        $read = fn (array $cells): array => (new CustomerRows)->read(
            new Cells($cells + ['domain' => 'a.example']),
        );
        self::assertEquals(
            ['since' => '2024-03-01', 'until' => null, 'best' => true],
            array_intersect_key(
                $read(['since' => '3/2024', 'best' => 'ja']),
                ['since' => 0, 'until' => 0, 'best' => 0],
            ),
        );
        $this->expectExceptionMessage('ends before it begins');
        $read(['since' => '2024', 'until' => '2023']);
    }
}
