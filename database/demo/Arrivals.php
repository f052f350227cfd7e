<?php

declare(strict_types=1);

namespace Database\Demo;

/** Invents how people came to their positions, and knows what has to follow from it. */
final class Arrivals
{
    /** Titles in a buyer role of the first offer, whatever the size of the company, and their step below. */
    private const IN_ROLE = [
        'EN' => [
            ['Head of Maintenance', 'Maintenance Planner'], ['Maintenance Manager', 'Maintenance Technician'],
            ['Plant Manager', 'Production Planner'], ['Energy Manager', 'Energy Engineer'],
        ],
        'SE' => [['Underhållschef', 'Underhållsplanerare']],
        'DK' => [['Vedligeholdelseschef', 'Vedligeholdstekniker']],
        'DE' => [['Leitung Instandhaltung', 'Instandhaltungsplanung']],
        'PL' => [['Kierownik Utrzymania Ruchu', 'Inżynier Utrzymania Ruchu']],
    ];

    /** Top positions outside the buyer roles, in every size class. */
    private const TOP = ['CFO', 'Chief Human Resources Officer', 'General Counsel'];

    /** Neither. */
    private const OTHER = ['Marketing Manager', 'Sales Manager', 'HR Manager'];

    /** Invented companies that are nobody's accounts. */
    private const ELSEWHERE = [
        'Hollenbruk Verk', 'Uhlstedt Werke', 'Kvistlinge Industri', 'Tindbotn Papir', 'Brzezolin', 'Veenbroek Plaat',
        'Rajavaara Oy', 'Klitsløk Montage',
    ];

    /**
     * @param  list<array{domain: string, since: int}>  $customers  those that are one still, and since how many days
     */
    public function __construct(
        private readonly Dice $dice,
        private readonly int $now,
        private readonly array $customers,
    ) {
    }

    /**
     * @return array{title: string, since: string, before: string, follows: list<string>}|null kinds of signal that
     *     follow for the first offer; null: nothing is told of this one
     */
    public function one(string $domain, string $country): ?array
    {
        if (! $this->dice->chance(.07)) {
            return null;
        }
        $days = $this->dice->chance(.5) ? $this->dice->int(3, 120) : $this->dice->int(121, 700);
        $sort = $this->dice->weighted(
            ['joined' => 40, 'promoted' => 20, 'sideways' => 12, 'customer' => 12, 'top' => 10, 'other' => 6],
        );
        [$title, $below] = $this->dice->pick(
            $this->dice->chance(.7) ? self::IN_ROLE[$country] ?? self::IN_ROLE['EN'] : self::IN_ROLE['EN'],
        );
        [$title, $before, $follows] = match ($sort) {
            'joined' => [$title, $this->elsewhere($below, $days), ['new_leader']],
            'promoted' => [$title, $this->position($below, $domain, $days + 900, $days), ['promotion']],
            'sideways' => [
                'Maintenance Manager',
                $this->position('Maintenance Supervisor', $domain, $days + 700, $days),
                [],
            ],
            'customer' => $this->fromCustomer($domain, $title, $below, $days),
            'top' => [$this->dice->pick(self::TOP), $this->elsewhere('Controller', $days), ['leadership_change']],
            default => [$this->dice->pick(self::OTHER), $this->elsewhere('Consultant', $days), []],
        };

        return [
            'title' => $title, 'since' => gmdate('Y-m-d', $this->now - 86400 * $days), 'before' => $before,
            'follows' => $follows,
        ];
    }

    /** @return array{string, string, list<string>} */
    private function fromCustomer(string $domain, string $title, string $below, int $days): array
    {
        $at = array_values(array_filter(
            $this->customers,
            fn (array $customer): bool => $customer['domain'] !== $domain && $customer['since'] > $days + 120,
        ));
        $own = in_array($domain, array_column($this->customers, 'domain'), true);
        if ($at === []) {
            return [$title, $this->elsewhere($below, $days), ['new_leader']];
        }
        $customer = $this->dice->pick($at)['domain'];

        return [
            $title,
            $this->position($below, $customer, $days + 2000, $days),
            $own ? ['new_leader'] : ['new_leader', 'customer_alum'],
        ];
    }

    private function elsewhere(string $title, int $days): string
    {
        return $this->position($title, $this->dice->pick(self::ELSEWHERE), $days + 1500, $days);
    }

    private function position(string $title, string $where, int $from, int $to): string
    {
        return "$title, $where, ".gmdate('n/Y', $this->now - 86400 * $from).'–'.gmdate('n/Y', $this->now - 86400 * $to);
    }
}
