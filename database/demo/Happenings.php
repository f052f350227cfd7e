<?php

declare(strict_types=1);

namespace Database\Demo;

/** Invents the signals of the demo over eighteen months, more of them at companies that do well. */
final class Happenings
{
    private const COLUMNS = [
        'domain', 'kind', 'date', 'title', 'since', 'strength', 'confidence', 'round', 'amount', 'currency', 'openings',
        'heads before', 'heads after', 'deed', 'technology', 'person', 'source', 'quote', 'link',
    ];

    private const KINDS = [
        'hiring' => 29, 'news' => 16, 'post_engagement' => 13, 'growth' => 10, 'own_engagement' => 7,
        'topic_interest' => 5, 'expansion' => 4.5, 'funding' => 3.5,
        'tech_adopted' => 3, 'decline' => 2.5, 'leadership_change' => .5, 'tech_dropped' => 1.6, 'hiring_freeze' => 1.4,
        'rival_signed' => .5,
    ];

    /** A headcount is told of once in so many days. */
    private const COUNTED_DAYS = 100;

    /** @var array<string, list<float>> domain → how many days ago its heads were counted */
    private array $counted = [];

    public function __construct(private readonly Dice $dice, private readonly int $now)
    {
    }

    /**
     * @param  list<array<string, mixed>>  $companies
     * @param  list<array<string, mixed>>  $people
     * @return list<array<string, string>>
     */
    public function make(array $companies, array $people, int $count): array
    {
        $addresses = [];
        foreach ($people as $person) {
            if ($person['email'] !== '' && ! str_starts_with($person['email'], 'info@')) {
                $addresses[$person['domain']][] = $person;
            }
        }
        $rows = array_map(fn (array $story): array => $this->row($story), Stories::happenings());
        $companies = array_values(
            array_filter($companies, fn (array $company): bool => ! isset($company['truth']['story'])),
        );
        while (count($rows) < $count) {
            $company = $this->dice->pick($companies);
            // A company that grows is heard of more often.
            if ($this->dice->chance(.45 + 2.2 * $company['truth']['growth'])) {
                $rows[] = $this->row($this->one($company, $addresses[$company['truth']['domain']] ?? []));
            }
        }

        return $rows;
    }

    /**
     * @param  array<string, mixed>  $company
     * @param  list<array<string, mixed>>  $people
     * @return array<string, mixed>
     */
    private function one(array $company, array $people): array
    {
        $kind = $this->dice->weighted(self::KINDS);
        $person = $people === [] ? null : $this->dice->pick($people);
        if ($person === null && in_array($kind, ['post_engagement', 'own_engagement'], true)) {
            $kind = 'news';
        }
        $name = $person === null ? '' : $person['first_name'].' '.$person['last_name'];
        $days = $this->dice->chance(.35) ? $this->dice->part() * 60 : $this->dice->part() * 540;
        $heads = $company['truth']['heads'];
        $kind = $this->thatFits($kind, $company, $days);
        $facts = [
            'domain' => $company['truth']['domain'], 'kind' => $kind, 'days' => $days,
            'confidence' => $this->dice->chance(.8) ? '.9' : '1',
        ];

        return $facts + match ($kind) {
            'hiring' => $this->hiring($company['truth']['domain']),
            'news' => [
                'title' => $this->dice->pick([
                    'Named in a report on the duty to audit energy', 'Portrayed in the regional paper',
                    'Wins a prize for recycled material', 'Named among firms hit by power prices',
                ]),
                'source' => 'press',
                'link' => 'https://press.example/'.$company['truth']['domain'],
            ],
            'post_engagement' => [
                'title' => $name.' '.$this->dice->pick([
                    'reacted to a post about power prices', 'reacted to a post about leak surveys',
                    'passed on a post about energy audits', 'commented on a post about leak surveys',
                ]),
                'source' => 'posts',
                'link' => 'https://posts.example/'.$this->dice->int(1000, 9999),
                'person' => $person['email'],
            ],
            'growth' => self::heads(
                'up', (int) floor(max(12, $heads) / (1 + $this->dice->int(3, 24) / 100)), max(12, $heads),
            ),
            'decline' => self::heads(
                'down', (int) ceil(max(12, $heads) / (1 - $this->dice->int(3, 15) / 100)), max(12, $heads),
            ),
            'own_engagement' => [
                'title' => $name.' '
                    .$this->dice->pick(['came to our open day', 'follows us', 'looked at our page on leaks']),
                'deed' => $this->dice->pick(['event', 'follows', 'page']),
                'source' => 'our pages',
                'person' => $person['email'],
            ],
            'topic_interest' => [
                'title' => 'Reads about leak surveys',
                'strength' => (string) round($this->dice->part(), 2),
                'source' => 'topic report',
            ],
            'expansion' => [
                ...$this->dice->pick([
                    ['title' => 'New hall announced', 'quote' => 'The hall is to stand in two years.'],
                    ['title' => 'Second site opened', 'quote' => 'Some forty people begin to work there.'],
                    ['title' => 'Large contract won', 'quote' => 'The contract runs for four years.'],
                    ['title' => 'New line ordered', 'quote' => 'The new line starts in the coming year.'],
                ]),
                'source' => 'press',
                'link' => 'https://press.example/'.$company['truth']['domain'].'/'.$this->dice->int(10, 99),
            ],
            'funding' => $this->funding($heads),
            'leadership_change' => ['title' => 'New chair of the board', 'source' => 'register'],
            'tech_adopted' => [
                'title' => $company['truth']['system'].' adopted', 'source' => 'postings',
                'technology' => $company['truth']['system'],
            ],
            'tech_dropped' => $this->dropped($company['truth']['logger']),
            'hiring_freeze' => ['title' => 'Hiring stopped', 'source' => 'press'],
            default => ['title' => 'Signed with a maker of compressors for its air audits', 'source' => 'press'],
        };
    }

    /** @return array<string, string> a headcount that moved, in the figure that its numbers give */
    private static function heads(string $way, int $before, int $after): array
    {
        return [
            'title' => "Headcount $way ".round(abs($after / $before - 1) * 100).' % in 90 days',
            'heads before' => (string) $before, 'heads after' => (string) $after, 'source' => 'headcounts',
        ];
    }

    /**
     * What cannot be true beside the rest is told as news: a company that grows does not shrink, and adopts what it
     * runs.
     *
     * @param  array<string, mixed>  $company
     */
    private function thatFits(string $kind, array $company, float $days): string
    {
        $kind = match (true) {
            $kind === 'growth' && $company['truth']['growth'] < 0 => 'decline',
            $kind === 'decline' && $company['truth']['growth'] >= 0 => 'growth',
            $kind === 'tech_adopted' && ($company['truth']['system'] ?? '') === '' => 'news',
            default => $kind,
        };
        if ($kind === 'growth' || $kind === 'decline') {
            foreach ($this->counted[$company['truth']['domain']] ?? [] as $other) {
                if (abs($other - $days) < self::COUNTED_DAYS) {
                    return 'news';
                }
            }
            $this->counted[$company['truth']['domain']][] = $days;
        }

        return $kind;
    }

    /** @return array<string, string> a logger that they no longer run, which is not the one they do */
    private function dropped(?string $runs): array
    {
        $logger = $this->dice->pick(array_values(array_diff(Words::LOGGERS, [$runs])));

        return ['title' => "$logger no longer named", 'source' => 'pages', 'technology' => $logger];
    }

    /** @return array<string, string> */
    private function hiring(string $domain): array
    {
        $opening = $this->dice->pick(Words::OPENINGS);
        $number = $this->dice->chance(.2) ? $this->dice->int(2, 3) : 1;

        return [
            'title' => ucfirst($opening).' sought', 'openings' => (string) $number, 'source' => 'postings',
            'quote' => $this->dice->pick(Words::POSTINGS[$opening]),
            'link' => "https://$domain/jobs/".$this->dice->int(100, 999),
        ];
    }

    /** @return array<string, string> */
    private function funding(int $heads): array
    {
        $round = $this->dice->pick(['seed', 'A', 'B', 'C', 'grant', 'debt', '']);
        $amount = round($heads * (.005 + .03 * $this->dice->part()), 1);

        return [
            'title' => (
                in_array($round, ['A', 'B', 'C'], true) ? "Round $round" : ucfirst($round ?: 'undisclosed round')
            )
                .", €{$amount}M",
            'round' => $round,
            'amount' => $this->dice->chance(.2) ? '' : str_replace('.', ',', (string) $amount).' Mio',
            'currency' => 'EUR',
            'source' => 'press',
        ];
    }

    /**
     * @param  array<string, mixed>  $facts
     * @return array<string, string>
     */
    private function row(array $facts): array
    {
        $at = (int) ($this->now - 86400 * $facts['days']);
        $facts['date'] = $facts['days'] < 2 ? gmdate('Y-m-d\TH:i:s\Z', $at) : gmdate('Y-m-d', $at);
        $facts['heads before'] ??= $facts['before'] ?? '';
        $facts['heads after'] ??= $facts['after'] ?? '';
        $row = [];
        foreach (self::COLUMNS as $column) {
            $row[$column] = (string) ($facts[$column] ?? '');
        }

        return $row;
    }
}
