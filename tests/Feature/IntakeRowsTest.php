<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Search;
use App\Intake\Importer;
use App\Intake\Mapping;
use App\Jobs\RunIntake;
use App\Models\Account;
use App\Models\Contact;
use App\Models\CustomerPeriod;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\Signal;
use App\Standings\Standings;
use App\View\Intake\IntakePage;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * What rows of each kind become, what is said of those that cannot be right, and how a file is taken in by the screens.
 */
final class IntakeRowsTest extends TestCase
{
    public function test_customers_come_in_are_corrected_and_undone(): void
    {
        $account = $this->tunhede();
        $first = $this->bring(
            IntakeKind::Customers,
            "domain;since;until;best\ntunhede.example;2024-03-01;;yes\nnobody.example;2024;;\n"
                ."tunhede.example;2023-05-01;2022-01-01;\n",
        );
        self::assertSame([1, 2], [$first->created, $first->rejected]);
        $reasons = $first->rejections()->pluck('reason', 'line')->all();
        self::assertStringContainsString('nobody.example', $reasons[3]);
        self::assertStringContainsString('ends before it begins', $reasons[4]);
        (new Standings)->refresh();
        self::assertSame('customer since 1 Mar 2024', $this->standing($account)->cause);
        self::assertSame([0, 0, 1], array_values(
            $this->bring(IntakeKind::Customers, "domain;since;until;best\ntunhede.example;2024-03-01;;yes\n")
                ->only('created', 'updated', 'unchanged'),
        ));

        $ended = $this
            ->bring(IntakeKind::Customers, "domain;since;until;best\ntunhede.example;2024-03-01;2025-12-31;no\n");
        (new Standings)->refresh();
        self::assertSame([1, null], [$ended->updated, $this->standing($account)->cause]);
        (new Importer)->undo($ended);
        (new Standings)->refresh();
        self::assertSame('customer since 1 Mar 2024', $this->standing($account)->cause, 'as it was before');
        (new Importer)->undo($first->refresh());
        (new Standings)->refresh();
        self::assertSame([null, 0], [$this->standing($account)->cause, DB::table('customer_periods')->count()]);
    }

    public function test_columns_of_ones_own_are_kept_added_to_and_found(): void
    {
        $text = "domain;name;Ovens;Shifts\ntunhede.example;Glasverk Tunhede;4;three\n";
        $intake = $this->receive(IntakeKind::Accounts, $text);
        $intake->update(
            ['mapping' => [0 => 'domain', 1 => 'name', 2 => 'extras', 3 => 'extras'], 'state' => IntakeState::Queued],
        );
        (new Importer)->run($intake);
        $account = Account::query()->sole();
        self::assertSame(
            ['Ovens' => '4', 'Shifts' => 'three'],
            $account->extras()->get()->mapWithKeys(fn ($extra): array => [$extra->name => $extra->pivot->value])->all(),
        );

        $again = $this->receive(IntakeKind::Accounts, "domain;Ovens\ntunhede.example;5\n");
        $again->update(['mapping' => [0 => 'domain', 1 => 'extras'], 'state' => IntakeState::Queued]);
        (new Importer)->run($again);
        self::assertSame(
            ['Ovens' => '5', 'Shifts' => 'three'],
            $account->extras()->get()->mapWithKeys(fn ($extra): array => [$extra->name => $extra->pivot->value])->all(),
            'one is corrected, the other stays',
        );
        (new Standings)->refresh();
        self::assertSame(
            1,
            Search::from($this->offer, ['on' => 'accounts', 'c' => [['f' => 'attribute', 'w' => 'ovens', 'v' => '5']]])
                ->total(),
        );
        (new Importer)->undo($again->refresh());
        self::assertSame('4', $account->extras()->where('name', 'Ovens')->sole()->pivot->value);
    }

    public function test_undoing_takes_back_labels_and_facts_of_ones_own_that_nothing_else_uses(): void
    {
        $take = function (string $text): Intake {
            $intake = $this->receive(IntakeKind::Accounts, $text);
            $intake->update([
                'mapping' => [0 => 'domain', 1 => 'name', 2 => 'industry', 3 => 'extras', 4 => 'extras'],
                'state' => IntakeState::Queued,
            ]);
            (new Importer)->run($intake);

            return $intake->refresh();
        };
        $take("domain;name;industry;Ovens;Shifts\na.example;A;Zauberei;4;\n");
        $undone = $take("domain;name;industry;Ovens;Shifts\nb.example;B;Zauberei;5;three\nc.example;C;Hexerei;;\n");
        $labels = fn (): array => DB::table('industry_labels')->orderBy('label')->pluck('label')->all();
        self::assertSame(['hexerei', 'zauberei'], $labels());
        (new Importer)->undo($undone);
        self::assertSame(['zauberei'], $labels());
        self::assertSame(['Ovens'], DB::table('attributes')->pluck('name')->all());
    }

    /** @return list<array{IntakeKind, string, string}> kind, row, what is said of it */
    public static function wrong(): array
    {
        $accounts = 'domain;name;headcount;growth;founded;status;parent';
        $signals = 'domain;kind;date;title;strength;confidence;link;before;after;deed';
        $contacts = 'domain;first name;last name;title;email;email state;since';

        return [
            [IntakeKind::Accounts, "$accounts\na.example;;;;;;\n", 'The name is missing'],
            [
                IntakeKind::Signals,
                "$signals\ntunhede.example;rumour;2026-11-01;Said;;;;;;\n",
                'is not known; say what it means',
            ],
            [IntakeKind::Signals, "$signals\ntunhede.example;news;someday;Said;;;;;;\n", 'day'],
            [IntakeKind::Signals, "$signals\ntunhede.example;news;2026-11-01;;;;;;;\n", 'What happened'],
            [
                IntakeKind::Signals,
                "$signals\ntunhede.example;growth;2026-11-01;Grew;;;;400;404;\n",
                'too small to be a signal',
            ],
            [IntakeKind::Signals, "$signals\nnobody.example;news;2026-11-01;Said;;;;;;\n", 'nobody.example'],
            [IntakeKind::Contacts, "$contacts\nnobody.example;Ida;Lie;;;;\n", 'nobody.example'],
            [IntakeKind::Contacts, "$contacts\ntunhede.example;;;Planner;;;\n", 'name'],
        ];
    }

    #[DataProvider('wrong')]
    public function test_what_cannot_be_right_is_said_and_nothing_comes_of_it(
        IntakeKind $kind,
        string $text,
        string $part,
    ): void {
        $this->tunhede();
        $count = fn (): array => array_map(
            fn (string $table): int => DB::table($table)->count(),
            ['accounts', 'contacts', 'signals', 'channels', 'positions', 'places'],
        );
        $before = $count();
        $intake = $this->bring($kind, $text);
        self::assertSame([0, 0, 1], [$intake->created, $intake->updated, $intake->rejected]);
        self::assertStringContainsString($part, (string) $intake->rejections()->value('reason'));
        self::assertSame($before, $count());
    }

    public function test_a_signal_is_corrected_and_its_correction_undone(): void
    {
        $this->tunhede();
        $text = fn (
            string $quote,
            string $strength,
        ): string => "domain;kind;date;title;quote;strength\n"
            ."tunhede.example;expansion;2026-11-20;Fourth line;$quote;$strength\n";
        $this->bring(IntakeKind::Signals, $text('It starts in spring.', '.4'));
        $corrected = $this->bring(IntakeKind::Signals, $text('It starts in autumn.', '.8'));
        $signal = Signal::query()->where('kind', 'expansion')->sole();
        self::assertSame([1, 'It starts in autumn.', .8], [$corrected->updated, $signal->quote, $signal->strength]);
        (new Importer)->undo($corrected);
        self::assertSame(['It starts in spring.', .4], [$signal->refresh()->quote, $signal->strength]);
    }

    public function test_growth_in_per_cent_is_read_with_and_without_its_sign(): void
    {
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;growth\na.example;A;4,5 %\nb.example;B;12\nc.example;C;-.08\nd.example;D;250 %\n",
        );
        self::assertEqualsWithDelta(
            ['A' => .045, 'B' => .12, 'C' => -.08, 'D' => 2.5],
            Account::query()->orderBy('name')->pluck('growth', 'name')->all(),
            1e-9,
        );
    }

    public function test_a_file_is_looked_at_corrected_and_taken_in_by_the_screens(): void
    {
        Queue::fake();
        $this->tunhede();
        $this->actingAs($this->rep);
        $file = UploadedFile::fake()->createWithContent(
            'people.csv',
            "web;first name;last name;position\ntunhede.example;Ida;Lie;Planner\n;Nobody;Nowhere;\n",
        );
        $this->post(route('intake.store'), ['file' => $file])->assertRedirect();
        $intake = Intake::query()->latest('id')->firstOrFail();
        $this->get(route('intake.show', $intake))->assertOk()->assertSeeText('What becomes of its rows')
            ->assertSeeText('Ida');
        $this->patch(route('intake.update', $intake), ['kind' => 'accounts'])
            ->assertRedirect(route('intake.show', $intake));
        self::assertSame(IntakeKind::Accounts, $intake->refresh()->kind);
        $this->patch(route('intake.update', $intake), ['kind' => 'contacts'])->assertRedirect();
        $this->patch(route('intake.update', $intake), [
            'kind' => 'contacts',
            'columns' => [0 => 'domain', 1 => 'first_name', 2 => 'last_name', 3 => 'nonsense', 99 => 'title'],
            'source' => 'a fair',
        ])
            ->assertRedirect();
        self::assertSame(
            [[0 => 'domain', 1 => 'first_name', 2 => 'last_name'], 'a fair'],
            [$intake->refresh()->mapping, $intake->source],
        );
        $this
            ->post(
                route('intake.start', $intake),
                ['kind' => 'contacts', 'columns' => [1 => 'first_name', 2 => 'last_name']],
            )
            ->assertSessionHasErrors('mapping');
        $this->post(route('intake.start', $intake), [
            'kind' => 'contacts',
            'columns' => [0 => 'domain', 1 => 'first_name', 2 => 'last_name', 3 => 'title'],
            'source' => 'a fair',
        ])
            ->assertSessionHasNoErrors();
        Queue::assertPushed(RunIntake::class, 1);
        $this->post(route('intake.start', $intake), ['kind' => 'contacts', 'columns' => [0 => 'domain']])
            ->assertForbidden();
        $this->delete(route('intake.destroy', $intake))->assertStatus(409);
        (new Importer)->run($intake->refresh());
        $this->get(route('intake.show', $intake))->assertOk()->assertSeeText('The domain of the account is missing');
        self::assertSame(['Planner', 'a fair'], array_values(
            Contact::query()->where('first_name', 'Ida')->sole()->only('title', 'source'),
        ));

        $this->post(route('intake.undo', $intake));
        $this->post(route('intake.undo', $intake));
        Queue::assertPushed(RunIntake::class, 2);
        $intake->update(['state' => IntakeState::Stopped]);
        $this->post(route('intake.resume', $intake));
        $this->post(route('intake.resume', $intake));
        Queue::assertPushed(RunIntake::class, 3);
    }

    public function test_rows_that_wait_come_in_as_somebody_says(): void
    {
        $intake = $this->bring(
            IntakeKind::Accounts,
            "domain,name,headcount,city\nfjernlund.example,Fjernlund Papir,1,250,Hobro\n,Praxis Quastrode,4,Wismar\n"
                ."tunhede.example,Glasverk Tunhede,420,Hobro\n,Backstube Ginster,many,Wismar\n",
        );
        self::assertSame([1, 3], [$intake->created, $intake->waiting]);
        self::assertSame(
            ['no_website' => 'Bring in 2 rows without a website', 'proposed' => 'Read 1 row as proposed'],
            IntakePage::of($intake, $this->rep)->settles(),
        );
        $this->actingAs($this->person('Anton', $this->rep->role))
            ->post(route('intake.settle', $intake), ['how' => 'proposed'])->assertForbidden();
        $intake->update(['user_id' => $this->rep->id]);

        $this->actingAs($this->rep)->post(route('intake.settle', $intake), ['how' => 'proposed'])
            ->assertSessionHas('said', '1 row that waited came in; undoing the file undoes them too.');
        $fjernlund = Account::query()->where('domain', 'fjernlund.example')->sole();
        self::assertSame([1250, 'Hobro'], [$fjernlund->headcount, $fjernlund->headquarters()?->city]);
        self::assertSame([2, 2], [$intake->refresh()->created, $intake->waiting]);

        $this->post(route('intake.settle', $intake), ['how' => 'no_website']);
        self::assertSame(
            ['Backstube Ginster', 'Praxis Quastrode'],
            Account::query()->whereNull('domain')->orderBy('name')->pluck('name')->all(),
        );
        self::assertSame([4, 0, 0], [
            $intake->refresh()->created, $intake->waiting, $intake->rejections()->count(),
        ]);
        self::assertSame([], IntakePage::of($intake, $this->rep)->settles());
        $this->post(route('intake.settle', $intake), ['how' => 'no_website'])
            ->assertSessionHas('said', '0 rows that waited came in; undoing the file undoes them too.');

        (new Importer)->undo($intake);
        self::assertSame(0, Account::query()->count(), 'with their file they go');
    }

    public function test_a_list_may_be_of_one_column(): void
    {
        $names = $this->bring(IntakeKind::Accounts, "Company\nPraxis Quastrode\n\nBackstube Ginster, Wismar\n");
        self::assertSame([0, 2], [$names->created, $names->waiting]);
        $this->actingAs($this->rep)->post(route('intake.settle', $names), ['how' => 'no_website']);
        self::assertSame(
            ['Backstube Ginster, Wismar', 'Praxis Quastrode'],
            Account::query()->orderBy('name')->pluck('name')->all(),
        );

        $this->bring(IntakeKind::Accounts, "domain;name\nfjernlund.example;Fjernlund Papir\n");
        $customers = $this->bring(IntakeKind::Customers, "Website\nhttps://www.fjernlund.example/\nnobody.example\n");
        self::assertSame([1, 1], [$customers->created, $customers->rejected]);
        self::assertSame(
            Account::query()->where('domain', 'fjernlund.example')->sole()->id,
            CustomerPeriod::query()->sole()->account_id,
        );
    }

    public function test_who_is_there_is_told_by_a_profile_or_an_address_alone(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\nfjernlund.example;Fjernlund Papir\n");
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;title;email;profile\n"
                ."fjernlund.example;Ida;Lie;Planner;ida@fjernlund.example;https://people.example/ida\n"
                ."fjernlund.example;Bo;Rye;Manager;office@fjernlund.example;\n"
                ."fjernlund.example;Cato;Rye;Manager;office@fjernlund.example;\n",
        );
        $update = $this->bring(
            IntakeKind::Contacts,
            "profile;email;title;phone\n"
                ."HTTPS://people.example/Ida;;Head of Maintenance;\n"
                .";ida@fjernlund.example;;+47 22 00 00 01\n"
                .";office@fjernlund.example;Chief;\n"
                ."https://people.example/nobody;;Chief;\n"
                .";new@fjernlund.example;Chief;\n",
        );
        self::assertSame([0, 2, 3], [$update->created, $update->updated, $update->rejected]);
        $ida = Contact::query()->where('first_name', 'Ida')->sole();
        self::assertSame(['Lie', 'Head of Maintenance'], [$ida->last_name, $ida->title]);
        self::assertSame(1, $ida->channels()->where('type', 'direct_phone')->count());
        self::assertSame([
            4 => 'Several people have this address; a name or a profile would tell whose row it is.',
            5 => 'Nobody here has this profile; of somebody new the name and the domain of the account are needed.',
            6 => 'Nobody here has this address; of somebody new the name and the domain of the account are needed.',
        ], $update->rejections()->pluck('reason', 'line')->all());
        self::assertSame(3, Contact::query()->count());

        $nameless = $this->bring(IntakeKind::Contacts, "domain;title\nfjernlund.example;Chief\n");
        self::assertSame(1, $nameless->rejected);
        $mapping = fn (array $columns): ?string => Mapping::problem(new Intake([
            'kind' => IntakeKind::Contacts, 'mapping' => $columns, 'format' => ['columns' => ['a', 'b']],
        ]));
        self::assertNull($mapping(['profile', 'title']));
        self::assertSame(
            'No column is chosen for: domain of the account, whole name.', $mapping(['title', 'phone']),
        );
    }

    public function test_a_profile_is_one_in_large_and_small_letters_and_never_stops_a_file(): void
    {
        $this->bring(IntakeKind::Accounts, "domain;name\nfjernlund.example;Fjernlund Papir\n");
        $text = "domain;name;title;profile\n"
            ."fjernlund.example;Ida Lie;Planner;https://people.example/Ida\n"
            // The same in other letters, once with a fuller name, once with another.
            ."fjernlund.example;Ida Marie Lie;Planner;https://PEOPLE.example/ida\n"
            ."fjernlund.example;Bo Rye;Planner;https://people.example/IDA\n"
            // An accent makes another.
            ."fjernlund.example;Cato Rye;Planner;https://people.example/idá\n";
        foreach ([[2, 1], [0, 0]] as [$new, $changed]) {
            $intake = $this->bring(IntakeKind::Contacts, $text);
            self::assertSame(IntakeState::Done, $intake->state);
            self::assertSame([$new, $changed, 1], [$intake->created, $intake->updated, $intake->waiting]);
        }
        self::assertSame(
            ['Cato Rye' => 'https://people.example/idá', 'Ida Marie Lie' => 'https://people.example/Ida'],
            Contact::query()->orderBy('first_name')->get()
                ->mapWithKeys(fn (Contact $one): array => [$one->name() => $one->profile])->all(),
        );
        self::assertSame(2, DB::table('channels')->where('type', 'social')->count());
    }

    public function test_a_file_that_is_put_aside_leaves_nothing(): void
    {
        $this->actingAs($this->rep)->post(route('intake.store'), [
            'file' => UploadedFile::fake()->createWithContent('a.csv', "domain;name\na.example;A\n"),
        ]);
        $intake = Intake::query()->sole();
        $path = Importer::path($intake);
        self::assertFileExists($path);
        $this->delete(route('intake.destroy', $intake))->assertRedirect(route('intake.index'))
            ->assertSessionHas('said', 'a.csv was put aside; nothing of it was brought in.');
        self::assertFileDoesNotExist($path);
        self::assertSame([0, 0], [Intake::query()->count(), Account::query()->count()]);
        $this->post(route('intake.store'), [])->assertSessionHasErrors('file');
    }
}
