<?php

declare(strict_types=1);

namespace Database\Demo;

use Luftig\Core\Text\Fold;

/** Invents the contacts of the demo: titles in nine languages, addresses that follow patterns, some of them dead. */
final class People
{
    public function __construct(
        private readonly Dice $dice,
        private readonly int $now,
        private readonly Arrivals $arrivals,
        private readonly Careers $careers,
    ) {
    }

    /**
     * @param  list<array<string, mixed>>  $companies
     * @return list<array<string, mixed>>
     */
    public function make(array $companies, int $count): array
    {
        $people = array_map($this->dated(...), Stories::people());
        foreach ($companies as $i => $company) {
            $left = $count - count($people);
            $number = (int) round($left / (count($companies) - $i) * (.4 + 1.2 * $this->dice->part()));
            $pattern = $this->dice->int(0, 3);
            $seen = $addresses = [];
            for ($n = 0; $n < max(1, $number); $n++) {
                $person = $this->one($company, $pattern);
                $name = $person['first_name'].$person['last_name'];
                if (! isset($seen[$name])) {
                    $people[] = $person = self::alone($person, $addresses);
                    $addresses[$person['email']] = true;
                    $seen[$name] = true;
                }
            }
        }

        return $people;
    }

    /**
     * An address is one person's, but for a mailbox of the house.
     *
     * @param  array<string, mixed>  $person
     * @param  array<string, true>  $taken
     * @return array<string, mixed>
     */
    private static function alone(array $person, array $taken): array
    {
        if (! str_starts_with($person['email'], 'info@')) {
            [$local, $domain] = explode('@', $person['email'].'@');
            for ($n = 2; $local !== '' && isset($taken[$person['email']]); $n++) {
                $person['email'] = "$local$n@$domain";
            }
        }

        return $person;
    }

    /**
     * @param  array<string, mixed>  $company
     * @return array<string, mixed>
     */
    private function one(array $company, int $pattern): array
    {
        $country = $company['truth']['country'];
        $arrival = isset($company['truth']['story']) ? null : $this->arrivals
            ->one($company['truth']['domain'], $country);
        $first = $this->dice->pick(Words::FIRST_NAMES[$country]);
        $last = $this->dice->pick(Words::LAST_NAMES[$country][0]).$this->dice->pick(Words::LAST_NAMES[$country][1]);
        $role = $this->dice
            ->weighted(['other' => 5, 'maintenance' => 1.6, 'plant' => 1.6, 'energy' => .8, 'chief' => 1.2]);
        $titles = Words::TITLES[$role];
        $title = $this->dice->pick($this->dice->chance(.85) ? $titles[$country] ?? $titles['EN'] : $titles['EN']);
        [$f, $l] = [implode('', Fold::words($first)), implode('', Fold::words($last))];
        $address = [$f.'.'.$l, $f[0].'.'.$l, $f, $f.$l[0]][$pattern].'@'.$company['truth']['domain'];
        $state = $this->dice->weighted(
            ['valid' => 42, 'catch_all' => 15, 'unknown' => 20, 'guess' => 8, 'invalid' => 10, 'off' => 2, '' => 3],
        );

        $days = $this->dice->int(20, 3600);
        $shares = $this->dice->chance(.04);

        return [
            'domain' => $company['truth']['domain'], 'first_name' => $first, 'last_name' => $last,
            'title' => $this->dice->chance(.03) && $arrival === null ? '' : $arrival['title'] ?? $title,
            'in position since' => $arrival['since'] ?? gmdate('n/Y', $this->now - 86400 * $days),
            'email' => $this->dice->chance(.22)
                ? ''
                : ($shares ? 'info@'.$company['truth']['domain'] : $address),
            'email state' => $shares ? 'shared' : $state,
            'phone' => $this->phone($country),
            'active' => $this->dice->chance(.25) ? gmdate('Y-m-d', $this->now - 86400 * $this->dice->int(0, 90)) : '',
            'earlier positions' => $arrival['before'] ?? $this->careers->before($country, $days),
            'truth' => $arrival['follows'] ?? [], 'address' => $address,
        ];
    }

    /** From ranges that are kept for fiction. */
    private function phone(string $country): string
    {
        return match (true) {
            $country === 'SE' && $this->dice->chance(.15) => '031-390 06 '.sprintf('%02d', $this->dice->int(0, 49)),
            $country === 'DE' && $this->dice->chance(.15) => '030 23125 '.sprintf('%03d', $this->dice->int(0, 999)),
            default => '',
        };
    }

    /**
     * @param  array<string, mixed>  $person
     * @return array<string, mixed>
     */
    private function dated(array $person): array
    {
        $active = isset($person['active days']) ? gmdate('Y-m-d', $this->now - 86400 * $person['active days']) : '';

        return [
            'domain' => $person['domain'], 'first_name' => $person['first_name'], 'last_name' => $person['last_name'],
            'title' => $person['title'],
            'in position since' => gmdate('Y-m-d', $this->now - 86400 * $person['in position days']),
            'email' => $person['email'],
            'email state' => $person['email state'],
            'phone' => $person['phone'] ?? '', 'active' => $active,
            'earlier positions' => $person['earlier positions'] ?? '', 'truth' => $person['follows'] ?? [],
        ];
    }
}
