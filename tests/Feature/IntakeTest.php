<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Pasted;
use App\Intake\AccountRows;
use App\Intake\Importer;
use App\Intake\Mapping;
use App\Intake\ReceiveFile;
use App\Intake\UnreadableFile;
use App\Jobs\RunIntake;
use App\Models\Account;
use App\Models\Contact;
use App\Models\IndustryLabel;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\KeptList;
use App\Models\Note;
use App\Models\Signal;
use App\Models\Watch;
use App\Standings\Standings;
use App\Support\Gazetteer;
use App\View\Intake\CheckPage;
use App\View\Intake\Outlook;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Tests\TestCase;

final class IntakeTest extends TestCase
{
    /** @return array<string, array{string, string}> */
    public static function writings(): array
    {
        $rows = [
            'Firma%Webseite%Branche%Mitarbeiter%Umsatz%Land%Ort%Beschreibung',
            '"Böck & Söhne"%https://www.böck-glas.example/start%Glas%ca. 1.250%EUR 1,2 '
                ."Mio%Österreich%Łódź%\"Erste Zeile\n".'zweite ""Zeile"""',
        ];
        $text = fn (string $delimiter): string => str_replace('%', $delimiter, implode("\r\n", $rows))."\r\n";

        $utf16 = fn (string $order): string => mb_convert_encoding($text("\t"), $order, 'UTF-8');

        return [
            'comma, UTF-8' => ["\u{FEFF}".str_replace('1,2', '1.2', $text(',')), 'UTF-8'],
            'semicolon, UTF-8 without BOM' => [$text(';'), 'UTF-8'],
            'tab, UTF-16 little endian' => ["\xFF\xFE".$utf16('UTF-16LE'), 'UTF-16LE'],
            'tab, UTF-16 big endian' => ["\xFE\xFF".$utf16('UTF-16BE'), 'UTF-16BE'],
            'tab, UTF-16 without BOM' => [$utf16('UTF-16LE'), 'UTF-16LE'],
            'semicolon, Windows-1252' => [
                mb_convert_encoding(str_replace('Łódź', 'Lodz', $text(';')), 'Windows-1252', 'UTF-8'),
                'Windows-1252',
            ],
        ];
    }

    #[DataProvider('writings')]
    public function test_a_file_in_any_writing_becomes_the_same_account(string $text, string $encoding): void
    {
        $intake = $this->bring(IntakeKind::Accounts, $text);
        $account = Account::query()->with('places', 'industries')->sole();

        self::assertSame([$encoding, 1, 0], [$intake->format['encoding'], $intake->created, $intake->rejected]);
        self::assertSame([
            'Böck & Söhne', 'xn--bck-glas-n4a.example', 1250, 'ca. 1.250', 1_200_000.0, "Erste Zeile\nzweite \"Zeile\"",
        ],
            [
                $account->name, $account->domain, $account->headcount, $account->headcount_given, $account->revenue,
                str_replace("\r", '', (string) $account->description),
            ]);
        self::assertSame(['AT', '2310'], [$account->places->sole()->country, $account->industries->sole()->code]);
    }

    /** @return array<string, array{string}> */
    public static function ends(): array
    {
        return ['' => [''], 'a line feed' => ["\n"], 'an old line end' => ["\r"], 'an empty line' => ["\n\n"]];
    }

    #[DataProvider('ends')]
    public function test_a_letter_beyond_ascii_at_the_end_of_a_file_is_read(string $end): void
    {
        foreach (
            ["domain;name\nmala.example;Sågen i Malå$end", "name;domain\nFabryka Łódź;lodz.example$end"] as $text
        ) {
            self::assertSame('UTF-8', $this->bring(IntakeKind::Accounts, $text)->format['encoding']);
        }
        self::assertSame('Sågen i Malå', Account::query()->where('domain', 'mala.example')->value('name'));
    }

    public function test_the_same_file_twice_changes_nothing_and_a_changed_row_changes_what_it_says(): void
    {
        $this->tunhede();
        $before = $this->everything();
        foreach ($this->brought as [$kind, $text]) {
            $again = $this->bring($kind, $text);
            self::assertSame([0, 0, $again->rows], [$again->created, $again->updated, $again->unchanged], $kind->value);
        }
        self::assertEquals($before, $this->everything());

        $changed = $this
            ->bring(IntakeKind::Accounts, "web;name;employees\nhttps://tunhede.example;Glasverk Tunhede;430\n");
        self::assertSame([0, 1], [$changed->created, $changed->updated]);
        $account = Account::query()->with('places')->sole();
        self::assertSame(
            [430, 'three shifts', 'Hobro'],
            [$account->headcount, $account->keywords, $account->places->sole()->city],
            'what a file leaves out stays',
        );
    }

    public function test_joined_by_domain_and_never_by_name(): void
    {
        $intake = $this->bring(
            IntakeKind::Accounts,
            "domain;name;headcount\na.example;Glasverk;10\nb.example;Glasverk;20\nwww.a.example;Glasverk;30\n",
        );

        self::assertSame(
            ['a.example' => 10, 'b.example' => 20],
            Account::query()->orderBy('domain')->pluck('headcount', 'domain')->all(),
        );
        self::assertSame(
            [4 => 'A row before it says otherwise of a.example: headcount.'],
            $intake->rejections()->where('waits', true)->pluck('reason', 'line')->all(),
        );
    }

    public function test_wrong_rows_are_told_one_by_one_and_can_be_downloaded(): void
    {
        $intake = $this->bring(IntakeKind::Accounts, "domain;name;headcount;country\na.example;Good;10;Sweden\n"
            .";=No domain;10;Sweden\ngmail.com;Free mail;10;Sweden\nb.example;Bad heads;=many;Sweden\n"
            ."c.example;Bad land;10;Atlantis\nd.example;\"open;10;Sweden\ne.example\nf.example;After;12;SE\n");

        self::assertSame(
            [4, 3, 1, 2, 1, 8],
            [
                $intake->created, $intake->rejected, $intake->waiting, $intake->unread, $intake->short, $intake->rows,
            ],
        );
        self::assertSame(
            [['5', 'headcount', '=many'], ['6', 'country', 'Atlantis']],
            DB::table('intake_cells')->orderBy('line')->get()
                ->map(fn ($cell): array => [(string) $cell->line, $cell->heading, $cell->written])->all(),
        );
        $reasons = $intake->rejections()->pluck('reason', 'line')->all();
        foreach (
            [
                3 => 'No website', 4 => 'anybody can have an address', 7 => 'not closed', 8 => 'The name is missing',
            ] as $line => $part
        ) {
            self::assertStringContainsString($part, $reasons[$line]);
        }
        $csv = $this->actingAs($this->rep)->get(route('intake.rejected', $intake))->assertOk()->streamedContent();
        self::assertStringContainsString("'=No domain", $csv, 'a spreadsheet would take it for a formula');
        self::assertStringContainsString('not closed', $csv);
    }

    public function test_all_of_a_file_is_looked_through_before_anything_is_stored(): void
    {
        $text = "domain;name;headcount\n";
        foreach (range(1, 2100) as $n) {
            $text .= "a$n.example;Verk $n;".($n % 100 === 0 ? 'many' : $n)."\n";
        }
        // Of the first hundred it tells once more; of one it has no name, of two no website.
        $text .= implode('', array_map(fn (int $n): string => "a$n.example;Verk $n;$n\n", range(1, 99)))
            ."x.example;;5\n;Verk ohne Netz;5\n;Verk ohne Alles;5\n";
        $file = UploadedFile::fake()->createWithContent('verk.csv', $text);
        $this->actingAs($this->rep)->post('/intake', ['file' => [$file]])->assertRedirect();
        $intake = Intake::query()->latest('id')->firstOrFail();
        self::assertSame(IntakeState::Draft, $intake->state);
        self::assertSame(0, Account::query()->count());
        $outlook = Outlook::of($intake);
        self::assertTrue($outlook->isDone());
        self::assertSame('2,202 rows', $outlook->rows());
        self::assertSame(
            ['new' => '2,100', 'changed' => '0', 'same' => '0', 'waiting' => '2', 'refused' => '1', 'later' => '99'],
            array_column($outlook->tally(), 'number', 'field'),
        );
        self::assertSame([
            AccountRows::NO_WEBSITE => '2 rows',
            'The name is missing, and no account has this domain yet.' => '1 row',
        ], $outlook->reasons());
        self::assertSame(['headcount' => '21 cells'], $outlook->unread());
        $this->get(route('intake.outlook', $intake))->assertOk()->assertSee('2,100');

        // What is said of the file changed: what was found does not hold any more.
        $intake->update(['mapping' => [0 => 'domain', 1 => 'name']]);
        self::assertTrue(Outlook::of($intake)->isMoving());
        $intake->update(['mapping' => [2 => 'headcount']]);
        self::assertFalse(Outlook::of($intake)->isMoving(), 'as long as something is asked');
        $intake->discard();
    }

    public function test_a_stopped_worker_leaves_whole_parts_and_the_rest_can_be_gone_on_with(): void
    {
        $rows = implode('', array_map(fn (int $n): string => "firm$n.example;Firm $n;$n\n", range(1, 4500)));
        $intake = $this->receive(IntakeKind::Accounts, "domain;name;headcount\n".$rows);
        $batches = 0;
        try {
            (new Importer)->run($intake, function () use (&$batches): bool {
                return ++$batches < 2 ? true : throw new RuntimeException('the worker dies');
            });
            self::fail('it lived on');
        } catch (RuntimeException) {
        }
        $intake->refresh();
        self::assertSame(
            [4000, 4000, IntakeState::Running],
            [$intake->created, Account::query()->count(), $intake->state],
        );

        (new Importer)->run($intake);
        $intake->refresh();
        self::assertSame([4500, 0, 4500, IntakeState::Done], [
            $intake->created, $intake->updated, Account::query()->count(), $intake->state,
        ]);
    }

    public function test_after_a_stop_it_is_known_still_of_whom_the_file_told(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\nfirm.example;Firm\n");
        $ida = fn (string $title): string => "firm.example;Ida;Lie;$title;ida@firm.example\n";
        $others = implode('', array_map(
            fn (int $n): string => "firm.example;Bo;Dam$n;Planner;bo$n@firm.example\n",
            range(1, 1999),
        ));
        $intake = $this->receive(
            IntakeKind::Contacts,
            "domain;first name;last name;title;email\n".$ida('Plant Manager').$others.$ida('Receptionist'),
        );
        (new Importer)->run($intake, fn (): bool => false);
        self::assertSame(2000, $intake->refresh()->created);
        (new Importer)->run($intake);
        self::assertSame([2000, 0, 1], [
            $intake->refresh()->created, $intake->updated, $intake->waiting,
        ]);
        self::assertSame('Plant Manager', Contact::query()->where('first_name', 'Ida')->value('title'));
    }

    public function test_an_intake_can_be_undone_but_not_what_others_built_on_it(): void
    {
        $this->tunhede();
        $before = $this->everything();
        $intake = $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;headcount;city;country;technologies\n"
                ."tunhede.example;Glasverk Tunhede;paper;500;Skive;Denmark;Tryklog\nnew.example;New;glass;50;;;\n"
                ."kept.example;Kept;glass;50;;;\n",
        );
        $kept = Account::query()->where('domain', 'kept.example')->sole();
        Note::factory()->create(['account_id' => $kept->id, 'user_id' => $this->rep->id, 'text' => 'Met them.']);
        (new Importer)->undo($intake);

        self::assertSame(IntakeState::Undone, $intake->refresh()->state);
        self::assertSame('One record was kept, because it was changed or built on since.', $intake->message);
        self::assertSame(
            ['kept.example', 'tunhede.example'],
            Account::query()->orderBy('domain')->pluck('domain')->all(),
        );
        $kept->delete();
        self::assertEquals($before, $this->everything());
    }

    public function test_undoing_signals_and_contacts_takes_them_away(): void
    {
        $account = $this->tunhede();
        foreach (Intake::query()->whereIn('kind', ['signals', 'contacts'])->latest('id')->get() as $intake) {
            (new Importer)->undo($intake);
        }
        (new Standings)->refresh();

        self::assertSame([0, 0], [Signal::query()->count(), Contact::query()->count()]);
        self::assertSame(
            ['waiting', 0.0],
            [$this->standing($account)->state->value, $this->standing($account)->access],
        );
    }

    public function test_a_doubtful_label_waits_for_a_decision_that_is_remembered(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name;industry\na.example;A;surface solutions\n");
        (new Standings)->refresh();
        $label = IndustryLabel::query()->sole();
        self::assertNull($label->code);
        foreach (
            [
                'blobs' => '“blobs” is no industry that is known; choose one that is offered while you type.',
                'plastics and more' => '“plastics and more” is no industry that is known; choose one that is offered '
                    .'while you type. Do you mean “2220 Plastics products”?',
                '' => 'Say which industry is meant.',
            ] as $typed => $says
        ) {
            $this->actingAs($this->rep)->patch(route('labels.update', $label), ['code' => $typed])
                ->assertSessionHasErrors(['code' => $says]);
        }
        $this->patch(route('labels.update', $label), ['code' => '2592 Treatment and coating of metals'])
            ->assertRedirect()->assertSessionHasNoErrors();
        $this->bring(IntakeKind::Accounts, "domain;name;industry\nb.example;B;Surface Solutions\n");

        self::assertSame(['2592', '2592'], DB::table('account_industry')->pluck('code')->all());
        self::assertSame(1.0, (float) $this->standing('a.example')->criteria[0]);
        // What was decided stands on the screen, with what it means now, and can be decided otherwise.
        $this->get('/intake')->assertOk()->assertSeeText('Labels decided last')
            ->assertSee('value="2592 Treatment and coating of metals; machining"', false);
        $this->patch(route('labels.update', $label), ['code' => '28 Machinery and equipment n.e.c.'])
            ->assertSessionHasNoErrors();
        self::assertSame(['28', '28'], DB::table('account_industry')->pluck('code')->all(), 'it can be decided anew');
    }

    public function test_a_profile_asks_the_headquarters_or_any_site_as_it_says(): void
    {
        Gazetteer::load();
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;country;city;other sites\n"
                ."a.example;A;Denmark;Aalborg;Göteborg | Zyxville | Malmö (SE) | Skive\n"
                ."b.example;B;Denmark;Aalborg;\n",
        );
        self::assertSame(
            ['Göteborg in SE', 'Zyxville in none that is known', 'Malmö in SE', 'Skive in DK'],
            DB::table('places')->where('headquarters', 0)->orderBy('id')->get()
                ->map(fn ($place): string => "$place->city in ".($place->country ?? 'none that is known'))->all(),
        );
        $states = function (bool $anySite): array {
            $this->offer->rules->update(['criteria' => [[
                'name' => 'in Sweden', 'field' => 'country', 'mode' => 'must', 'any' => ['SE'], 'any_site' => $anySite,
            ]]]);
            Account::query()->update(['stale' => true]);
            (new Standings)->refresh();

            return [$this->standing('a.example')->state->value, $this->standing('b.example')->state->value];
        };

        self::assertSame(['out', 'out'], $states(false));
        self::assertSame(['waiting', 'out'], $states(true));
    }

    public function test_contacts_are_joined_by_address_and_by_name_within_an_account(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\na.example;A\nb.example;B\n");
        $this->bring(
            IntakeKind::Contacts,
            "name;email;title;phone;country\nIda Sandmo-Lie;ida@a.example;COO;031-390 06 12;Sweden\n",
        );
        $moved = $this
            ->bring(IntakeKind::Contacts, "name;email;domain;title\nIda Sandmo-Lie;ida@a.example;b.example;CEO\n");
        $contact = Contact::query()->with('account', 'positions', 'channels')->sole();

        self::assertSame([0, 1, 'b.example', 'CEO'], [
            $moved->created, $moved->updated, $contact->account->domain, $contact->title,
        ]);
        self::assertSame(
            [['CEO', true], ['COO', false]],
            $contact->positions->map(fn ($position): array => [$position->title, $position->until === null])->sort()
                ->values()->all(),
        );
        self::assertContains('+46 31 390 06 12', $contact->channels->pluck('value')->all());
        $other = $this->bring(IntakeKind::Contacts, "name;domain\nIda Sandmo-Lie;a.example\n");
        self::assertSame(1, $other->created, 'the same name elsewhere is somebody else');
        $lost = $this->bring(IntakeKind::Contacts, "name;email\nNo One;no@nowhere.example\n");
        self::assertSame(1, $lost->rejected);
    }

    public function test_a_round_weighs_by_head_also_after_the_headcount_is_known_better(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\na.example;A\n");
        $this->bring(
            IntakeKind::Signals,
            "domain;kind;date;title;round;amount\na.example;funding;17.11.2026;Round B;B;12 Mio\n",
        );
        self::assertEqualsWithDelta(.9 * .6, Signal::query()->sole()->strength, 1e-9);
        $this->bring(IntakeKind::Accounts, "domain;headcount\na.example;420\n");

        self::assertEqualsWithDelta(.9 * log10(12e6 / 420 / 1000) / 2, Signal::query()->sole()->strength, 1e-9);
    }

    /** @return array<string, array{string, string}> */
    public static function unreadable(): array
    {
        return [
            'a workbook' => ["PK\x03\x04rest", 'workbook'],
            'a picture' => ["\x89PNG\r\n\x1a\n\x00\x01\x02", 'not a text file'],
            'nothing' => [" \n", 'empty'],
            'one column' => ["Tunhede\nNordvik\n", 'such as “domain”'],
            'headings only' => ["domain;name\n", 'nothing under it'],
            'half a character of UTF-16' => ["\xFF\xFEd\x00;\x00\x00\xD8\n\x00a\x00;\x00b", 'Save it as UTF-8'],
            'UTF-16 that is none' => ["\xFE\xFF\xD8\x00", 'Save it as UTF-8'],
            'too many columns' => [implode(';', range(1, 501))."\n1\n", 'names 501 columns; at most 500'],
            'a hundred thousand columns' => [implode(';', range(1, 100_000))."\n1\n", 'cannot be read. This row has'],
            'separators only' => ['domain;name'.str_repeat(';', 3_000_000)."\n1;2\n", 'longer than 1 MB'],
            'too many rows' => ["domain;name\n".str_repeat("a\n", 2_000_000), 'more than 2,000,000 lines'],
            'a card that is far too large' => [
                "BEGIN:VCARD\nVERSION:4.0\nFN:Ida Lie\nEND:VCARD\nBEGIN:VCARD\nTEL".str_repeat(';TYPE=work', 110_000)
                    .":1\nEND:VCARD\n",
                'Card number 2 is larger than 1 MB',
            ],
        ];
    }

    #[DataProvider('unreadable')]
    public function test_a_wrong_file_is_refused_in_a_sentence_and_leaves_nothing(string $text, string $part): void
    {
        $this->actingAs($this->rep)
            ->post(route('intake.store'), ['file' => UploadedFile::fake()->createWithContent('list.csv', $text)])
            ->assertSessionHasErrors(['file' => session('errors')?->first('file')]);

        self::assertStringContainsString($part, (string) session('errors')->first('file'));
        self::assertSame(0, Intake::query()->count());
        self::assertSame(
            [],
            array_filter(glob(config('luftig.intakes').'/*') ?: [], is_file(...)),
            'not even half a copy',
        );
    }

    public function test_rows_that_would_take_all_memory_are_refused_and_the_others_come_in(): void
    {
        $rows = 'first.example;First;100'."\n";
        foreach (range(1, 5) as $i) {
            $rows .= "wide$i.example;".str_repeat(';', 400_000)."\n";
        }
        $rows .= 'long.example;'.str_repeat('x', 1 << 20)."\n".'last.example;Last;200'."\n";
        $before = memory_get_peak_usage();
        $intake = $this->bring(IntakeKind::Accounts, "domain;name;headcount\n$rows");

        self::assertSame(['First', 'Last'], Account::query()->orderBy('name')->pluck('name')->all());
        self::assertSame([8, 2, 6], [$intake->rows, $intake->created, $intake->rejected]);
        self::assertSame(
            ['This row has more than 2,000 cells; it was not read.', 'This row is longer than 1 MB; it was not read.'],
            array_values(array_unique($intake->rejections->pluck('reason')->all())),
        );
        self::assertSame([3, 4, 5, 6, 7, 8], $intake->rejections->pluck('line')->all());
        self::assertLessThan(20 << 20, memory_get_peak_usage() - $before, 'bytes');
    }

    public function test_headings_are_as_harmless_in_the_rejected_file_as_cells(): void
    {
        $intake = $this->bring(IntakeKind::Accounts, "domain;name;=1+1\nno domain;=2+2;=3+3\n", $this->rep);
        $csv = $this->actingAs($this->rep)->get(route('intake.rejected', $intake))->streamedContent();
        self::assertStringContainsString("'=1+1", $csv);
        self::assertDoesNotMatchRegularExpression('/(^|[;"])=/m', $csv);
    }

    /** @return array<string, array{string, string|null}> what a file gives as a profile, and what is kept of it */
    public static function profiles(): array
    {
        return [
            'with https' => ['https://profiles.example/in/ida', 'https://profiles.example/in/ida'],
            'with http' => ['http://profiles.example/in/ida', 'http://profiles.example/in/ida'],
            'without' => ['profiles.example/in/ida', 'https://profiles.example/in/ida'],
            'letters of its own' => ['profiles.example/in/åsa', 'https://profiles.example/in/åsa'],
            'a script' => ['javascript:alert(1)', null],
            'a script with slashes' => ['javascript://profiles.example/%0Aalert(1)', null],
            'data' => ['data:text/html;base64,x', null],
            'words' => ['see the web site', null],
        ];
    }

    #[DataProvider('profiles')]
    public function test_a_profile_is_a_page_and_nothing_that_runs(string $given, ?string $kept): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\ntunhede.example;Tunhede\n");
        $intake = $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;profile\ntunhede.example;Ida;Lie;\"$given\"\n",
        );
        self::assertSame([$kept], Contact::query()->pluck('profile')->all());
        self::assertSame(
            $kept === null ? [$given] : [],
            DB::table('intake_cells')->where('intake_id', $intake->id)->pluck('written')->all(),
        );
    }

    public function test_who_has_twenty_files_waiting_brings_no_more_and_those_left_for_a_week_go(): void
    {
        $send = fn () => $this->actingAs($this->rep)->from('/intake')->post(route('intake.store'), [
            'file' => UploadedFile::fake()->createWithContent('list.csv', "domain;name\na.example;A\n"),
        ]);
        $files = fn (): int => count(array_filter(glob(config('luftig.intakes').'/*') ?: [], is_file(...)));
        $before = $files();
        foreach (range(1, 20) as $i) {
            $send()->assertSessionHasNoErrors();
        }
        $send()->assertSessionHasErrors(['file' => 'list.csv was refused. 20 files of yours wait to be checked. Bring '
            .'some of them in, or put them aside, first.']);
        self::assertSame($before + 20, $files());
        $orphan = config('luftig.intakes').'/orphan.csv';
        touch($orphan, now()->subDays(2)->getTimestamp());
        $fresh = config('luftig.intakes').'/fresh.csv';
        touch($fresh, now()->subHours(2)->getTimestamp());
        Intake::query()->limit(19)->update(['updated_at' => now()->subDays(8)]);

        $this->artisan('luftig:tidy')->assertSuccessful();
        self::assertSame(1, Intake::query()->count());
        self::assertSame([false, true], [is_file($orphan), is_file($fresh)]);
        self::assertSame($before + 2, $files(), 'the one that is young, and the file that may be on its way');
        unlink($fresh);
        $send()->assertSessionHasNoErrors();
    }

    public function test_what_was_pasted_and_is_used_nowhere_is_forgotten(): void
    {
        $marks = array_map(
            fn (string $of): string => Pasted::short(str_repeat("$of.example\n", 200)),
            ['list', 'watch', 'nothing', 'young'],
        );
        DB::table('pasted')->where('mark', '<>', $marks[3])->update(['created_at' => now()->subDays(91)]);
        $search = fn (string $mark): string => http_build_query(['c' => [['f' => 'domain', 'v' => $mark]]]);
        $common = [
            'offer_id' => $this->offer->id, 'name' => 'Kept', 'subject' => 'accounts', 'user_id' => $this->rep->id,
        ];
        KeptList::factory()->create($common + ['search' => $search($marks[0])]);
        Watch::factory()->create($common + ['search' => $search($marks[1]), 'rhythm' => 'daily', 'hour' => 6,
            'time_zone' => 'UTC', 'mailed' => false, 'ran_at' => now(), 'next_at' => now()]);

        $this->artisan('luftig:tidy')->assertSuccessful();
        self::assertSame([false, false, true, false], array_map(Pasted::isGone(...), $marks));
    }

    public function test_a_draft_whose_file_is_gone_says_so_and_goes(): void
    {
        $draft = $this->receive(IntakeKind::Accounts, "domain;name\na.example;A\n", $this->rep);
        $draft->update(['state' => 'draft']);
        unlink(Importer::path($draft));
        $this->actingAs($this->rep)->get(route('intake.show', $draft))->assertRedirect(route('intake.index'))
            ->assertSessionHasErrors(['file' => "{$draft->name} was put aside. The file is no longer on this machine; "
                .'bring it again.']);
        self::assertSame(0, Intake::query()->count());
    }

    public function test_a_file_of_200_megabytes_is_refused(): void
    {
        $this->actingAs($this->rep)
            ->post(route('intake.store'), ['file' => UploadedFile::fake()->create('huge.csv', 200 * 1024)])
            ->assertSessionHasErrors('file');
        self::assertStringContainsString('128 MB', (string) session('errors')->first('file'));
        $this->expectException(UnreadableFile::class);
        ReceiveFile::file('/dev/null', 'x.csv', null);
    }

    public function test_two_clicks_at_once_take_a_file_in_once_and_the_second_person_is_told(): void
    {
        Queue::fake();
        $text = "domain;name\na.example;A\n";
        $intake = $this->receive(IntakeKind::Accounts, $text);
        $intake->update(['state' => IntakeState::Draft]);
        $form = ['kind' => 'accounts', 'columns' => ['domain', 'name']];
        $this->actingAs($this->rep)->post(route('intake.start', $intake), $form)->assertRedirect();
        $this->actingAs($this->rep)->post(route('intake.start', $intake), $form)->assertForbidden();
        Queue::assertPushed(RunIntake::class, 1);

        $second = $this->receive(IntakeKind::Accounts, $text, $this->lead);
        $second->update(['state' => IntakeState::Draft]);
        $this->actingAs($this->lead)->get(route('intake.show', $second))->assertOk()
            ->assertSee('The same file is just being brought in by Mira');
    }

    public function test_columns_are_recognised_and_a_mapping_without_domain_or_name_is_refused(): void
    {
        self::assertSame(
            IntakeKind::Contacts,
            Mapping::kind(['Vorname', 'Nachname', 'E-Mail', 'Position'], 'liste.csv'),
        );
        self::assertSame(IntakeKind::Signals, Mapping::kind(['domain', 'kind', 'date', 'title'], 'x.csv'));
        self::assertSame(IntakeKind::Accounts, Mapping::kind(['Company'], 'x.csv'), 'not where nothing is known');
        self::assertSame(
            [0 => 'name', 2 => 'headcount'],
            Mapping::guess(IntakeKind::Accounts, ['Företagsnamn', 'Irgendwas', 'Antal anställda']),
        );
        $intake = $this->receive(IntakeKind::Accounts, "a;b\n1;2\n");
        $intake->update(['state' => IntakeState::Draft]);
        $this->actingAs($this->rep)
            ->post(route('intake.start', $intake), ['kind' => 'accounts', 'columns' => ['', 'headcount']])
            ->assertSessionHasErrors('mapping');
        self::assertSame(IntakeState::Draft, $intake->refresh()->state);
    }

    public function test_columns_whose_headings_say_nothing_are_guessed_by_their_cells_and_marked(): void
    {
        $file = fn (string $text): Intake => ReceiveFile::file($this->saved($text), 'x.csv', $this->rep);
        $intake = $file("Wer;Wo;Womit;Sonst;Nochwas\nIda Lie;www.a.example;ida@a.example;+46 31 390 06 00;rot\n"
            ."Bo Rye;b.example;bo@b.example;+46 31 390 06 01;blau\nCato Dam;c.example;c@c.example;0313900602;n/a\n");
        self::assertSame(
            [1 => 'domain', 2 => 'email', 3 => 'phone'],
            Mapping::guess(IntakeKind::Contacts, $intake->format['columns'], $intake->format['sorts'] ?? []),
        );
        $intake->update(['kind' => IntakeKind::Contacts, 'mapping' => [1 => 'domain', 2 => 'email']]);
        self::assertSame([
            'left out', 'guessed, since it holds web addresses; is it so?',
            'guessed, since it holds e-mail addresses; is it so?', 'left out; it seems to hold phone numbers',
            'left out',
        ], array_column(CheckPage::of($intake, $this->rep)->columns(), 'hint'));

        $reactions = $file("Who;Post;Reaction;When\n".implode('', array_map(
            fn (int $n): string => "https://p.example/$n;https://posts.example/x;liked;2026-11-20 08:0$n\n", [1, 2, 3],
        )));
        self::assertSame(
            [IntakeKind::Reactions, ['profile', 'link', 'deed', 'date']], [$reactions->kind, $reactions->mapping],
        );
        $reactions->discard();

        // What a heading says goes before what cells seem to hold.
        $told = $file(
            "domain;name;Umsatz 2024\na.example;Ida;b.example\nc.example;Bo;d.example\ne.example;Cato;f.example\n",
        );
        self::assertSame([0 => 'domain', 1 => 'name'], $told->mapping);
        self::assertSame(
            [null, null, 'left out; it seems to hold web addresses'],
            array_column(CheckPage::of($told, $this->rep)->columns(), 'hint'),
        );
        $intake->discard();
        $told->discard();
    }

    private function saved(string $text): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'luftig');
        file_put_contents($path, $text);

        return $path;
    }

    public function test_a_filled_template_is_taken_in_whole(): void
    {
        foreach (IntakeKind::cases() as $kind) {
            $intake = $this->bring(
                $kind,
                $this->actingAs($this->rep)->get(route('intake.template', $kind->value))->assertOk()->streamedContent(),
            );
            self::assertSame(
                [1, 0],
                [$intake->created + $intake->unchanged, $intake->rejected],
                $kind->value.': '.$intake->rejections()->pluck('reason')->implode(', '),
            );
        }
    }

    /** @return array<string, mixed> every fact, without what only tells when it was written */
    private function everything(): array
    {
        $all = [];
        foreach (
            [
                'accounts', 'account_industry', 'account_technology', 'places', 'contacts', 'channels', 'positions',
                'signals',
            ] as $table
        ) {
            $all[$table] = DB::table($table)->get()
                ->map(
                    fn (object $row): array => array_diff_key(
                        (array) $row,
                        array_flip(['updated_at', 'stale']) + ($table === 'places' ? ['id' => 0] : []),
                    ),
                )
                ->all();
        }

        return $all;
    }
}
