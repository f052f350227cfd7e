<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Finder\Indexes;
use App\Finder\Records;
use App\Finder\Search;
use App\Finder\Sets;
use App\Finder\StepForm;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Models\Tag;
use App\Models\User;
use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Index\Record;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Entity;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;
use Tests\Core\Plain;
use Tests\TestCase;

/**
 * Every condition on the demo data against a plain evaluation of the rules, unknowns included; and that all who count
 * agree.
 */
final class FinderDemoTest extends TestCase
{
    /**
     * Conditions as their addresses have them, at least one for each field; those of tags, lists and people are filled
     * in.
     */
    private const CONDITIONS = [
        'f=title&q=maintenance OR Instandhaltung -assistant', 'f=function&v=maintenance,operations',
        'f=seniority&v=head,manager', 'f=buyer_role&v=Maintenance', 'f=part&v=signs_off,shapes', 'f=in_position&hi=12',
        'f=in_company&lo=24', 'f=at_work&lo=30&hi=200', 'f=arrival&v=joined,promoted',
        'f=before&q=technician&q2=industri*', 'f=before&hi=20', 'f=origin&v=customer', 'f=about&q=pumps',
        'f=own_country&v=SE', 'f=own_city&v=Aarhus', 'f=language&v=german,Danish', 'f=school&v=Kråkvik tekniska skola',
        'f=association&v=circle of air users',
        'f=reach&w=leaders&n=1', 'f=reach&w=anyone&n=2&new=1', 'f=reach&w=anyone&n=worked',
        'f=channel&v=email_checked,direct_phone', 'f=engaged&hi=2',
        'f=name&q=glas* OR papper', 'f=domain&v=tunhede.example', 'f=parent&v=Glasverk Tunhede',
        'f=industry&v=22,glass', 'f=main_industry&v=C', 'f=country&v=Sweden,DE', 'f=country&v=DK&w=any',
        'f=region&v=Stockholm', 'f=city&v=hobro', 'f=postal_area&v=95', 'f=near&q=56.6,9.8&km=250',
        'f=near&q=56.6,9.8&km=250&w=any',
        'f=sites&lo=2', 'f=headcount&lo=50&hi=400', 'f=growth&lo=.05', 'f=revenue&lo=100000000&cur=SEK',
        'f=spending&lo=50000&w=.5', 'f=founded&hi=1990', 'f=technology&v=tryklog,Ordvika',
        'f=technology&v=Tryklog,Vedliko Plan&all=1', 'f=words&q="three shifts" OR extrusion',
        'f=alike&v=tunhede.example&n=20', 'f=words&q=shifts -extrusion&w=keywords',
        'f=words&q=lines&w=description,name', 'f=attribute&w=shifts&v=three',
        'f=known_contacts&lo=5', 'f=known_contacts&w=Plant&lo=2',
        'f=event&v=hiring&hi=60', 'f=event&v=funding&rd=a,b&alo=1000000', 'f=event&st=fresh,rising&slo=.6',
        'f=opening&q=planner', 'f=event&v=news&n=2', 'f=event&q=planner OR lines&lo=30', 'f=signal&v=hiring,growth',
        'f=newest_signal&hi=1',
        'f=state&v=ranked,waiting', 'f=fit&lo=.6', 'f=coverage&hi=.9', 'f=timing&lo=.3', 'f=access&lo=.5',
        'f=priority&lo=40&hi=90',
        'f=owner&v=nobody', 'f=approached&v=anyone', 'f=approached&v={user}', 'f=last_approach&hi=7',
        'f=work&v=kept,in_work', 'f=work&v=new', 'f=list&v={list}', 'f=tag&v={tag}', 'f=kept_out',
    ];

    /** Of these the demo knows nothing; what is unknown is compared all the same. */
    private const NOTHING = [
        'about', 'own_country', 'own_city', 'parent', 'attribute', 'founded', 'postal_area',
        'opening',
    ];

    public function test_every_condition_is_right_on_the_demo_data_and_all_counts_agree(): void
    {
        RuleSet::query()->delete();
        Offer::query()->delete();
        User::query()->delete();
        (new Scenario(120, 700, 900, 60, 250))->load(fn (string $line) => null);
        $offer = Offer::query()->with('rules')->orderBy('id')->firstOrFail();
        $fill = $this->filled($offer);
        Indexes::build($offer);
        $accounts = array_values(iterator_to_array(
            (new Records($offer))->read(DB::table('accounts')->orderBy('id')->pluck('id')->all()),
            false,
        ));
        $today = intdiv(CarbonImmutable::today()->getTimestamp(), 86400);
        $sets = new Sets($offer);
        $seen = [];
        foreach (self::CONDITIONS as $address) {
            parse_str(strtr($address, $fill), $given);
            $field = Field::from((string) $given['f']);
            $seen[$field->value] = true;
            foreach (Subject::cases() as $subject) {
                if (! $field->suits($subject)) {
                    continue;
                }
                foreach ([[], ['x' => '1'], ['u' => '1'], ['x' => '1', 'u' => '0']] as $more) {
                    $step = StepForm::from($given + $more) ?? self::fail($address);
                    $condition = $step->condition($subject);
                    $known = array_combine($condition->any, array_map(
                        fn (string $name): array => $condition->field->test() === Comparison::Sets
                            ? $sets(ltrim($name, '!'))
                            : [],
                        $condition->any,
                    ));
                    $known = array_combine(
                        array_map(fn (string $name): string => ltrim($name, '!'), array_keys($known)),
                        $known,
                    );
                    $this->agrees(
                        "$address {$subject->value} ".json_encode($more),
                        $offer,
                        $accounts,
                        $subject,
                        $given + $more,
                        $condition,
                        $known,
                        $today,
                    );
                }
            }
        }
        $missing = array_filter(
            Field::cases(),
            fn (Field $field): bool => in_array($field->of(), [Entity::Account, Entity::Contact], true)
                && ! isset($seen[$field->value]),
        );
        self::assertSame([], array_column($missing, 'value'), 'every condition was tried');
    }

    /**
     * @param  list<Record>  $accounts
     * @param  array<array-key, mixed>  $given
     * @param  array<string, list<int>>  $sets
     */
    private function agrees(
        string $what,
        Offer $offer,
        array $accounts,
        Subject $subject,
        array $given,
        Condition $condition,
        array $sets,
        int $today,
    ): void {
        $expected = Plain::found($today, $accounts, $subject, [$condition], $sets);
        $everybody = Plain::found($today, $accounts, $subject, [], []);
        $search = Search::from($offer, ['on' => $subject->value, 'c' => [$given]]);
        $found = $search->ids();
        sort($found);
        self::assertSame([], $search->mistakes, $what);
        self::assertSame($expected, $found, $what);
        $stair = $search->staircase()[0];
        $unknown = count(array_filter(
            $everybody,
            fn (int $id): bool => Plain::ofId($today, $accounts, $subject, $id, $condition, $sets) === null,
        ));
        self::assertSame(
            [count($expected), count($everybody), $unknown],
            [$stair['after'], $stair['without'], $stair['unknown']],
            $what,
        );
        if (! isset($given['x']) && ! isset($given['u']) && ! in_array($condition->field->value, self::NOTHING, true)) {
            self::assertNotSame([], $expected, "$what finds somebody");
        }
    }

    public function test_staircase_facets_list_and_export_count_the_same(): void
    {
        RuleSet::query()->delete();
        Offer::query()->delete();
        User::query()->delete();
        (new Scenario(120, 700, 400, 20, 100))->load(fn (string $line) => null);
        $this->actingAs($rep = User::query()->where('name', 'like', 'Mira%')->firstOrFail());
        $offer = Offer::query()->with('rules')->orderBy('id')->firstOrFail();
        $query = ['on' => 'contacts', 'c' => [
            ['f' => 'country', 'v' => 'SE,DE,DK'],
            ['f' => 'kept_out', 'x' => '1'],
            ['f' => 'function', 'v' => 'maintenance,operations'],
        ]];
        $search = Search::from($offer, $query);
        self::assertGreaterThan(20, $search->total());
        foreach (
            [
                Field::Country, Field::Technology, Field::Seniority, Field::BusinessFunction, Field::Signal,
                Field::City, Field::Language, Field::BuyerRole,
            ] as $field
        ) {
            self::assertNotSame([], $search->counts($field, 4), $field->value);
            foreach ($search->counts($field, 4) as $value => $count) {
                $narrowed = Search::from(
                    $offer,
                    ['c' => [...$query['c'], ['f' => $field->value, 'v' => (string) $value]]] + $query,
                );
                self::assertSame($count, $narrowed->total(), "{$field->value}: $value");
            }
        }
        foreach ($search->bands(Field::Headcount) as [$step, $count]) {
            self::assertSame($count, $search->withSteps([...$search->steps, $step])->total());
        }
        $this->post(route('finder.keep'), ['name' => 'These'] + $query)->assertSessionHasNoErrors();
        self::assertSame($search->ids(), KeptList::query()->sole()->members()->pluck('record_id')->all());
        $csv = $this->get(route('finder.export', ['csv', 'columns' => ['last name']] + $query))
            ->streamedContent();
        self::assertSame(
            $search->total() + 1,
            substr_count($csv, "\n"),
            'headings, and all of them',
        );
        self::assertSame($search->total(), array_sum($search->work()));
    }

    /** @return array<string, string> what stands for what in the addresses */
    private function filled(Offer $offer): array
    {
        $ids = Contact::query()->orderBy('id')->limit(40)->pluck('id')->all();
        $list = KeptList::factory()->create([
            'offer_id' => $offer->id, 'name' => 'Forty', 'subject' => 'contacts', 'search' => 'on=contacts',
            'user_id' => null,
        ]);
        DB::table('list_members')->insert(array_map(
            fn (int $id, int $i): array => ['list_id' => $list->id, 'record_id' => $id, 'position' => $i],
            $ids,
            array_keys($ids),
        ));
        $accounts = KeptList::factory()->create([
            'offer_id' => $offer->id, 'name' => 'Firms', 'subject' => 'accounts', 'search' => 'on=accounts',
            'user_id' => null,
        ]);
        DB::table('list_members')
            ->insert(['list_id' => $accounts->id, 'record_id' => DB::table('accounts')->min('id'), 'position' => 0]);
        $tag = Tag::factory()->create(['name' => 'fair']);
        DB::table('taggings')->insert([
            ['tag_id' => $tag->id, 'subject' => 'contacts', 'record_id' => $ids[3]],
            ['tag_id' => $tag->id, 'subject' => 'accounts', 'record_id' => DB::table('accounts')->max('id')],
        ]);

        return [
            '{list}' => (string) $accounts->id,
            '{tag}' => (string) $tag->id,
            '{user}' => (string) User::query()->where('name', 'like', 'Mira%')->value('id'),
        ];
    }
}
