<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Luftig\Core\Text\Fold;

/**
 * People's positions as a source of moves tells of them: of those who came lately what the base says, and of the days
 * to come who joins, rises, comes from a customer, or leaves; each with what has to follow for the first offer.
 */
final class Moves
{
    private const DAYS = 90;

    private const AHEAD = 60;

    private const TITLES = ['Head of Maintenance', 'Maintenance Manager', 'Plant Manager', 'Energy Manager'];

    private const BELOW = ['Maintenance Technician', 'Production Planner', 'Shift Lead'];

    /** Firms that are in no list. */
    private const ELSEWHERE = [
        'hestnes-metall.example' => 'Hestnes Metall', 'ohrwald-glas.example' => 'Ohrwald Glas',
        'lyngmose-papir.example' => 'Lyngmose Papir', 'vaarakoski.example' => 'Vaarakoski Oy',
    ];

    private const FIRST = ['Torunn', 'Eskil', 'Mechthild', 'Radosław', 'Tuulikki', 'Joost', 'Ragna', 'Birk'];

    private const LAST = ['Hallingmo', 'Ekvarn', 'Stegelmann', 'Dębowicz', 'Kallioniemi', 'Veldkamp', 'Sørvang'];

    /** @var list<array<string, mixed>> */
    private array $moves = [];

    public function __construct(private readonly Dice $dice, private readonly CarbonImmutable $now)
    {
    }

    /**
     * @param  list<array<string, mixed>>  $companies
     * @param  list<array<string, mixed>>  $people  rows of the file of contacts
     * @param  list<array<string, string>>  $customers  rows of the file of customers
     * @param  list<array{domain: string, since: int}>  $lasting  customers that are one still
     * @return list<array<string, mixed>>
     */
    public function tell(array $companies, array $people, array $customers, array $lasting): array
    {
        $this->moves = [];
        foreach ($people as $person) {
            if ($person['truth'] !== [] && $person['in position since'] >= $this->day(-self::DAYS)) {
                $this->lately($person);
            }
        }
        $served = array_column($customers, 'domain');
        $makers = array_values(array_diff(array_column(array_column(array_filter(
            $companies,
            fn (array $one): bool => $one['truth']['maker'] && ! isset($one['truth']['story']),
        ), 'truth'), 'domain'), $served));
        $settled = array_filter($people, fn (array $one): bool => $this->isSettled($one));
        $elsewhere = array_values(array_filter(
            $settled,
            fn (array $one): bool => in_array($one['domain'], $makers, true),
        ));
        $since = array_column($lasting, 'since', 'domain');
        $ofCustomers = array_values(array_filter(
            $settled,
            fn (array $one): bool => ($since[$one['domain']] ?? 0) > self::DAYS,
        ));
        for ($day = 0; $day < self::AHEAD && $makers !== [] && $elsewhere !== []; $day++) {
            $at = $this->now->startOfDay()->addDays($day)->addMinutes($this->dice->int(300, 1000));
            if ($at <= $this->now) {
                continue;
            }
            match ($this->dice->weighted(['joins' => 40, 'customer' => 20, 'rises' => 25, 'leaves' => 15])) {
                'joins' => $this->comes($this->take($elsewhere), $this->dice->pick($makers), $at, ['new_leader']),
                'customer' => $this->comes(
                    $this->take($ofCustomers), $this->dice->pick($makers), $at, ['new_leader', 'customer_alum'],
                ),
                'rises' => $this->rises($this->dice->pick($makers), $at),
                default => $this->leaves($this->take($elsewhere), $at),
            };
        }

        return $this->moves;
    }

    /**
     * Each moves once.
     *
     * @param  list<array<string, mixed>>  $people
     * @return array<string, mixed>|null
     */
    private function take(array &$people): ?array
    {
        if ($people === []) {
            return null;
        }
        $at = $this->dice->int(0, count($people) - 1);
        $one = $people[$at];
        array_splice($people, $at, 1);

        return $one;
    }

    /** @param  array<string, mixed>  $person */
    private function isSettled(array $person): bool
    {
        return $person['earlier positions'] === '' && $person['title'] !== '' && $person['email'] !== ''
            && ! str_starts_with($person['email'], 'info@') && $this->date($person['in position since']) !== null
            && $this->date($person['in position since']) < $this->day(-400);
    }

    /** @param  array<string, mixed>  $person */
    private function lately(array $person): void
    {
        $positions = [[
            'title' => $person['title'], 'domain' => $person['domain'],
            'since' => (string) $this->date($person['in position since']),
        ]];
        foreach (preg_split('/\s*\|\s*/', $person['earlier positions'], flags: PREG_SPLIT_NO_EMPTY) ?: [] as $text) {
            [$title, $where, $years] = explode(', ', $text);
            $times = explode('–', $years);
            $positions[] = array_filter([
                'title' => $title, 'company' => $where, 'domain' => str_contains($where, '.') ? $where : '',
                'since' => (string) $this->date($times[0]),
                'until' => (string) ($this->date($times[1] ?? '') ?? "{$times[0]}-12-31"),
            ]);
        }
        $at = CarbonImmutable::parse($person['in position since'], 'UTC')->addHours(9);
        $this->told($person, $positions, $at->min($this->now->subMinute()), $person['domain'], $person['truth']);
    }

    /**
     * @param  array<string, mixed>|null  $person
     * @param  list<string>  $follows
     */
    private function comes(?array $person, string $to, CarbonImmutable $at, array $follows): void
    {
        if ($person !== null) {
            $this->told($person, [
                ['title' => $this->dice->pick(self::TITLES), 'domain' => $to, 'since' => $at->toDateString()],
                $this->held($person, $at),
            ], $at, $to, $follows);
        }
    }

    /** Somebody whom nobody knew yet. */
    private function rises(string $domain, CarbonImmutable $at): void
    {
        $name = $this->dice->pick(self::FIRST).' '.$this->dice->pick(self::LAST);
        $person = ['first_name' => strtok($name, ' '), 'last_name' => (string) strtok(' '), 'email' => ''];
        $profile = 'https://people.example/'.implode('-', Fold::words($name)).'-m'.count($this->moves);
        $this->told($person + ['profile' => $profile], [
            ['title' => $this->dice->pick(self::TITLES), 'domain' => $domain, 'since' => $at->toDateString()],
            [
                'title' => $this->dice->pick(self::BELOW), 'domain' => $domain,
                'since' => $at->subDays(900)->toDateString(), 'until' => $at->toDateString(),
            ],
        ], $at, $domain, ['promotion']);
    }

    /** @param  array<string, mixed>|null  $person */
    private function leaves(?array $person, CarbonImmutable $at): void
    {
        if ($person !== null) {
            $domain = $this->dice->pick(array_keys(self::ELSEWHERE));
            $this->told($person, [
                [
                    'title' => $this->dice->pick(self::TITLES), 'domain' => $domain,
                    'company' => self::ELSEWHERE[$domain], 'since' => $at->toDateString(),
                ],
                $this->held($person, $at),
            ], $at, $person['domain'], []);
        }
    }

    /**
     * @param  array<string, mixed>  $person
     * @return array<string, string>
     */
    private function held(array $person, CarbonImmutable $until): array
    {
        return [
            'title' => $person['title'], 'domain' => $person['domain'],
            'since' => (string) $this->date($person['in position since']), 'until' => $until->toDateString(),
        ];
    }

    /**
     * @param  array<string, mixed>  $person
     * @param  list<array<string, string>>  $positions
     * @param  list<string>  $follows
     */
    private function told(array $person, array $positions, CarbonImmutable $at, string $domain, array $follows): void
    {
        $this->moves[] = array_filter([
            'email' => $person['email'], 'profile' => $person['profile'] ?? '',
        ]) + [
            'id' => 'm'.count($this->moves), 'name' => trim("{$person['first_name']} {$person['last_name']}"),
            'at' => $at->toIso8601ZuluString(), 'positions' => $positions,
            'truth' => ['domain' => $domain, 'follows' => $follows],
        ];
    }

    /** 2026-03-04 or 3/2026, as a file of contacts is read. */
    private function date(string $text): ?string
    {
        return match (true) {
            preg_match('/^\d{4}-\d{2}-\d{2}$/', $text) === 1 => $text,
            preg_match('~^(\d{1,2})/(\d{4})$~', $text, $found) === 1 => sprintf('%04d-%02d-01', $found[2], $found[1]),
            preg_match('/^\d{4}$/', $text) === 1 => "$text-01-01",
            default => null,
        };
    }

    private function day(int $from): string
    {
        return $this->now->addDays($from)->toDateString();
    }
}
