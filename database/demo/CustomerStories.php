<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\Account;
use App\Models\CustomerPeriod;
use App\Models\Offer;
use App\Models\Story;
use App\Models\User;
use Carbon\CarbonImmutable;
use Locale;

/** Stories of ten customers of Blåsvik Metering, in the languages that its angles are written in. */
final readonly class CustomerStories
{
    private const MANY = 10;

    /** ISIC division → what such a house is called, by language. */
    private const HOUSES = [
        '13' => ['en' => 'a weaving mill', 'sv' => 'ett väveri', 'de' => 'einer Weberei'],
        '16' => ['en' => 'a panel works', 'sv' => 'en skivfabrik', 'de' => 'einem Plattenwerk'],
        '17' => ['en' => 'a paper mill', 'sv' => 'ett pappersbruk', 'de' => 'einer Papierfabrik'],
        '21' => ['en' => 'a maker of medicines', 'sv' => 'en läkemedelstillverkare', 'de' => 'einem Arzneihersteller'],
        '22' => ['en' => 'a plastics plant', 'sv' => 'en plastfabrik', 'de' => 'einem Kunststoffwerk'],
        '23' => ['en' => 'a glassworks', 'sv' => 'ett glasbruk', 'de' => 'einer Glashütte'],
        '25' => ['en' => 'a sheet-metal plant', 'sv' => 'en plåtverkstad', 'de' => 'einem Blechwerk'],
        '26' => ['en' => 'an electronics plant', 'sv' => 'en elektronikfabrik', 'de' => 'einem Elektronikwerk'],
        '29' => ['en' => 'a maker of vehicle parts', 'sv' => 'en tillverkare av fordonsdelar',
            'de' => 'einem Hersteller von Fahrzeugteilen'],
    ];

    private const OF = ['en' => '%s of %d in %s', 'sv' => '%s med %d anställda i %s', 'de' => '%s mit %d Leuten in %s'];

    /** Countries that are spoken of with an article. */
    private const ARTICLES = ['NL' => ['en' => 'the Netherlands', 'de' => 'den Niederlanden']];

    /** Problem, what was done, result; in turn. */
    private const TOLD = [
        [
            'en' => [
                'nobody knew what the air network lost at night', 'we walked it in two days while it ran',
                'lost air fell from %d to %d %% in a quarter',
            ],
            'sv' => [
                'visste ingen vad luftnätet förlorade på natten', 'vi gick det på två dagar medan det var i drift',
                'läckaget föll från %d till %d %% på ett kvartal',
            ],
            'de' => [
                'wusste niemand, was das Druckluftnetz nachts verliert',
                'wir sind es in zwei Tagen im laufenden Betrieb abgegangen',
                'die verlorene Luft sank in einem Quartal von %d auf %d %%',
            ],
        ],
        [
            'en' => [
                'a further compressor was about to be ordered', 'we measured for a week first',
                'lost air fell from %d to %d %%, and the order was not needed',
            ],
            'sv' => [
                'skulle ännu en kompressor beställas', 'vi mätte först en vecka',
                'läckaget föll från %d till %d %%, och beställningen behövdes inte',
            ],
            'de' => [
                'sollte ein weiterer Kompressor bestellt werden', 'wir haben zuerst eine Woche gemessen',
                'die verlorene Luft sank von %d auf %d %%, und die Bestellung entfiel',
            ],
        ],
        [
            'en' => [
                'the leaks were known and never repaired', 'we sorted them by cost and came back after a month',
                'lost air fell from %d to %d %%, by eleven repairs',
            ],
            'sv' => [
                'var läckorna kända men lagades aldrig',
                'vi sorterade dem efter kostnad och kom tillbaka efter en månad',
                'läckaget föll från %d till %d %%, med elva lagningar',
            ],
            'de' => [
                'waren die Lecks bekannt und blieben doch',
                'wir haben sie nach Kosten geordnet und sind nach einem Monat wiedergekommen',
                'die verlorene Luft sank von %d auf %d %%, durch elf Reparaturen',
            ],
        ],
    ];

    public function __construct(private Dice $dice, private CarbonImmutable $now)
    {
    }

    public function write(Offer $offer, User $lead): void
    {
        $customers = Account::query()->with('industries', 'technologies', 'places')
            ->whereIn('id', CustomerPeriod::query()->whereNull('until')->where('since', '<', $this->now->subYear())
                ->select('account_id'))
            ->whereNotNull('headcount')->orderBy('id')->get()
            ->filter(fn (Account $one): bool => isset(self::HOUSES[self::division($one)]))
            ->take(self::MANY)->values();
        foreach ($customers as $i => $account) {
            $from = $this->dice->int(26, 38);
            $to = $this->dice->int(9, 14);
            Story::query()->create([
                'offer_id' => $offer->id, 'account_id' => $account->id, 'user_id' => $lead->id,
                'name' => "{$account->name}, ".['nights', 'no compressor', 'eleven repairs'][$i % count(self::TOLD)],
                // The last is not told yet.
                'named' => false, 'told_from' => $i === self::MANY - 1 ? null
                    : $this->now->subDays(40 * ($i + 1))->toDateString(),
                'industries' => $account->industries->pluck('code')->filter()->values()->all(),
                'headcount' => $account->headcount, 'country' => $account->headquarters()?->country,
                'technologies' => $account->technologies->pluck('name')->all(),
                'words' => $this->words($account, self::TOLD[$i % count(self::TOLD)], $from, $to),
            ]);
        }
    }

    /**
     * @param  array<string, array{string, string, string}>  $told
     * @return array<string, array<string, string>>
     */
    private function words(Account $account, array $told, int $from, int $to): array
    {
        $words = [];
        $heads = (int) (round((int) $account->headcount / 10) * 10);
        foreach ($told as $language => [$problem, $done, $result]) {
            $code = (string) $account->headquarters()?->country;
            $country = self::ARTICLES[$code][$language] ?? (string) Locale::getDisplayRegion("-$code", $language);
            $words[$language] = [
                'customer' => sprintf(
                    self::OF[$language], self::HOUSES[self::division($account)][$language], max(10, $heads), $country,
                ),
                'problem' => $problem, 'done' => $done, 'result' => sprintf($result, $from, $to),
            ];
        }

        return $words;
    }

    private static function division(Account $account): string
    {
        return substr((string) $account->industries->first()?->code, 0, 2);
    }
}
