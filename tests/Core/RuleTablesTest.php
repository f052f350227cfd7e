<?php

declare(strict_types=1);

namespace Tests\Core;

use Closure;
use Eris\Generators;
use Eris\TestTrait;
use Luftig\Core\Buying\Authority;
use Luftig\Core\Buying\BuyerRole;
use Luftig\Core\Buying\BuyerRoles;
use Luftig\Core\Buying\Choice;
use Luftig\Core\Buying\Choosable;
use Luftig\Core\Buying\Part;
use Luftig\Core\Buying\RoleOfContact;
use Luftig\Core\Buying\Skip;
use Luftig\Core\Mistake;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Person\Status;
use Luftig\Core\Person\Title;
use Luftig\Core\Priority\ContactPush;
use Luftig\Core\Priority\ContactRanking;
use Luftig\Core\Reach\Access;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Channel;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Reach\RelationStrength as Knows;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Counts;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\KindRule;
use Luftig\Core\Signal\Signal;
use Luftig\Core\Signal\Stage;
use Luftig\Core\Signal\Strength;
use Luftig\Core\Text\Query;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every number of rules 1, 2, 5, 8, 9 and 10, as the rules print them: none changes without somebody meaning it. */
final class RuleTablesTest extends TestCase
{
    use TestTrait;

    /** Weight, ramp, hold, half-life. */
    private const CATALOGUE = [
        'funding' => [.50, 0, 14, 60], 'hiring' => [.45, 0, 21, 30], 'growth' => [.35, 0, 30, 60],
        'decline' => [.35, 0, 30, 60], 'new_leader' => [.55, 14, 46, 45], 'promotion' => [.35, 14, 46, 45],
        'customer_alum' => [.65, 7, 53, 60], 'leadership_change' => [.30, 0, 21, 45],
        'tech_adopted' => [.40, 0, 30, 90], 'tech_dropped' => [.50, 0, 30, 60], 'post_engagement' => [.50, 0, 2, 4],
        'own_engagement' => [.50, 0, 2, 7], 'topic_interest' => [.30, 0, 7, 14], 'news' => [.25, 0, 3, 14],
        'expansion' => [.40, 0, 30, 60], 'hiring_freeze' => [.30, 0, 30, 60], 'rival_signed' => [.60, 0, 90, 180],
    ];

    /** Authority and accessibility: under 50 heads, 50–249, 250–999, from 1,000. */
    private const DECIDES = [
        'owner' => [[1.0, .9], [.95, .75], [.6, .4], [.3, .15]],
        'chief' => [[.95, .9], [1.0, .75], [.95, .4], [.75, .15]],
        'vice_president' => [[.7, .9], [.85, .8], [1.0, .6], [1.0, .35]],
        'director' => [[.7, .9], [.75, .85], [.85, .75], [.9, .55]],
        'head' => [[.55, .95], [.65, .9], [.75, .85], [.8, .7]],
        'manager' => [[.35, 1.0], [.45, 1.0], [.5, .95], [.55, .9]],
        'specialist' => [[.1, 1.0], [.15, 1.0], [.15, 1.0], [.2, 1.0]],
        'junior' => [[0.0, 1.0], [0.0, 1.0], [0.0, 1.0], [0.0, 1.0]],
        'unknown' => [[0.0, 1.0], [0.0, 1.0], [0.0, 1.0], [0.0, 1.0]],
    ];

    private const WORTH = ['direct_phone' => .5, 'switchboard' => .1, 'asked' => .3];

    private const WORKS = [
        'valid' => .98, 'catch_all' => .6, 'unknown' => .5, 'guess' => .5, 'invalid' => 0.0, 'disposable' => 0.0,
        'off' => 0.0, 'shared' => 1.0,
    ];

    /** @return array<string, array{Kind}> */
    public static function kinds(): array
    {
        return array_combine(
            array_column(Kind::cases(), 'value'),
            array_map(fn (Kind $kind): array => [$kind], Kind::cases()),
        );
    }

    #[DataProvider('kinds')]
    public function test_a_kind_weighs_and_ages_as_the_catalogue_says(Kind $kind): void
    {
        [$weight, $ramp, $hold, $half] = self::CATALOGUE[$kind->value];
        $rule = Catalogue::standard()->of($kind);

        self::assertSame(
            [(float) $weight, (float) $ramp, (float) $hold, (float) $half],
            [$rule->weight, $rule->ramp, $rule->hold, $rule->halfLife],
        );
        self::assertSame(
            in_array($kind->value, ['decline', 'hiring_freeze', 'rival_signed'], true) ? -1 : 1,
            $rule->sign,
        );
        self::assertSame(in_array($kind->value, ['hiring', 'growth', 'decline'], true), $kind->lasts());
        self::assertSame(! in_array($kind->value, ['own_engagement', 'topic_interest'], true), $kind->mayBeQuoted());
        for ($age = -2.0; $age < 900; $age += .25) {
            $freshness = match (true) {
                $age < 0 => 0.0,
                $age < $ramp => .3 + .7 * $age / $ramp,
                $age < $ramp + $hold => 1.0,
                default => .5 ** (($age - $ramp - $hold) / $half),
            };
            self::assertEqualsWithDelta($freshness, $rule->freshness($age), 1e-12, "$age days");
            $stage = match (true) {
                $age < 0 => Stage::Announced,
                $age < $ramp => Stage::Rising,
                $freshness >= .5 => Stage::Fresh,
                $freshness >= .1 => Stage::Fading,
                default => Stage::Spent,
            };
            self::assertSame($stage, $rule->stage($age), "$age days");
            self::assertSame(in_array($stage, [Stage::Rising, Stage::Fresh, Stage::Fading], true), $stage->isLive());
        }
    }

    public function test_how_much_happened_is_computed_from_the_facts(): void
    {
        foreach (
            [
                'pre-seed' => .8, 'Seed' => .8, 'A' => 1.0, ' b ' => .9, 'C' => .6, 'D' => .6, 'h' => .6, 'grant' => .6,
                'debt' => .5, 'undisclosed' => .5, 'whatever' => .5, '' => .5,
            ] as $round => $weight
        ) {
            self::assertEqualsWithDelta($weight * .6, Strength::ofFunding($round, null, 100), 1e-12, $round);
            self::assertEqualsWithDelta($weight * .6, Strength::ofFunding($round, 1e6, null), 1e-12, $round);
            self::assertEqualsWithDelta(
                $weight, Strength::ofFunding($round, 1e7, 100), 1e-12, 'EUR 100,000 a head and more',
            );
            self::assertEqualsWithDelta($weight, Strength::ofFunding($round, 5e8, 100), 1e-12);
            self::assertEqualsWithDelta(
                $weight * .5, Strength::ofFunding($round, 1e6, 100), 1e-12, 'EUR 10,000 a head',
            );
            self::assertEqualsWithDelta($weight * .3, Strength::ofFunding($round, 1.0, 100), 1e-12, 'at least');
        }
        self::assertSame(
            [.3, .3],
            [Strength::ofFunding(null, 0, 10), Strength::ofFunding(null, 5e5, 0)],
            'an amount or a headcount of nothing is unknown',
        );
        foreach (
            [
                'wrote' => 1.0, 'commented' => .9, 'passed on' => .7, 'reacted' => .5, 'event' => 1.0,
                'answered' => 1.0, 'asked' => 1.0, 'follows' => .5, 'page' => .4,
            ] as $deed => $strength
        ) {
            self::assertSame($strength, Strength::ofEngagement($deed));
            self::assertContains($deed, Strength::engagements());
        }
        self::assertSame([1.0, .6], [Strength::ofNews(true), Strength::ofNews(false)]);
        self::assertEqualsWithDelta(
            [0.0, .5, 1 - .5 ** .5, 1 - .5 ** 2.5],
            array_map(Strength::ofHiring(...), [[], [true], [false], [true, false, true]]),
            1e-12,
        );
        self::assertSame(
            [null, null, null],
            [Strength::ofChange(9, 18), Strength::ofChange(100, 102), Strength::ofChange(100, 98)],
        );
        self::assertEqualsWithDelta(.12 * .3, Strength::ofChange(100, 103), 1e-12, 'exactly 3 % is some');
        self::assertEqualsWithDelta(
            [.4 * .4, 1.0, 1.0, .8 * .2, 1.0],
            array_map(
                fn (array $heads): ?float => Strength::ofChange(...$heads),
                [[40, 44], [40, 50], [40, 30], [10, 12], [1000, 1300]],
            ),
            1e-12,
        );
    }

    public function test_what_cannot_be_is_told_at_its_bounds_and_not_within(): void
    {
        $refused = function (string $at, Closure $make): void {
            try {
                $make();
                self::fail("$at was taken");
            } catch (Mistake $mistake) {
                self::assertSame($at, $mistake->at);
            }
        };
        foreach ([0.0, .5, 1.0] as $fine) {
            self::assertSame($fine, (new Channel(ChannelType::Email, AddressState::Guess, $fine))->chance);
            self::assertSame($fine, (new Signal(1, Kind::News, 0, $fine, $fine))->strength);
            self::assertSame($fine, (new KindRule(Kind::News, $fine, 0, 0, .1))->weight);
            self::assertSame(round(.9 * $fine, 9), round(Access::of([], $fine)->value, 9));
        }
        foreach ([-.01, 1.01] as $wrong) {
            $refused('chance', fn () => new Channel(ChannelType::Email, AddressState::Guess, $wrong));
            $refused('strength', fn () => new Signal(1, Kind::News, 0, $wrong, 1));
            $refused('confidence', fn () => new Signal(1, Kind::News, 0, 1, $wrong));
            $refused('intro', fn () => Access::of([], $wrong));
        }
        foreach ([-.01, 4.01] as $wrong) {
            $refused('weight', fn () => new KindRule(Kind::News, $wrong, 0, 0, 1));
        }
        $refused('ramp', fn () => new KindRule(Kind::News, 1, -1, 0, 1));
        $refused('hold', fn () => new KindRule(Kind::News, 1, 0, -1, 1));
        $refused('half_life', fn () => new KindRule(Kind::News, 1, 0, 0, 0));
        $refused('weight', fn () => new BuyerRole('Nobody', 1, weight: 0));
        $refused('functions', fn () => new BuyerRole('Nobody', 0));
        self::assertTrue((new BuyerRole('Found by words', 0, include: Query::parse('air')))->looksAtWords());
        self::assertTrue((new BuyerRole('There only', 0, variants: ['SE' => Query::parse('luft')]))->looksAtWords());
        self::assertTrue((new BuyerRole('But none of these', 1, exclude: Query::parse('air')))->looksAtWords());
        self::assertFalse((new BuyerRole('By function', 1))->looksAtWords());
        $refused('exchanges', fn () => Knows::ofConnection(-1, 1));
        $refused('months_since_last', fn () => Knows::ofConnection(1, -.5));
        $refused('months', fn () => Knows::ofWorkingTogether(-.5, 10, false));
    }

    public function test_an_offer_changes_one_number_of_a_kind_and_keeps_the_others(): void
    {
        $rule = Catalogue::standard()->of(Kind::Promotion);
        $numbers = fn (KindRule $of): array => [$of->weight, $of->ramp, $of->hold, $of->halfLife, $of->counts];
        $own = [.2, 3.0, 4.0, 5.0, Counts::Ignored];
        foreach (['weight', 'ramp', 'hold', 'halfLife', 'counts'] as $i => $name) {
            self::assertSame(array_replace($numbers($rule), [$i => $own[$i]]), $numbers(
                $rule->with(...[$name => $own[$i]]),
            ));
        }
    }

    public function test_a_channel_is_worth_what_the_rules_say(): void
    {
        foreach (self::WORKS as $state => $chance) {
            $state = AddressState::from($state);
            self::assertSame($chance, $state->chance());
            self::assertSame(
                in_array($state, [AddressState::Invalid, AddressState::Disposable, AddressState::Off], true),
                $state->isDead(),
            );
            self::assertEqualsWithDelta(
                .6 * $chance * ($state === AddressState::Shared ? .2 : 1),
                (new Channel(ChannelType::Email, $state))->worth(),
                1e-12,
            );
        }
        self::assertSame([.0, .42, .9, .9], array_map(AddressState::Guess->chance(...), [0.0, .42, .9, .97]));
        foreach (self::WORTH as $type => $worth) {
            self::assertSame($worth, (new Channel(ChannelType::from($type)))->worth());
        }
    }

    public function test_access_is_the_chance_that_one_of_the_ways_leads_there(): void
    {
        $channel = Generators::tuple(
            Generators::elements(...ChannelType::cases()),
            Generators::elements(...AddressState::cases()),
            Generators::choose(0, 100),
            Generators::elements(null, 0, 29, 30, 31),
        );
        $this->limitTo(200)->forAll(Generators::seq($channel), Generators::choose(0, 100))
            ->disableShrinking()->then(function (
                array $rows,
                int $intro,
            ): void {
                $missed = 1.0;
                $address = 0.0;
                foreach ($rows as [$type, $state, $chance, $days]) {
                    if ($type === ChannelType::Email) {
                        $works = $state === AddressState::Guess ? min(.9, $chance / 100) : self::WORKS[$state->value];
                        $address = max($address, .6 * $works * ($state === AddressState::Shared ? .2 : 1));
                    } elseif ($type === ChannelType::Social) {
                        $missed *= $days !== null && $days <= 30 ? .8 : 1;
                    } elseif ($type === ChannelType::DirectPhone) {
                        $missed *= 1 - match ($state) {
                            AddressState::Shared => .1,
                            AddressState::Invalid, AddressState::Disposable, AddressState::Off => 0,
                            default => .5,
                        };
                    } else {
                        $missed *= 1 - self::WORTH[$type->value];
                    }
                }
                $access = Access::of(
                    array_map(fn (array $row): Channel => new Channel($row[0], $row[1], $row[2] / 100, $row[3]), $rows),
                    $intro / 100,
                );

                self::assertEqualsWithDelta(1 - $missed * (1 - $address), $access->channel, 1e-12);
                self::assertEqualsWithDelta(
                    1 - $missed * (1 - $address) * (1 - .9 * $intro / 100),
                    $access->value,
                    1e-12,
                );
            });
    }

    public function test_who_decides_and_who_can_be_reached_by_size(): void
    {
        foreach (self::DECIDES as $seniority => $row) {
            $title = new Title(Status::Current, Seniority::from($seniority), 0);
            foreach ([[0, 1, 49], [50, 112, 249, null], [250, 999], [1000, 80_000]] as $class => $sizes) {
                foreach ($sizes as $heads) {
                    $found = Authority::of($title, $heads);
                    self::assertSame(
                        $row[$class],
                        [$found?->authority, $found?->accessibility],
                        "$seniority at $heads",
                    );
                    self::assertSame($class, Authority::sizeClass($heads));
                }
            }
        }
        $of = fn (Status $status, bool $association = false): ?Authority => Authority::of(
            new Title($status, Seniority::Head, 0),
            100,
            $association,
        );
        self::assertSame([.65, .65], [$of(Status::Current)?->authority, $of(Status::Acting)?->authority]);
        self::assertSame([null, null, null], [$of(Status::Former), $of(Status::Assistant), $of(Status::Board)]);
        self::assertSame([null, null, .7, .5], [
            $of(Status::Former, true), $of(Status::Assistant, true), $of(Status::Board, true)?->authority,
            $of(Status::Board, true)?->accessibility,
        ]);
        $unread = new Title(Status::Current, Seniority::Unknown, 0);
        self::assertSame([0.0, .15, .15], [
            (float) Authority::of($unread, 100)?->authority,
            Authority::of($unread, 100, known: true)?->authority,
            Authority::of(
                new Title(Status::Current, Seniority::Unknown, BusinessFunction::Quality->bit()),
                100,
            )?->authority,
        ]);
    }

    public function test_how_far_somebodys_function_is_that_of_the_role(): void
    {
        $role = new BuyerRole('Maintenance', BusinessFunction::Maintenance->bit(), BusinessFunction::Operations->bit());
        $match = fn (?int $heads, BusinessFunction ...$functions): float => $role
            ->match(new Title(Status::Current, Seniority::Head, BusinessFunction::set($functions)), $heads);
        foreach ([[49, 1.0], [50, .8], [null, .8], [249, .8], [250, .5], [999, .5], [1000, .5]] as [$heads, $general]) {
            self::assertSame([1.0, .4, .1, $general], [
                $match($heads, BusinessFunction::Maintenance), $match($heads, BusinessFunction::Operations),
                $match($heads, BusinessFunction::Sales), $match($heads, BusinessFunction::GeneralManagement),
            ]);
            self::assertSame([1.0, $general, 1.0, .1], [
                $match($heads, BusinessFunction::Maintenance, BusinessFunction::Sales),
                $match($heads, BusinessFunction::GeneralManagement, BusinessFunction::Operations),
                $match($heads, BusinessFunction::GeneralManagement, BusinessFunction::Maintenance),
                $match($heads),
            ]);
        }
    }

    public function test_the_part_of_everybody_is_the_first_that_applies(): void
    {
        $role = new BuyerRole('Maintenance', BusinessFunction::Maintenance->bit(), BusinessFunction::Operations->bit());
        $functions = [
            BusinessFunction::Maintenance, BusinessFunction::Operations, BusinessFunction::Sales,
            BusinessFunction::GeneralManagement,
        ];
        $seen = [];
        foreach (self::DECIDES as $seniority => $row) {
            foreach ([20, 100, 500, 5000] as $class => $heads) {
                foreach ($functions as $function) {
                    $title = new Title(Status::Current, Seniority::from($seniority), $function->bit());
                    [$authority, $reached] = $seniority === 'unknown'
                        ? self::DECIDES['specialist'][$class]
                        : $row[$class];
                    $match = $role->match($title, $heads);
                    $of = RoleOfContact::best([$role], $title, '', null, $heads);
                    self::assertEqualsWithDelta($match * sqrt($authority * $reached), $of->value ?? 0.0, 1e-12);
                    foreach ([[false, 0.0], [false, .29], [false, .3], [true, 0.0]] as [$live, $intro]) {
                        $first = $seniority === 'owner'
                            || $seniority === 'chief' && $function === BusinessFunction::GeneralManagement;
                        $part = match (true) {
                            $authority >= .7 && $match >= .5, $first && $heads < 1000 => Part::SignsOff,
                            $authority >= .4 && $match >= .8 => Part::Shapes,
                            $match >= .8 && $reached >= .8 && ($live || $intro >= .3) => Part::Champion,
                            $match === 1.0 => Part::User,
                            default => Part::NextDoor,
                        };
                        if ($of !== null) {
                            self::assertSame(
                                $part,
                                $of->part($heads, $live, $intro),
                                "$seniority of {$function->value} at $heads",
                            );
                            $seen[$part->value] = true;
                        }
                    }
                }
            }
        }
        self::assertCount(5, $seen, 'each part but that of a blocker, who is set by hand');
    }

    public function test_an_account_is_reached_as_well_as_the_best_in_a_role_or_half_as_well_as_the_best_beside(): void
    {
        $maintenance = new BuyerRole('Maintenance', BusinessFunction::Maintenance->bit(), weight: .9);
        $reading = fn (Seniority $seniority, BusinessFunction $function): int => (
            new Title(Status::Current, $seniority, $function->bit())
        )
            ->packed();
        $head = $reading(Seniority::Head, BusinessFunction::Maintenance);
        $planner = $reading(Seniority::Specialist, BusinessFunction::Maintenance);
        $seller = $reading(Seniority::Director, BusinessFunction::Sales);
        $trainee = $reading(Seniority::Junior, BusinessFunction::Maintenance);
        $ranking = fn (array $contacts, BuyerRole ...$roles): ContactRanking => ContactRanking::of(
            new BuyerRoles(array_values($roles)),
            $contacts,
            new ContactPush([[.5, 2, 0], [.2, null, BusinessFunction::Maintenance->bit()], [-.1, null, 0]]),
            null,
            420,
        );

        self::assertSame(
            .3,
            $ranking([[1, $planner, '', .3], [2, $seller, '', .9], [3, $trainee, '', .8]], $maintenance)->access,
        );
        self::assertSame(
            .45,
            $ranking([[2, $seller, '', .9], [3, $trainee, '', .8], [4, $seller, '', .5]], $maintenance)->access,
        );
        self::assertSame(
            .45,
            $ranking([[1, $planner, '', 0.0], [2, $seller, '', .9]], $maintenance)->access,
            'who is in the role and cannot be reached',
        );
        self::assertSame(0.0, $ranking([[3, $trainee, '', .8]], $maintenance)->access);
        self::assertSame(
            .9,
            $ranking([[2, $seller, '', .9], [1, $planner, '', .3]])->access,
            'without roles whoever is reached best',
        );
        $ranked = $ranking(
            [
                [1, $planner, '', .3], [2, $head, '', .4], [5, $head, '', .4], [4, $seller, '', .9],
                [3, $trainee, '', .8],
            ],
            $maintenance,
        )->contacts;
        $points = fn (float $role, float $push, float $access): float => 100
            / (1 + exp((30 - 25 * $role * (1 + $push) - 15 * $access) / 10));
        self::assertSame([2, 5], [$ranked[0]->id, $ranked[1]->id]);
        self::assertCount(4, $ranked);
        $expected = [
            2 => $points(.9 * sqrt(.75 * .85), .5 + .2 - .05, .4),
            5 => $points(.9 * sqrt(.75 * .85), .25 + .2 - .05, .4),
            1 => $points(.9 * sqrt(.15), .25 + .2 - .05, .3),
            4 => $points(.9 * .1 * sqrt(.85 * .75), .25 + .1 - .05, .9),
        ];
        arsort($expected);
        self::assertSame(array_keys($expected), array_column($ranked, 'id'));
        foreach ($ranked as $one) {
            self::assertEqualsWithDelta($expected[$one->id], $one->priority, 1e-9);
        }
        self::assertSame(
            [Part::SignsOff, Part::User, Part::NextDoor],
            array_map(fn (int $id): Part => array_column($ranked, null, 'id')[$id]->part, [5, 1, 4]),
        );
    }

    public function test_few_are_taken_of_each_account(): void
    {
        foreach (
            [[null, 4], [0, 1], [4, 1], [9, 1], [10, 2], [14, 2], [15, 3], [19, 3], [20, 4], [5000, 4]] as [
                $heads,
                $most,
            ]
        ) {
            self::assertSame($most, Choice::most($heads), "$heads heads");
        }
        $skipped = fn (Choosable ...$contacts): array => array_map(
            fn (Skip $skip): string => $skip->value,
            Choice::of($contacts, 4)->skipped,
        );
        self::assertSame(
            [],
            $skipped(new Choosable(1, 20.0, Part::User), new Choosable(2, 50, Part::User, approachedDaysAgo: 30.01)),
        );
        self::assertSame([1 => 'below_20', 2 => 'approached', 3 => 'kept_out', 4 => 'reserved', 5 => 'no_way'],
            $skipped(
                new Choosable(1, 19.999, Part::User), new Choosable(2, 50, Part::User, approachedDaysAgo: 30.0),
                new Choosable(3, null, null, keptOut: true),
                new Choosable(4, 50, Part::User, reserved: true, held: true),
                new Choosable(5, 50, Part::User, reachable: false),
            ));
        self::assertSame(
            [[1, 2], [1]],
            [
                Choice::of([new Choosable(1, 60, Part::User), new Choosable(2, 50, Part::User)], 3, .2)->taken,
                Choice::of([new Choosable(1, 60, Part::User), new Choosable(2, 50, Part::User)], 3, 1.5)->taken,
            ],
            'a part of an approach is one',
        );
        $taken = Choice::of(
            [
                new Choosable(1, 90, Part::SignsOff, 1), new Choosable(2, 71, Part::User, 1),
                new Choosable(3, 61, Part::User, 2), new Choosable(4, 51, Part::User, 3),
                new Choosable(5, 45, Part::User, 4),
            ],
            4,
        )->taken;
        self::assertSame([1, 3, 2, 5], $taken, '71 counts .85 of itself after 1, and 51 .85³ after three');
    }

    public function test_relations_are_as_strong_as_the_rules_say(): void
    {
        self::assertSame([.25, .10, .9], [Knows::STUDIED, Knows::ASSOCIATION, Knows::TEAMMATE]);
        $this->limitTo(200)->forAll(
            Generators::choose(0, 400), Generators::choose(1, 200_000), Generators::bool(), Generators::choose(0, 60),
        )->disableShrinking()->then(function (int $months, int $heads, bool $same, int $exchanges): void {
            $together = min(
                .8,
                .7 * (1 - 2 ** (-$months / 18)) / (1 + log10(max($heads, 10) / 10) / 2) * ($same ? 1.25 : 1),
            );
            $connection = $exchanges === 0
                ? .30
                : .30 + .25 * 2 ** (-$months / 24) + .25 * (1 - 2 ** (-$exchanges / 5));
            self::assertEqualsWithDelta($together, Knows::ofWorkingTogether($months, $heads, $same), 1e-12);
            self::assertEqualsWithDelta($connection, Knows::ofConnection($exchanges, $months), 1e-12);
            self::assertEqualsWithDelta(
                $exchanges === 0 ? .30 : .30 + .25 * (1 - 2 ** (-$exchanges / 5)),
                Knows::ofConnection($exchanges),
                1e-12,
                'when is not known',
            );
            self::assertEqualsWithDelta(
                min(.95, 1 - (1 - $together) * (1 - $connection) * .9),
                Knows::together([$together, .10, $connection]),
                1e-12,
            );
        });
        self::assertEqualsWithDelta(
            Knows::ofWorkingTogether(18, 112, false),
            Knows::ofWorkingTogether(18, null, false),
            1e-12,
            'an unknown size is the middle of 50 to 249 by logarithm',
        );
        self::assertSame(0.0, Knows::together([]));
    }

    /** @return list<array{string|null, float}> as sources write it, round × .6 for an unknown amount */
    public static function rounds(): array
    {
        return [
            ['Series A', 1.0], ['series-b', .9], ['Round C', .6], ['D round', .6], ['Seed', .8], ['pre seed', .8],
            ['Preseed', .8],
            ['grant', .6], ['Debt financing', .5], ['undisclosed', .5], ['Series', .5], [null, .5],
        ];
    }

    #[DataProvider('rounds')]
    public function test_rounds_are_read_as_sources_write_them(?string $round, float $weight): void
    {
        self::assertEqualsWithDelta($weight * .6, Strength::ofFunding($round, null, null), 1e-12);
    }
}
