<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\Role;
use App\Models\Signal;
use App\Models\User;
use App\Reasons\Drafts;
use App\Reasons\Proposal;
use App\Standings\SignalLine;
use App\Support\Format;
use App\View\Choices;
use App\View\Components\Barb;
use App\View\Components\Fuse;
use App\View\Contacts\Tenure;
use App\View\Head;
use App\View\Rules\Suggestions;
use App\View\Screen;
use App\View\Tab;
use App\View\Undo;
use App\View\Ways;
use Carbon\CarbonImmutable;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Facades\Blade;
use Illuminate\View\ComponentAttributeBag;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Fit\Mode;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Stage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What the screens write: numbers, days, barbs, and what can be done with words. */
final class ViewTest extends TestCase
{
    /** @return array<string, array{string, string|null}> since when, and what is said on 23 November 2026 */
    public static function tenures(): array
    {
        return [
            'today' => ['2026-11-23', '0 days'],
            'a day ago' => ['2026-11-22', '1 day'],
            'almost two months' => ['2026-09-25', '59 days'],
            'two months' => ['2026-09-23', '2 months'],
            'a day short of three' => ['2026-08-24', '2 months'],
            'eighteen and a half' => ['2025-05-08', '18 months'],
            'almost four years' => ['2022-12-01', '3 years'],
            'ahead of us' => ['2026-12-24', '0 days'],
        ];
    }

    #[DataProvider('tenures')]
    public function test_how_long_somebody_is_there_is_never_rounded_up(string $since, ?string $says): void
    {
        $account = Account::factory()->create(['name' => 'Tunhede', 'domain' => 'tunhede.example']);
        $contact = Contact::factory()->create(['account_id' => $account->id]);
        $contact->positions()->create(['account_id' => $account->id, 'title' => 'Planner', 'since' => $since]);
        self::assertSame($says, Tenure::of($contact->refresh())->inPosition());
    }

    /** @return array<string, array{string, string}> */
    public static function words(): array
    {
        $now = CarbonImmutable::parse('2026-11-23T09:00:00Z');
        $day = $now->startOfDay();

        return [
            'a part' => ['.80', Format::part(.8)],
            'a whole' => ['1.00', Format::part(1.0)],
            'a part against' => ['−.25', Format::part(-.25)],
            'points' => ['+11.0', Format::points(11.02)],
            'points down' => ['−40.0', Format::points(-40.0)],
            'none' => ['0.0', Format::points(-.04)],
            'a share' => ['49 %', Format::percent(.4886)],
            'growth' => ['+12 %', Format::growth(.118)],
            'decline' => ['−6 %', Format::growth(-.06)],
            'a number' => ['9,014', Format::number(9014)], 'one of them' => ['1 contact', Format::count(1, 'contact')],
            'several' => ['1,200 contacts', Format::count(1200, 'contact')],
            'with a plural of its own' => ['3 agencies', Format::count(3, 'agency', 'agencies')],
            'a priority' => ['69', Format::priority(68.997)],
            'no priority' => ['–', Format::priority(null)],
            'tenths' => ['68.9', Format::tenths(68.94)],
            'heads' => ['1,021 heads', Format::heads(1021)],
            'heads as given' => ['ca. 260 heads', Format::heads(260, 'ca. 260')],
            'no heads' => ['heads unknown', Format::heads(null)], 'a day' => ['23 November', Format::day($now)],
            'a weekday' => ['Monday 23 November', Format::weekday($now)],
            'a date' => ['23 November 2026', Format::date($now)],
            'a moment' => ['23 November 2026, 09:00 UTC', Format::moment($now)],
            'months' => ['Nov 2026 – now', Format::months($now, null)],
            'unknown months' => ['? – Nov 2026', Format::months(null, $now)],
            'a line' => ['Hobro · glass', Format::line('Hobro', null, '', 'glass')],
            'cut' => ['Round B, €1…', Format::cut('Round B, €12M, for a line', 11)],
            'millions' => ['EUR 1.5 million', Format::money(1.5e6, 'EUR')],
            'hundredths' => ['44', (string) Format::hundredths(.44)],
            'hundredths at most' => ['100', (string) Format::hundredths(1.7)],
            'pages' => ['21–40 of 9,014', Format::pages(new LengthAwarePaginator(range(1, 20), 9014, 20, 2))],
            'no hurry' => ['no hurry', Format::hurry(null)],
        ];
    }

    #[DataProvider('words')]
    public function test_numbers_and_days_are_written_as_people_read_them(string $expected, string $written): void
    {
        self::assertSame($expected, $written);
    }

    public function test_a_fuse_shrinks_to_nothing_and_says_when_it_ran_out(): void
    {
        $fuse = fn (int $days): Fuse => new Fuse(CarbonImmutable::today()->addDays($days));
        self::assertSame([.5, 'act within 30 days', false], [$fuse(30)->left, $fuse(30)->words, $fuse(30)->soon]);
        self::assertSame([1.0, false], [$fuse(90)->left, $fuse(90)->soon]);
        self::assertSame([0.0, 'act today', true], [$fuse(0)->left, $fuse(0)->words, $fuse(0)->soon]);
        self::assertSame(['act within 2 days', true, false], [$fuse(2)->words, $fuse(2)->soon, $fuse(3)->soon]);
        self::assertSame([0.0, 'ran out 4 days ago', false], [$fuse(-4)->left, $fuse(-4)->words, $fuse(-4)->soon]);
        self::assertNull((new Fuse(null))->left);
    }

    /**
     * @return array<string, array{float, float, Stage, string, bool, int, string}> push, freshness, stage → tone,
     *     hollow, strokes, end of the shaft
     */
    public static function barbs(): array
    {
        return [
            'a strong fresh one' => [.4, 1.0, Stage::Fresh, '', false, 4, 'H40'],
            'a weak one' => [.05, 1.0, Stage::Fresh, '', false, 1, 'H40'],
            'strong, half gone' => [.2, .5, Stage::Fading, 'fading', false, 4, 'H23'],
            'one that rises' => [.18, .6, Stage::Rising, '', true, 3, 'H26.4'],
            'one against' => [-.15, 1.0, Stage::Fresh, 'against', false, 2, 'H40'],
            'nearly spent' => [.012, .1, Stage::Fading, 'fading', false, 2, 'H10.1'],
        ];
    }

    #[DataProvider('barbs')]
    public function test_a_barb_is_as_long_as_it_is_fresh_with_a_stroke_for_what_it_pushes(
        float $push,
        float $freshness,
        Stage $stage,
        string $tone,
        bool $hollow,
        int $strokes,
        string $shaft,
    ): void {
        $signal = new Signal(['title' => 'Round B closed', 'occurred_at' => now()]);
        $barb = new Barb(new SignalLine($signal, Kind::Funding, $freshness, 1.0, 0, $push, null, $stage, 0.0, .5));
        self::assertSame([$tone, $hollow, $strokes], [$barb->tone, $barb->hollow, substr_count($barb->path(), 'l3-7')]);
        self::assertStringStartsWith("M6 9.5$shaft", $barb->path());
        self::assertStringContainsString($push < 0 ? 'speaks against' : $stage->value, $barb->says);
    }

    public function test_words_go_only_by_ways_that_work_and_may_be_used(): void
    {
        $account = Account::factory()->create(['name' => 'Glasverk Tunhede', 'domain' => 'tunhede.example']);
        $contact = Contact::factory()->create([
            'account_id' => $account->id, 'first_name' => 'Pernille', 'last_name' => 'Rye',
            'profile' => 'people.example/pernille',
        ]);
        foreach (['dead@tunhede.example' => 'invalid', 'pernille@tunhede.example' => 'valid'] as $address => $state) {
            Channel::factory()->create(['contact_id' => $contact->id, 'value' => $address, 'state' => $state]);
        }
        Channel::factory()->create(
            ['contact_id' => $contact->id, 'type' => 'direct_phone', 'value' => '+45 96 (00) 12', 'state' => 'unknown'],
        );
        $draft = new Proposal('x', 'say', 'en', [
            'message' => "Hello Pernille,\nhow & why?", 'subject' => 'Round B, 12M',
        ], [], []);
        $ways = fn (): Ways => Ways::toAccount(
            $account, $contact->load('channels'), $draft, EntriesInForce::now(),
        );
        self::assertSame(
            'mailto:pernille%40tunhede.example?subject=Round%20B%2C%2012M'
                .'&body=Hello%20Pernille%2C%0Ahow%20%26%20why%3F',
            $ways()->mail,
        );
        self::assertSame(
            ['tel:+45960012', 'https://people.example/pernille', $contact->id],
            [$ways()->phone, $ways()->profile, $ways()->contact],
        );
        $contact->profile = 'javascript:alert(1)';
        self::assertNull($ways()->profile, 'what a file brought is not run');
        $this->actingAs($this->rep)
            ->post(route('keep-out.store'), ['value' => 'pernille@tunhede.example', 'reason' => 'asked']);
        self::assertNull($ways()->mail, 'an address on the keep-out is not written to, and a dead one neither');
        self::assertNull(Ways::toAccount($account, null, $draft, EntriesInForce::now())->mail);
    }

    public function test_screens_have_a_letter_each_and_leads_see_more_of_them(): void
    {
        $rep = new User(['role' => Role::Rep]);
        $lead = new User(['role' => Role::Lead]);
        $keys = array_map(fn (Screen $one): string => $one->key(), Screen::cases());
        self::assertSame($keys, array_unique($keys), 'no letter twice');
        self::assertNotContains('g', $keys);
        self::assertSame(
            ['Intake', 'Under way', 'Look-ups', 'Keep-out', 'My alerts', 'My pace, my password'],
            array_map(fn (Screen $one): string => $one->label(), Screen::menu($rep)),
        );
        // With nothing brought yet, the first steps are open.
        self::assertSame([Screen::Rules, Screen::Team, Screen::Begin], array_values(
            array_udiff(
                Screen::all($lead),
                Screen::all($rep),
                fn (Screen $a, Screen $b): int => $a->value <=> $b->value,
            ),
        ));
        self::assertSame(['/', '/keep-out'], [Screen::Today->path(), Screen::KeepOut->path()]);
    }

    public function test_small_parts_of_tables_and_forms(): void
    {
        self::assertSame(
            ['Priority', true, false],
            [Head::from('#Priority')->label, Head::from('#Priority')->isNumber, Head::from('#Priority')->isHidden],
        );
        self::assertSame(['Choose', true], [Head::from('-Choose')->label, Head::from('-Choose')->isHidden]);
        self::assertSame([' ↓', ' ↑', ''], [
            Head::number('Fit', '/', 'descending')->arrow(),
            Head::text('Name', '/', 'ascending')->arrow(),
            Head::text('Why')->arrow(),
        ]);
        self::assertSame(['must' => 'must', 'must_not' => 'must not', 'prefer' => 'prefer'], Choices::of(Mode::class));
        self::assertSame(['1,200', ''], [(new Tab('All', '/', true, 1200))->count, (new Tab('All', '/', true))->count]);
        self::assertSame(['to' => '/x', 'method' => 'delete', 'fields' => []], Undo::by('delete', '/x'));
    }

    public function test_what_a_component_is_given_is_worked_out_once_and_written_as_text(): void
    {
        $asked = 0;
        $html = Blade::render(
            '<x-button :kind="$kind()" :title="$title" data-both="{{ $title }} & so" x-on:click="go" small>'
                .'Go</x-button><x-tick label="A" :name="$title" :checked="true" />',
            ['title' => '<b>"', 'kind' => function () use (&$asked): string {
                $asked++;

                return 'danger';
            }],
            deleteCachedView: true,
        );

        self::assertSame(1, $asked);
        self::assertSame(
            '<button class="btn btn-danger btn-sm" title="&lt;b&gt;&quot;" data-both="&lt;b&gt;&quot; & so" '
                .'x-on:click="go">Go</button> '
                .'<label class="form-check mb-0"> <input type="checkbox" checked class="form-check-input" '
                .'name="&lt;b&gt;&quot;"> <span class="form-check-label">A</span> </label>',
            preg_replace('/\s+/', ' ', trim($html)),
        );
    }

    public function test_attributes_are_handed_on_as_a_whole(): void
    {
        $given = new ComponentAttributeBag(['title' => 'a < b', 'class' => 'wide']);
        self::assertStringContainsString(
            'class="btn btn-plain wide" title="a < b"',
            Blade::render(
                '<x-button :attributes="$given">Go</x-button>', ['given' => $given], deleteCachedView: true,
            ),
        );
    }

    public function test_many_ticks_are_written_at_once(): void
    {
        $html = Blade::render(
            '<x-ticks name="sizes[]" :options="$options" :chosen="[\'2\', \'x<\']" first inline />',
            ['options' => [1 => 'one', 2 => 'two & more', 'x<' => 'any']], deleteCachedView: true,
        );

        self::assertSame([['1', false, true], ['2', true, false], ['x<', true, false]], array_map(
            fn (string $input): array => [
                html_entity_decode(explode('"', explode('value="', $input)[1])[0]), str_contains($input, 'checked '),
                str_contains($input, 'autofocus='),
            ],
            preg_match_all('/<input[^>]*>/', $html, $inputs) > 0 ? $inputs[0] : [],
        ));
        self::assertStringContainsString('two &amp; more', $html);
        self::assertStringContainsString('form-check-inline', $html);
    }

    public function test_values_are_suggested_by_code_by_name_and_by_everyday_words(): void
    {
        self::assertSame('textiles (13)', Suggestions::of(CriterionField::Industries, 'textil')[13] ?? null);
        self::assertArrayHasKey(23, Suggestions::of(CriterionField::Industries, '23'));
        self::assertSame(
            ['SE' => 'Sweden'],
            array_intersect_key(Suggestions::of(CriterionField::Country, 'swed'), ['SE' => 0]),
        );
        self::assertSame([], Suggestions::of(CriterionField::Headcount, '4'));
        self::assertSame([], Suggestions::of(CriterionField::Country, ' '));
    }

    public function test_a_draft_rests_on_a_fresh_signal_that_may_be_said(): void
    {
        $line = fn (int $id, Kind $kind, Stage $stage, float $push): SignalLine => new SignalLine(
            (new Signal(['title' => "Planner $id sought", 'occurred_at' => now(), 'kind' => $kind]))
                ->forceFill(['id' => $id]),
            $kind, 1.0, 1.0, 0, $push, $push, $stage, 0.0, .5,
        );
        $lines = [
            $line(1, Kind::Funding, Stage::Fading, .5),
            $line(2, Kind::Funding, Stage::Fresh, .4),
            $line(3, Kind::Funding, Stage::Fresh, .3),
            $line(4, Kind::OwnEngagement, Stage::Fresh, .3),
            $line(5, Kind::Hiring, Stage::Fresh, .2),
            $line(6, Kind::News, Stage::Fresh, .1),
        ];
        $draft = Drafts::of($this->offer, Account::factory()->create(), null, $lines);
        // The two together weigh .6 and a tenth more, which is more than the funding alone.
        self::assertSame(['Money, and hands sought', [2, 5]], [$draft->angle, $draft->signals()]);
        self::assertSame(['New money', 'A role that is sought', 'In the press', 'They fit'], $draft->others);
    }
}
