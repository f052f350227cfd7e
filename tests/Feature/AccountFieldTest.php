<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Contacts\Doubles;
use App\Exports\Export;
use App\Exports\ExportFormats;
use App\Finder\Bands;
use App\Finder\Menu;
use App\Finder\ResultColumn;
use App\Finder\ResultRows;
use App\Finder\Search;
use App\Intake\RowReaders;
use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Double;
use App\Models\IntakeKind;
use App\Models\KeepOut;
use App\Models\Place;
use App\Models\Standing;
use App\Models\StandingState;
use App\Standings\Standings;
use App\Support\AccountField;
use App\Support\FieldKind;
use App\View\Account\AccountPage;
use Generator;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Schema;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** A fact of accounts is said once, and is read, searched, given out, merged and shown; and what formats give out. */
final class AccountFieldTest extends TestCase
{
    /** @return array<string, array{AccountField}> */
    public static function all(): array
    {
        return array_map(fn (AccountField $field): array => [$field], AccountField::all());
    }

    #[DataProvider('all')]
    public function test_a_fact_is_known_everywhere(AccountField $field): void
    {
        self::assertTrue(Schema::hasColumn('accounts', $field->column), 'its migration');
        $inFile = RowReaders::columns(IntakeKind::Accounts)[$field->column];
        self::assertSame($field->inFile->label, $inFile->label);
        self::assertSame([], array_diff($field->inFile->names, $inFile->names));
        $template = (string) $this->actingAs($this->rep)->get(route('intake.template', 'accounts'))->streamedContent();
        self::assertStringContainsString(str_replace('_', ' ', $field->column), $template);

        $this->bring(
            IntakeKind::Accounts,
            "domain;name;{$field->column}\na.example;A;\"{$field->inFile->example}\"\nb.example;B;\n",
        );
        (new Standings)->refresh();
        $account = Account::query()->where('domain', 'a.example')->sole();
        $value = $account->getAttribute($field->column);
        self::assertNotNull($value);

        if ($field->condition !== null) {
            $search = Search::from($this->offer->refresh(), ['on' => 'accounts', 'c' => [
                ['f' => $field->condition->value, 'lo' => (string) $value, 'hi' => (string) $value],
            ]]);
            self::assertSame([$account->id], $search->ids());
            self::assertContains($field->condition, array_merge(...array_values(Menu::of($search))));
            self::assertSame(Comparison::Range, $field->condition->test());
        }
        if ($field->heading !== null) {
            $rows = ResultRows::of($this->offer, Subject::Accounts, [$account->id]);
            self::assertSame(
                (string) $value,
                ResultColumn::of(Subject::Accounts)[$field->heading]->value($rows->records[0], $rows),
            );
        }
        $page = AccountPage::of($this->offer, $account, $this->rep, []);
        $shown = $field->kind->shown($value);
        self::assertSame($shown, $page->facts()[$field->label][0]);

        $other = Account::query()->where('domain', 'b.example')->sole();
        $double = Double::query()->create([
            'record' => 'account', 'first_id' => $other->id, 'second_id' => $account->id, 'state' => 'open',
            'score' => 1, 'because' => [],
        ]);
        Doubles::merge($double, $this->lead);
        self::assertEquals($value, $other->refresh()->getAttribute($field->column), 'it fills a gap of the other');
    }

    /** @return array<string, array{FieldKind, float|int|string, string}> */
    public static function kinds(): array
    {
        return [
            'a count' => [FieldKind::Count, 1250, '1,250'], 'growth' => [FieldKind::Growth, -.08, '−8 %'],
            'a year' => [FieldKind::Year, 1961, '1961'], 'a text' => [FieldKind::Text, 'Makes glass.', 'Makes glass.'],
            'words' => [FieldKind::Words, 'glass; three shifts', 'glass; three shifts'],
        ];
    }

    #[DataProvider('kinds')]
    public function test_a_value_is_shown_by_its_kind(FieldKind $kind, float|int|string $value, string $shown): void
    {
        self::assertSame($shown, $kind->shown($value));
    }

    /** @return array<string, array{Field, list<string>}> */
    public static function bands(): array
    {
        return [
            'heads, by the size classes of the EU' => [
                Field::Headcount, ['up to 9', '10 – 49', '50 – 249', '250 – 999', 'from 1000'],
            ],
            'growth' => [Field::Growth, ['up to −5 %', '−5 % – 0 %', '0 % – 5 %', '5 % – 20 %', 'over 20 %']],
            'sites' => [Field::Sites, ['up to 1', '2 – 3', '4 – 10', 'from 11']],
            'years' => [Field::Founded, ['up to 1949', '1950 – 1989', '1990 – 2009', 'from 2010']],
            'revenue' => [Field::Revenue, ['up to 2 M', '2 M – 10 M', '10 M – 50 M', '50 M – 250 M', 'over 250 M']],
            'what has none' => [Field::City, []],
        ];
    }

    /** @param  list<string>  $says */
    #[DataProvider('bands')]
    public function test_numbers_are_counted_in_bands(Field $field, array $says): void
    {
        self::assertSame($says, array_column(Bands::of($field), 2));
        $below = null;
        foreach (Bands::of($field) as [$from, $to]) {
            self::assertTrue($below === null || $from > $below, 'a number stands in one band');
            $below = $to;
        }
    }

    public function test_columns_are_given_out_as_chosen_and_remembered(): void
    {
        $ask = fn (array $query, ?string $cookie = null): array => array_column(ResultColumn::chosen(
            new Request($query, cookies: $cookie === null ? [] : ['columns_accounts' => $cookie]),
            Subject::Accounts,
        ), 'heading');
        self::assertSame(['city', 'account'], $ask(['columns' => ['city', 'account', 'city', 'nonsense', ['x']]]));
        self::assertSame(['fit'], $ask([], '["fit"]'));
        self::assertSame(['account'], $ask(['columns' => ['account']], '["fit"]'), 'what is asked for now');
        foreach ([[], ['columns' => []], ['columns' => 'account'], ['columns' => ['title']]] as $query) {
            self::assertSame(array_keys(ResultColumn::of(Subject::Accounts)), $ask($query, 'broken{'));
        }
        self::assertSame([], array_diff(
            ['first name', 'e-mail', 'title', 'account', 'headcount', 'kept out'],
            array_keys(ResultColumn::of(Subject::Contacts)),
        ));
        self::assertArrayNotHasKey('contacts known', ResultColumn::of(Subject::Contacts));
        self::assertArrayNotHasKey('e-mail', ResultColumn::of(Subject::Accounts));
    }

    public function test_a_row_gives_out_what_is_known_of_a_person_and_their_account(): void
    {
        $account = Account::factory()->create([
            'name' => 'Glasverk', 'domain' => 'glasverk.example', 'headcount' => 420, 'revenue' => 78e6,
            'owner_id' => $this->rep->id, 'source' => 'register',
        ]);
        Place::factory()->create(['account_id' => $account->id]);
        $account->industries()->createMany([['code' => '2310', 'position' => 0], ['code' => '2399', 'position' => 1]]);
        $contact = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => 'Ida', 'last_name' => 'Lie', 'title' => 'Planner',
            'source' => 'a fair',
        ]);
        $contact->positions()->create(['account_id' => $account->id, 'title' => 'Planner', 'since' => '2024-03-01']);
        Channel::factory()->create(['contact_id' => $contact->id, 'value' => 'ida@glasverk.example']);
        Standing::factory()->create([
            'account_id' => $account->id, 'offer_id' => $this->offer->id, 'act_by' => '2027-01-31',
            'contacts' => [[$contact->id, 41.66, 'user', null]],
        ]);
        $rows = ResultRows::of($this->offer, Subject::Contacts, [$contact->id]);
        $values = array_map(
            fn (ResultColumn $column): string => $column->value($rows->records[0], $rows),
            ResultColumn::of(Subject::Contacts),
        );
        self::assertSame([
            'priority' => '41.7', 'part' => 'user', 'first name' => 'Ida', 'last name' => 'Lie', 'title' => 'Planner',
            'in the position since' => '2024-03-01', 'e-mail' => 'ida@glasverk.example',
            'state of the e-mail' => 'checked', 'phone' => '', 'profile' => '', 'account' => 'Glasverk',
            'domain' => 'glasverk.example',
            'industry' => 'Glass and glass products; Other non-metallic mineral products n.e.c.',
            'industry (ISIC)' => '2310 2399', 'country' => 'Denmark', 'city' => 'Hobro',
            'headcount' => '420', 'growth over a year' => '', 'sites' => '', 'founded' => '', 'keywords' => '',
            'description' => '', 'technologies' => '', 'revenue (EUR)' => '78000000', 'owner' => 'Mira',
            'why now' => '', 'why it matched' => '', 'draft' => '', 'fit' => '0.80',
            'act by' => '2027-01-31', 'source' => 'a fair', 'kept out' => '', 'state' => 'ranked',
        ], array_diff_key($values, ['read as' => 0]));
    }

    public function test_formats_give_out_the_same_and_leave_out_whom_they_cannot_mark(): void
    {
        [$ida, $olav] = Contact::factory()->count(2)->sequence(
            ['first_name' => 'Ida', 'last_name' => 'Lie'], ['first_name' => 'Olav', 'last_name' => '=Berg'],
        )->create()->all();
        KeepOut::factory()
            ->create(['type' => 'contact', 'contact_id' => $olav->id, 'value' => 'Olav', 'reason' => 'no']);
        $columns = ResultColumn::of(Subject::Contacts);
        $export = new Export(
            'contacts',
            [$columns['first name'], $columns['last name'], $columns['kept out']],
            function () use ($ida, $olav): Generator {
                $rows = ResultRows::of($this->offer, Subject::Contacts, [$ida->id, $olav->id]);
                foreach ($rows->records as $record) {
                    yield [$record, $rows];
                }
            },
            'https://luftig.example/finder?on=contacts',
            2,
        );
        $text = function (string $format) use ($export): string {
            $response = ExportFormats::of($format)->download($export);
            self::assertStringContainsString("contacts.$format", (string) $response->headers->get(
                'Content-Disposition',
            ));
            ob_start();
            $response->sendContent();

            return (string) ob_get_clean();
        };
        self::assertSame(['csv', 'xlsx', 'jsonl', 'vcf'], ExportFormats::endings());
        self::assertSame(
            "\xEF\xBB\xBF\"first name\";\"last name\";\"kept out\"\nIda;Lie;\nOlav;'=Berg;no\n",
            $text('csv'),
        );
        self::assertSame([
            ['search' => 'https://luftig.example/finder?on=contacts', 'found' => 2],
            ['first name' => 'Ida', 'last name' => 'Lie', 'kept out' => ''],
            ['first name' => 'Olav', 'last name' => '=Berg', 'kept out' => 'no'],
        ], array_map(
            fn (string $line): mixed => json_decode($line, true),
            explode("\n", trim($text('jsonl'))),
        ));
        self::assertSame(1, substr_count($text('vcf'), 'BEGIN:VCARD'));
        self::assertStringContainsString('FN:Ida Lie', $text('vcf'));
        Standing::factory()->create([
            'account_id' => $ida->account_id, 'offer_id' => $this->offer->id, 'state' => StandingState::Out,
        ]);
        self::assertSame('', $text('vcf'), 'nor is anybody of an account that is out');
    }
}
