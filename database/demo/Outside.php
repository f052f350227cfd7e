<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Luftig\Core\Text\Fold;

/**
 * What the outside world tells of the invented one: postings, reports and rounds of the last ninety days, which say
 * what the base's signals say, and those of the days to come; written down for the stand-ins, each with the truth.
 */
final class Outside
{
    private const DAYS = 90;

    private const AHEAD = 60;

    private const PAPERS = ['anzeiger', 'posten', 'dispatch'];

    /** What agencies are called, and how one speaks that is not called so. */
    private const AGENCIES = [
        ['Kvarnby Rekrytering', 'SE'], ['Uhlenhorst Personalvermittlung', 'DE'], ['Tindbotn Bemanning', 'NO'],
        ['Polderwijk Uitzendbureau', 'NL'], ['Stolpe & Rask', 'DK'], ['Brandow Partner', 'DE'],
    ];

    private const SPEAKS = [
        'For our client, %s, we seek somebody to join a small team.',
        'On behalf of our client, a maker in the region, we fill this position.',
        'Im Auftrag unseres Kunden suchen wir zum nächsten Termin.',
        'För vår kunds räkning söker vi en erfaren kollega.',
    ];

    private const OTHER_ROLES = [
        'Accountant', 'Cook', 'Sales assistant', 'Receptionist', 'Payroll clerk', 'Forklift driver', 'Designer',
    ];

    private const POSTS = [
        'power-prices' => 'Power prices at noon were a tenth of those at seven. Who shifts what they can?',
        'leak-surveys' => 'We found forty leaks in a hall that was said to have none. How often do you look?',
        'energy-audits' => 'The duty to audit comes in January. What did your last audit miss?',
    ];

    /** What firms say of themselves on a second page. */
    private const ABOUT = [
        'We run round the clock, on three shifts.', 'A family firm in its third generation.',
        'We buy our power by the hour, and watch what we use.', 'Our works have compressed air in every hall.',
        'Certified for energy management since last year.', 'We deliver to all of the north.',
    ];

    private const NOISE = [
        'New bridge over the river opens in spring', 'Council quarrels over parking', 'Storm fells trees',
        'School choir sings at the town hall', 'Prices of power rise again, says the ministry',
        'Museum shows old looms', 'Trains late after signal fault', 'Duty to audit energy: what changes in January',
    ];

    /** @var list<array<string, mixed>> */
    private array $postings = [];

    /** @var list<array<string, mixed>> */
    private array $reports = [];

    /** @var list<array<string, mixed>> */
    private array $rounds = [];

    /** @var list<array<string, mixed>> */
    private array $headcounts = [];

    /** @var list<array<string, mixed>> */
    private array $deeds = [];

    /** @var list<array<string, mixed>> */
    private array $sites = [];

    /** @var array<string, array<string, mixed>> domain → its row */
    private array $companies = [];

    /** @param  Dice  $dice  of its own, so that the rest of the demo does not depend on it */
    public function __construct(private readonly Dice $dice, private readonly CarbonImmutable $now)
    {
    }

    public static function address(): string
    {
        return 'http://'.(config('luftig.standins')[0] ?? '127.0.0.1:8422');
    }

    /**
     * Whoever does something with a post has a profile by which that is told.
     *
     * @param  list<array<string, mixed>>  $people
     * @param  list<array<string, string>>  $signals
     * @return list<array<string, mixed>>
     */
    public static function profiles(array $people, array $signals): array
    {
        $stories = array_column(Stories::accounts(), 'domain');
        $engaged = array_fill_keys(array_column(array_filter(
            $signals,
            fn (array $row): bool => $row['kind'] === 'post_engagement' && ! in_array($row['domain'], $stories, true),
        ), 'person'), true);

        return array_map(fn (array $person, int $i): array => $person + [
            'profile' => $person['email'] !== '' && isset($engaged[$person['email']])
                ? 'https://people.example/'
                    .implode('-', Fold::words("{$person['first_name']} {$person['last_name']} $i"))
                : '',
        ], $people, array_keys($people));
    }

    /**
     * @param  list<array<string, mixed>>  $companies
     * @param  list<array<string, mixed>>  $people
     * @param  list<array<string, string>>  $signals  rows of the file of signals
     * @return list<array<string, string>> the same, with links that lead to the pages that tell of them
     */
    public function tell(array $companies, array $people, array $signals): array
    {
        foreach ($companies as $company) {
            $this->companies[$company['truth']['domain']] = $company;
        }
        $authors = $byAddress = [];
        foreach ($people as $person) {
            $authors[$person['domain']] ??= $person;
            $byAddress[$person['email']] = $person;
        }
        foreach ($signals as $i => $row) {
            $at = CarbonImmutable::parse($row['date'], 'UTC');
            if ($at < $this->now->subDays(self::DAYS) || ! isset($this->companies[$row['domain']])) {
                continue;
            }
            $link = match (true) {
                $row['kind'] === 'hiring' => $this->openings($row, $at, $authors[$row['domain']] ?? null),
                $row['source'] === 'press' => $this->report($row, $at),
                $row['kind'] === 'post_engagement' => $this->deed($row, $at, $byAddress[$row['person']] ?? null),
                default => null,
            };
            $signals[$i]['link'] = $link ?? $row['link'];
        }
        $this->noise(count($signals));
        $this->heads($signals);
        $this->strangers($authors);
        $this->authors();
        $this->sites();
        $this->ahead($authors);

        return $signals;
    }

    /**
     * At which address each is really reached: the one that is known, and of whom none that works is known, the one
     * that services may find.
     *
     * @param  list<array<string, mixed>>  $people
     * @return list<array<string, string>>
     */
    public static function addresses(array $people): array
    {
        $works = fn (array $one): bool => $one['email'] !== ''
            && ! in_array($one['email state'], ['invalid', 'off', 'shared'], true);
        $taken = array_fill_keys(array_column($people, 'email'), true);
        $addresses = [];
        foreach ($people as $one) {
            $email = (string) $one['email'];
            if (! $works($one)) {
                [$first, $last] = array_map(
                    fn (string $name): string => implode('', Fold::words($name)),
                    [(string) $one['first_name'], (string) $one['last_name']],
                );
                for ($n = 1; $n === 1 || isset($taken[$email]); $n++) {
                    $email = $n === 1 ? $one['address'] ?? "$first.$last@{$one['domain']}"
                        : "$first.$last".($n > 2 ? $n - 1 : '')."@{$one['domain']}";
                }
                $taken[$email] = true;
            }
            $addresses[] = [
                'first' => (string) $one['first_name'], 'last' => (string) $one['last_name'],
                'domain' => (string) $one['domain'], 'email' => $email,
            ];
        }

        return $addresses;
    }

    /**
     * What each company really has of heads and revenue.
     *
     * @param  list<array<string, mixed>>  $companies
     * @return list<array{domain: string, headcount: int, revenue: float}>
     */
    public static function figures(array $companies): array
    {
        return array_map(static function (array $company): array {
            ['domain' => $domain, 'heads' => $heads] = $company['truth'];

            return [
                'domain' => $domain, 'headcount' => (int) $heads,
                'revenue' => round($heads * (140_000 + 160_000 * (crc32($domain) % 100) / 100), -5),
            ];
        }, $companies);
    }

    /**
     * Written so that a reader sees all of it or the old one.
     *
     * @param  list<array<string, mixed>>  $moves  of people
     * @param  list<array<string, string>>  $addresses
     * @param  list<array{domain: string, headcount: int, revenue: float}>  $figures
     */
    public function write(string $folder, array $moves, array $addresses, array $figures): void
    {
        is_dir($folder) || mkdir($folder, 0777, true);
        $all = [
            'headcounts' => $this->headcounts, 'postings' => $this->postings, 'reports' => $this->reports,
            'rounds' => $this->rounds, 'deeds' => $this->deeds, 'sites' => $this->sites,
            'moves' => $moves, 'addresses' => $addresses, 'figures' => $figures,
        ];
        foreach ($all as $name => $items) {
            $lines = array_map(
                fn (array $one): string => json_encode($one, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)."\n",
                $items,
            );
            file_put_contents("$folder/$name.new", implode('', $lines));
            rename("$folder/$name.new", "$folder/$name.jsonl");
        }
    }

    /**
     * @param  array<string, string>  $row
     * @param  array<string, mixed>|null  $author
     * @return string|null the page of the first posting
     */
    private function openings(array $row, CarbonImmutable $at, ?array $author): ?string
    {
        $role = $this->role($row['title']);
        $first = null;
        for ($n = 0; $n < max(1, (int) $row['openings']); $n++) {
            $title = ucfirst($role).['', ', second shift', ', weekends'][$n % 3];
            $id = $this->posting($row['domain'], $title, $at, trim($row['quote'].' '.$this->words($role)), $author, [
                'own' => true, 'opening' => $n === 0 ? $role : "$role $n",
            ]);
            $first ??= $id;
        }

        return self::address()."/jobs/$first";
    }

    /**
     * @param  array<string, mixed>|null  $author
     * @param  array<string, mixed>  $truth
     */
    private function posting(
        string $domain,
        string $title,
        CarbonImmutable $at,
        string $text,
        ?array $author,
        array $truth,
        string $type = 'FULL_TIME',
    ): int {
        $company = $this->companies[$domain];
        $posting = [
            'id' => 1000 + count($this->postings), 'employer' => $company['name'], 'domain' => $domain,
            'title' => $title, 'place' => $company['city'], 'country' => $company['truth']['country'],
            'at' => $at->toIso8601ZuluString(),
            'until' => $at->addDays($this->dice->int(95, 130))->toIso8601ZuluString(),
            'type' => $type, 'text' => "<p>$text</p>",
            'author' => $author === null || $this->dice->chance(.6) ? [] : [
                'name' => $author['first_name'].' '.$author['last_name'],
            ],
            'truth' => $truth + ['domain' => $domain] + ($company['status'] === 'agency' ? ['agency' => true] : []),
        ];
        $this->postings[] = $posting;
        if ($this->dice->chance(.08) && $at->addDays(6) < $this->now) {
            // The same role, put up once more, in another dress.
            $again = $at->addDays($this->dice->int(5, 35))->min($this->now->subHour());
            $this->postings[] = [
                'id' => 1000 + count($this->postings), 'at' => $again->toIso8601ZuluString(),
                'title' => $this->dice->pick([mb_strtoupper($title), "$title (m/f/d)", str_replace(' ', '  ', $title)]),
                'truth' => ['double' => $posting['id']] + $posting['truth'],
            ] + $posting;
        }

        return $posting['id'];
    }

    /**
     * @param  array<string, string>  $row
     * @return string the page of the report
     */
    private function report(array $row, CarbonImmutable $at): string
    {
        $name = $this->companies[$row['domain']]['name'];
        $title = match ($row['kind']) {
            'funding' => $row['round'] === '' || $row['round'] === 'debt'
                ? "$name secures funding" : "$name closes funding round: {$row['title']}",
            'news' => "$name ".lcfirst($row['title']),
            default => "$name: ".lcfirst($row['title']),
        };
        $at = $at->setTime(max(5, $at->hour), $at->minute);
        $paper = $this->dice->pick(self::PAPERS);
        $city = $this->companies[$row['domain']]['city'];
        $text = trim($row['quote']." The company is based in $city.");
        $truth = ['domain' => $row['domain'], 'kind' => $row['kind']];
        $id = $this->tells($paper, $title, $text, $at, $truth);
        if ($this->dice->chance(.2)) {
            $other = $this->dice->pick(array_values(array_diff(self::PAPERS, [$paper])));
            $this->tells(
                $other, "$title, says the firm", $text, $this->after($at, 20), $truth,
            );
        }
        if ($row['kind'] === 'funding' && $this->dice->chance(.8)) {
            $amount = (float) str_replace(',', '.', $row['amount']);
            $this->rounds[] = [
                'id' => 'r'.count($this->rounds), 'domain' => $row['domain'],
                'at' => $this->after($at, 48)->toIso8601ZuluString(),
                'round' => $row['round'] === '' ? 'undisclosed' : $row['round'],
                'amount' => $amount > 0 ? $amount * 1e6 : null, 'currency' => $amount > 0 ? 'EUR' : null,
                'truth' => $truth,
            ];
        }

        return self::address()."/press/$paper/$id";
    }

    /** @param  array<string, mixed>  $truth */
    private function tells(string $paper, string $title, string $text, CarbonImmutable $at, array $truth): int
    {
        $id = 100 + count($this->reports);
        $this->reports[] = compact('id', 'paper', 'title', 'text', 'truth') + ['at' => $at->toIso8601ZuluString()];

        return $id;
    }

    /** What is nobody's: agencies, other roles, firms that are in no list, and reports that name nobody. */
    private function noise(int $signals): void
    {
        $makers = array_values(array_filter($this->companies, fn (array $one): bool => $one['truth']['maker']));
        $own = count($this->postings);
        for ($n = 0; $n < intdiv($own, 9); $n++) {
            [$agency, $country] = $this->dice->pick(self::AGENCIES);
            $company = $this->dice->pick($makers);
            $role = $this->dice->pick(Words::OPENINGS);
            $at = $this->past();
            $this->postings[] = [
                'id' => 1000 + count($this->postings), 'employer' => $agency, 'domain' => '',
                'title' => ucfirst($role), 'place' => $company['city'], 'country' => $country,
                'at' => $at->toIso8601ZuluString(), 'until' => $at->addDays(100)->toIso8601ZuluString(),
                'type' => 'FULL_TIME',
                'text' => '<p>'.sprintf($this->dice->pick(self::SPEAKS), $this->dice->chance(.3) ? $company['name']
                    : 'a maker nearby').' '.$this->words($role).'</p>',
                'author' => [], 'truth' => ['agency' => true],
            ];
        }
        for ($n = 0; $n < intdiv($own, 10); $n++) {
            $company = $this->dice->pick($makers);
            $role = $this->dice->pick(self::OTHER_ROLES);
            $this->posting(
                $company['truth']['domain'], $role, $this->past(), 'You like to work in a team.', null,
                ['own' => true, 'opening' => $role], $this->dice->pick(['FULL_TIME', 'PART_TIME', 'TEMPORARY']),
            );
        }
        for ($n = 0; $n < intdiv($signals, 40); $n++) {
            $this->tells(
                $this->dice->pick(self::PAPERS),
                $this->dice->pick(self::NOISE).' in '.$this->dice->pick($makers)['city'],
                'Nobody was hurt.', $this->past(), [],
            );
        }
        for ($n = 0; $n < intdiv($signals, 200); $n++) {
            // Firms of which nobody has heard yet, of trades that are served.
            $name = $this->dice->pick(['Hvitmo', 'Kaldstad', 'Ebbehult', 'Rauhanvuori', 'Zielonki', 'Morrebeek'])
                .' '.$this->dice->pick(['Glas', 'Papir', 'Folie', 'Metall', 'Tekstil']);
            $domain = mb_strtolower(str_replace(' ', '-', $name)).'.example';
            $role = $this->dice->pick(array_slice(Words::OPENINGS, 0, 4));
            $maker = $this->dice->pick($makers);
            $at = $this->past();
            $this->postings[] = [
                'id' => 1000 + count($this->postings), 'employer' => $name, 'domain' => $domain,
                'title' => ucfirst($role), 'place' => $maker['city'], 'country' => $maker['truth']['country'],
                'at' => $at->toIso8601ZuluString(), 'until' => $at->addDays(100)->toIso8601ZuluString(),
                'type' => 'FULL_TIME', 'text' => '<p>'.$this->words($role).'</p>', 'author' => [],
                'truth' => ['unknown' => true, 'opening' => $role],
            ];
        }
    }

    /**
     * What a contact did with a post, where they have a profile by which that is told.
     *
     * @param  array<string, string>  $row
     * @param  array<string, mixed>|null  $person
     * @return string the address of the post
     */
    private function deed(array $row, CarbonImmutable $at, ?array $person): string
    {
        [$topic, $name] = match (true) {
            str_contains($row['title'], 'leak') => ['leak-surveys', 'Leak surveys'],
            str_contains($row['title'], 'audit') => ['energy-audits', 'Energy audits'],
            default => ['power-prices', 'Power prices'],
        };
        $post = self::address()."/posts/$topic-".(1 + crc32($row['title'].$row['date']) % 12);
        $deed = match (true) {
            str_contains($row['title'], 'commented') => 'commented',
            str_contains($row['title'], 'passed on') => 'passed on',
            default => 'reacted',
        };
        if ($person !== null && ($person['profile'] ?? '') !== '') {
            $this->did($topic, $post, $deed, $at, [
                'profile' => $person['profile'], 'name' => "{$person['first_name']} {$person['last_name']}",
                'company' => $this->companies[$row['domain']]['name'], 'title' => $person['title'],
            ], $row['quote'] ?: "We see the same with $name.");
        }

        return $post;
    }

    /**
     * @param  array<string, string>  $who
     */
    private function did(
        string $topic,
        string $post,
        string $deed,
        CarbonImmutable $at,
        array $who,
        string $text = '',
    ): void {
        $this->deeds[] = $who + [
            'id' => count($this->deeds), 'topic' => $topic, 'post' => $post, 'deed' => $deed, 'text' => $text,
            'at' => $at->toIso8601ZuluString(),
        ];
    }

    /**
     * People whom nobody has as a contact: some at firms of the base, some elsewhere.
     *
     * @param  array<string, array<string, mixed>>  $authors
     */
    private function strangers(array $authors): void
    {
        $domains = array_keys($authors);
        for ($n = 0; $n < intdiv(count($this->companies), 12); $n++) {
            $company = $this->companies[$this->dice->pick($domains)] ?? null;
            $topic = $this->dice->pick(['power-prices', 'leak-surveys', 'energy-audits']);
            $name = $this->dice->pick(['Torvald', 'Mechthild', 'Jannike', 'Bogumil', 'Outi', 'Wouter']).' '
                .$this->dice->pick(['Grevinge', 'Uhlbach', 'Hestmark', 'Brzezinek', 'Kallioranta', 'Zandsma']);
            $this->did(
                $topic, self::address()."/posts/$topic-".$this->dice->int(1, 12),
                $this->dice->pick(['reacted', 'reacted', 'commented', 'passed on']), $this->past(), [
                    'profile' => "https://people.example/in-no-list-$n", 'name' => $name,
                    'company' => $company === null || $this->dice->chance(.4) ? 'Kraftverk Nord' : $company['name'],
                    'title' => $this->dice->pick(['Maintenance Manager', 'Energy Manager', 'Consultant', 'Student']),
                ], 'Our air costs more than our light.',
            );
        }
    }

    /** Each post has somebody who wrote it, before the first who did something with it. */
    private function authors(): void
    {
        $first = [];
        foreach ($this->deeds as $one) {
            $before = $first[$one['post']] ?? $one;
            $first[$one['post']] = $one['at'] < $before['at'] ? $one : $before;
        }
        foreach ($first as $post => $one) {
            $this->did($one['topic'], $post, 'wrote', CarbonImmutable::parse($one['at'])->subHours(3), [
                'profile' => 'https://people.example/writes-'.basename($post),
                'name' => $this->dice->pick(['Ragnvald', 'Solveig', 'Kunibert', 'Halina', 'Joris']).' '
                    .$this->dice->pick(['Stokkebæk', 'Lindrothen', 'Ährenbach', 'Wilkowska', 'Duinmeer']),
                'company' => 'Kraftverk Nord', 'title' => 'Writes on energy',
            ], self::POSTS[$one['topic']] ?? 'What does an hour of air cost you?');
        }
    }

    /** What each runs since when; of some it appears, or goes, in the weeks to come; a few have no page. */
    private function sites(): void
    {
        $day = fn (CarbonImmutable $at): string => $at->toIso8601ZuluString();
        foreach ($this->companies as $domain => $company) {
            $changes = $this->dice->part();
            $at = $this->now->startOfDay()->addDays($this->dice->int(2, 40));
            $runs = [];
            foreach (array_filter([$company['truth']['system'] ?? '', $company['truth']['logger'] ?? '']) as $name) {
                $runs[] = [$name, $day($this->now->subYears(2)), $changes < .04 ? $day($at) : null];
            }
            if ($changes > .97) {
                $others = array_diff(Words::SYSTEMS, [$company['truth']['system'] ?? '']);
                $runs[] = [$this->dice->pick($others), $day($at), null];
            }
            if ($this->dice->chance(.97)) {
                $this->sites[] = [
                    'domain' => (string) $domain, 'name' => $company['name'], 'text' => $company['description'],
                    'about' => $this->dice->pick(self::ABOUT),
                    'runs' => $runs,
                ];
            }
        }
    }

    /**
     * Heads by month and function over two years, and of the two months to come: they rise and fall as the company
     * does, and over the last months as the newest signal of growth or decline says.
     *
     * @param  list<array<string, string>>  $signals
     */
    private function heads(array $signals): void
    {
        $newest = [];
        foreach ($signals as $row) {
            $isTold = $row['heads before'] !== '' && $row['date'] > ($newest[$row['domain']]['date'] ?? '');
            if ($isTold && $row['date'] >= $this->now->subDays(self::DAYS)->format('Y-m-d')) {
                $newest[$row['domain']] = $row;
            }
        }
        foreach ($this->companies as $domain => $company) {
            $told = $newest[$domain] ?? null;
            $months = [];
            $parts = 0;
            for ($back = 24; $back >= -2; $back--) {
                $month = $this->now->startOfMonth()->subMonths($back);
                $rate = max(-.3, min(.3, $company['truth']['growth'])) / 4;
                $heads = $company['truth']['heads'] / (1 + $rate) ** ($back / 3);
                if ($told !== null) {
                    [$was, $is] = [(int) $told['heads before'], (int) $told['heads after']];
                    $heads = $back > 3
                        ? $was / (1 + $rate) ** (($back - 3) / 3)
                        : $was + min(1, (3 - $back) / 3) * ($is - $was);
                } elseif (abs($rate) < .06) {
                    // Of whom nothing was told the last months say little.
                    $heads = $company['truth']['heads'] / (1 + $rate) ** (max(0, $back - 3) / 3);
                }
                $heads = max(1, (int) round($heads));
                // Who came lately is not said by function yet.
                $parts = $back > 3 || $months === [] ? $heads : $parts;
                $months[$month->format('Y-m')] = [
                    '' => $heads, 'operations' => (int) ($parts * .52), 'maintenance' => (int) ($parts * .08),
                    'engineering' => (int) ($parts * .1), 'sales' => (int) ($parts * .07),
                ];
            }
            $this->headcounts[] = ['domain' => $domain, 'months' => $months];
        }
    }

    /**
     * The news of the days to come.
     *
     * @param  array<string, array<string, mixed>>  $authors
     */
    private function ahead(array $authors): void
    {
        $domains = array_keys(array_filter($this->companies, fn (array $one): bool => $one['truth']['maker']));
        for ($day = 0; $day < self::AHEAD && $domains !== []; $day++) {
            $today = $this->now->startOfDay()->addDays($day);
            for ($n = 0; $n < 5; $n++) {
                $domain = $this->dice->pick($domains);
                $at = $today->addMinutes($this->dice->int(300, 1000));
                if ($at > $this->now) {
                    $row = ['domain' => $domain, 'openings' => '1', 'quote' => '',
                        'title' => $this->dice->pick(Words::OPENINGS)];
                    $this->openings($row, $at, $authors[$domain] ?? null);
                }
            }
            for ($n = 0; $n < 2; $n++) {
                $at = $today->addMinutes($this->dice->int(300, 1000));
                [$kind, $title, $quote] = $this->dice->pick([
                    ['expansion', 'New hall announced', 'The hall is to stand in two years.'],
                    ['expansion', 'Large contract won', 'The contract runs for four years.'],
                    ['news', 'Named in a report on the duty to audit energy', ''],
                    ['funding', 'Round B, €8M', 'The money pays for a new line.'],
                ]);
                if ($at > $this->now) {
                    $this->report([
                        'domain' => $this->dice->pick($domains), 'kind' => $kind, 'title' => $title, 'quote' => $quote,
                        'round' => $kind === 'funding' ? 'B' : '', 'amount' => '8',
                    ], $at);
                }
            }
        }
    }

    private function role(string $title): string
    {
        foreach (Words::OPENINGS as $role) {
            if (mb_stripos($title, $role) !== false) {
                return $role;
            }
        }

        return Words::OPENINGS[0];
    }

    private function words(string $role): string
    {
        return implode(' ', Words::POSTINGS[$role] ?? ['You are part of a small team.']);
    }

    /** So many hours later; of what has happened not later than now. */
    private function after(CarbonImmutable $at, int $hours): CarbonImmutable
    {
        return $at < $this->now ? $at->addHours($hours)->min($this->now->subMinute()) : $at->addHours($hours);
    }

    private function past(): CarbonImmutable
    {
        return $this->now->subMinutes($this->dice->int(60, self::DAYS * 1440 - 60));
    }
}
