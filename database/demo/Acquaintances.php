<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Contacts\Titles;
use App\Models\Account;
use App\Models\Place;
use App\Models\Station;
use App\Models\User;
use Carbon\CarbonImmutable;

/**
 * Invents what people share, and whom the team knows: address books of reps and leaders, and where they were before.
 */
final class Acquaintances
{
    private const LANGUAGES = [
        'SE' => 'Swedish', 'DE' => 'German', 'DK' => 'Danish', 'NO' => 'Norwegian', 'NL' => 'Dutch', 'PL' => 'Polish',
        'FI' => 'Finnish',
    ];

    private const SCHOOLS = [
        'SE' => 'Kråkvik tekniska skola', 'DE' => 'Hochschule Uhlenrode', 'DK' => 'Maskinskolen Hestbæk',
        'NO' => 'Tindbotn tekniske skole', 'NL' => 'Hogeschool Veenmark', 'PL' => 'Technikum Brzezolin',
        'FI' => 'Rajavaara opisto',
    ];

    private const ASSOCIATIONS = ['Circle of Air Users', 'Nordic Maintenance Forum of Kråkvik', 'Energieleute im Werk'];

    /** @param  Dice  $dice  of its own, so that the rest of the demo does not depend on it */
    public function __construct(private readonly Dice $dice, private readonly CarbonImmutable $now)
    {
    }

    /**
     * @param  list<array<string, mixed>>  $people
     * @param  array<string, string>  $countries  domain → country
     * @return list<array<string, mixed>> with languages, schools and associations
     */
    public function affiliated(array $people, array $countries): array
    {
        return array_map(fn (array $person): array => $person + [
            'languages' => implode('; ', array_filter(
                [self::LANGUAGES[$countries[$person['domain']] ?? ''] ?? '', $this->dice->chance(.5) ? 'English' : ''],
            )),
            'schools' => $this->dice->chance(.12) ? self::SCHOOLS[$countries[$person['domain']] ?? ''] ?? '' : '',
            'associations' => $this->dice->chance(.04) ? $this->dice->pick(self::ASSOCIATIONS) : '',
        ], $people);
    }

    /**
     * @param  list<array<string, mixed>>  $people
     * @param  list<User>  $team
     * @return list<array<string, string>> rows of address books, the leaders' the longest; some of them of people who
     *     are nobody's contacts
     */
    public function books(array $people, array $team, int $count): array
    {
        $known = array_values(array_filter(
            $people,
            fn (array $person): bool => $person['email'] !== '' && ! str_starts_with($person['email'], 'info@'),
        ));
        // Ways into two of the stories.
        $rows = $count === 0 ? [] : [
            [
                'known by' => $team[1]->name,
                'name' => 'Pernille Askov-Rye',
                'email' => 'pernille.askovrye@tunhede.example',
                'known since' => '5/2019',
                'exchanges' => '14',
                'last exchange' => $this->now->subDays(40)->format('Y-m-d'),
                'source' => 'address book',
            ],
            [
                'known by' => $team[6]->name,
                'name' => 'Maren Uhlbrock',
                'email' => 'maren.uhlbrock@ostholz-platten.example',
                'known since' => '2/2015',
                'exchanges' => '6',
                'last exchange' => $this->now->subDays(300)->format('Y-m-d'),
                'source' => 'address book',
            ],
        ];
        $books = [];
        foreach ($rows as $row) {
            $books[$row['known by'].' '.$row['email']] = true;
        }
        for ($i = count($rows); $i < $count && $known !== []; $i++) {
            $who = $this->dice->weighted(['0' => 2, '1' => 3, '2' => 2, '3' => 2, '4' => 3, '6' => 7, '7' => 7]);
            $whose = $team[(int) $who];
            $stranger = $this->dice->chance(.12);
            $person = $this->dice->pick($known);
            $days = $this->dice->int(60, 4000);
            $exchanges = $this->dice->chance(.35) ? 0 : $this->dice->int(1, 30);
            $of = $whose->name.' '.($stranger ? "post$i@nobodys-account.example" : $person['email']);
            if (isset($books[$of])) {
                // Once in an address book.
                $i -= count($books) < count($known) ? 1 : 0;

                continue;
            }
            $books[$of] = true;
            $rows[] = [
                'known by' => $whose->name,
                'name' => $stranger
                    ? $this->dice->pick(['Torvald', 'Mechthild', 'Jannike', 'Bogumil']).' '
                        .$this->dice->pick(['Grevinge', 'Uhlbach', 'Hestmark', 'Brzezinek'])
                    : $person['first_name'].' '.$person['last_name'],
                'email' => $stranger ? "post$i@nobodys-account.example" : $person['email'],
                'known since' => $this->now->subDays($days)->format('n/Y'),
                'exchanges' => $exchanges === 0 ? '' : (string) $exchanges,
                'last exchange' => $exchanges === 0
                    ? ''
                    : $this->now->subDays($this->dice->int(1, $days))->format('Y-m-d'),
                'source' => 'address book',
            ];
        }

        return $rows;
    }

    /** @param  list<User>  $team */
    public function stations(array $team): void
    {
        $titles = new Titles;
        $customers = Account::query()->whereHas('customerPeriods')->where('headcount', '>', 100)->orderBy('domain')
            ->limit(3)->get();
        foreach (
            [
                [$team[6], 0, 'Plant Manager', 4200, 2100],
                [$team[7], 1, 'Head of Maintenance', 3600, 1500],
                [$team[1], 2, 'Sales Engineer', 2400, 900],
            ] as [$user, $i, $title, $from, $to]
        ) {
            if (isset($customers[$i])) {
                Station::query()->create([
                    'user_id' => $user->id, 'kind' => 'position', 'name' => $customers[$i]->name,
                    'account_id' => $customers[$i]->id, 'title' => $title,
                    'reading' => $titles->read($title, null, $customers[$i]->headcount),
                    'since' => $this->now->subDays($from), 'until' => $this->now->subDays($to),
                    'brought_by' => $team[0]->id,
                ]);
            }
        }
        Station::query()->create([
            'user_id' => $team[0]->id, 'kind' => 'school', 'name' => self::SCHOOLS['SE'], 'brought_by' => $team[0]->id,
        ]);
        Station::query()->create([
            'user_id' => $team[6]->id, 'kind' => 'association', 'name' => self::ASSOCIATIONS[0],
            'brought_by' => $team[0]->id,
        ]);
        // The town of most accounts that has not been ours.
        Station::query()->create([
            'user_id' => $team[7]->id, 'kind' => 'place', 'brought_by' => $team[0]->id,
            'name' => Place::query()->where('headquarters', true)->where('city', '<>', 'Gothenburg')->groupBy('city')
                ->orderByRaw('COUNT(*) DESC, city')->value('city'),
        ]);
    }
}
