<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\City;
use Luftig\Core\Text\Fold;

/** Invents the accounts of the demo, dirt included. */
final class Companies
{
    private const SUFFIX = [
        'SE' => 'AB', 'DK' => 'A/S', 'NO' => 'AS', 'FI' => 'Oy', 'DE' => 'GmbH', 'NL' => 'B.V.', 'PL' => 'Sp. z o.o.',
        'CZ' => 's.r.o.', 'EE' => 'OÜ', 'LV' => 'SIA', 'LT' => 'UAB',
    ];

    private const CURRENCY = ['SE' => 'SEK', 'DK' => 'DKK', 'NO' => 'NOK', 'PL' => 'PLN', 'CZ' => 'CZK'];

    private const NAMES = [
        'SE' => 'Sverige', 'DE' => 'Deutschland', 'DK' => 'Danmark', 'NO' => 'Norge', 'FI' => 'Finland',
        'NL' => 'Netherlands', 'PL' => 'Polska', 'CZ' => 'Czechia', 'EE' => 'Estonia', 'LV' => 'Latvia',
        'LT' => 'Lithuania',
    ];

    /** @var array<string, true> */
    private array $domains = [];

    /** @var array<string, list<string>> */
    private array $cities = [];

    /** @param  Crafts|null  $crafts  null: nobody says what they really make */
    public function __construct(private readonly Dice $dice, private readonly ?Crafts $crafts = null)
    {
    }

    /** @return list<array<string, mixed>> */
    public function make(int $count): array
    {
        $companies = Stories::accounts();
        foreach ($companies as $story) {
            $this->domains[$story['domain']] = true;
        }
        while (count($companies) < $count) {
            $companies[] = $this->one();
        }

        return $companies;
    }

    /** @return array<string, mixed> a row of the file, and under `truth` what the rest of the demo needs to know */
    private function one(): array
    {
        $country = $this->dice->weighted(Words::COUNTRIES);
        $maker = $this->dice->chance(.78);
        $trades = $maker ? Words::TRADES : Words::NOISE;
        $code = (string) $this->dice->pick(array_keys($trades));
        [$labels, $words] = $trades[$code];
        do {
            $stem = $this->dice->pick(Words::STEMS[$country][0]).$this->dice->pick(Words::STEMS[$country][1]);
            $word = $words[$country] ?? reset($words);
            $name = $this->dice->chance(.5) ? "$word $stem" : "$stem $word";
            $domain = implode('-', array_slice(Fold::words($name), 0, 2)).'.example';
        } while (isset($this->domains[$domain]));
        $this->domains[$domain] = true;

        $heads = (int) round(exp(log(140) + .95 * $this->dice->bell()));
        $heads = max(6, min(4200, $heads));
        $growth = .03 + .09 * $this->dice->bell();
        $system = $this->dice->chance(.35) ? $this->dice->pick(Words::SYSTEMS) : '';
        $logger = $this->dice->chance(.22) ? $this->dice->pick(Words::LOGGERS) : '';

        $company = [
            'name' => $name.($this->dice->chance(.55) ? ' '.self::SUFFIX[$country] : ''),
            'domain' => $this->dice->chance(.3) ? 'https://www.'.$domain.'/' : $domain,
            'industry' => $this->dice->chance(.03) ? 'manufacturing' : $this->dice->pick($labels),
            'headcount' => $this->dice->chance(.06) ? '' : $this->heads($heads),
            'growth' => $this->dice->chance(.25) ? '' : str_replace('.', ',', (string) round(100 * $growth, 1)).' %',
            'revenue' => $this->dice->chance(.2) ? '' : $this->revenue($heads, $country),
            'country' => $this->dice->chance(.03) ? '' : self::NAMES[$country],
            'city' => $this->city($country),
            'sites' => $this->dice->chance(.25)
                ? ''
                : (string) max(1, (int) round($heads / 220 + $this->dice->part() * 2.4)),
            'technologies' => implode('; ', array_filter([$system, $logger])),
            'keywords' => $maker ? implode(
                '; ',
                array_unique(
                    [
                        $this->dice->pick(Words::TRADE_WORDS[$code] ?? Words::KEYWORDS),
                        $this->dice->pick(Words::KEYWORDS),
                        $this->dice->chance(.4) ? 'three shifts' : $this->dice->pick(Words::KEYWORDS),
                    ],
                ),
            ) : '',
            'description' => $this->description($word, $stem, $maker),
            'status' => $code === '2813' && $this->dice->chance(.7) ? 'competitor' : ($code === '78' ? 'agency' : ''),
            'truth' => [
                'country' => $country, 'domain' => $domain, 'heads' => $heads, 'growth' => $growth, 'maker' => $maker,
                'system' => $system, 'logger' => $logger,
            ],
        ];

        return $this->crafts?->speak($company, $code) ?? $company;
    }

    private function heads(int $heads): string
    {
        return match (true) {
            $this->dice->chance(.12) => 'ca. '.(int) (round($heads / 10) * 10 ?: $heads),
            $this->dice->chance(.06) => (int) ($heads * .8).'–'.(int) ($heads * 1.25),
            $heads >= 1000 => number_format($heads, 0, ',', '.'),
            default => (string) $heads,
        };
    }

    private function revenue(int $heads, string $country): string
    {
        $currency = self::CURRENCY[$country] ?? 'EUR';
        $millions = $heads * (.14 + .16 * $this->dice->part()) * config('luftig.rates.per_eur')[$currency];

        return $currency.' '.str_replace('.', ',', (string) round($millions, 1)).' Mio';
    }

    private function description(string $word, string $stem, bool $maker): string
    {
        return $maker
            ? $this->dice->pick([
                "$word from $stem, on several lines.",
                "Family-owned maker in $stem.",
                "Supplies customers in the north from $stem; runs round the clock.",
                'One of three plants of its group. Energy is a large part of cost.',
            ])
            : $this->dice->pick(
                ["Serves industry around $stem.", "Office in $stem, no plant of its own.", 'Independent since 1998.'],
            );
    }

    private function city(string $country): string
    {
        $this->cities[$country] ??= City::query()->where('country', $country)
            ->whereBetween('population', [6000, 250000])->orderBy('id')->pluck('name')->all();

        return $this->dice->pick($this->cities[$country]);
    }
}
