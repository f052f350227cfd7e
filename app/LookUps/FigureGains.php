<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Finder\Computed;
use App\Models\Account;
use App\Models\Figure;
use App\Models\LookUp as Line;
use App\Models\LookUpService;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\User;
use App\Standings\FactsReader;
use App\Standings\RuleBook;
use App\Standings\StandingFacts;
use App\Standings\Standings;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Fit\AccountFacts;
use Luftig\Core\Priority\LookUp;
use Luftig\Core\Priority\LookUps;
use Luftig\Core\Priority\Points;
use Luftig\Core\Signal\Timing;

/**
 * Which unknown figures of companies would pay (rule 23): what the priority would change by in the mean, were the
 * figure as low as a quarter of those of the same trade have it, or as high as a quarter of them.
 */
final readonly class FigureGains
{
    /** So many of the best ranked accounts that lack one are looked at. */
    private const LOOKED_AT = 400;

    /** Who stands behind so many has next to no share of a day's plan. */
    private const PLACES = 2000;

    /** So many are proposed at once. */
    private const MOST = 15;

    /** Fewer of a trade say little of it; then all speak for it. */
    private const FEWEST = 8;

    /** What speaks for every trade. */
    private const ALL = '';

    /**
     * @param  list<array{line: LookUp, standing: Standing, figure: Figure, low: float, high: float}>  $proposed
     */
    private function __construct(public array $proposed, public float $cost)
    {
    }

    /** @param  float  $budget  credits */
    public static function for(Offer $offer, User $user, float $budget): self
    {
        $services = LookUpService::query()->that(LookUpService::KNOWS)->where('price', '>', 0)->get();
        $ranked = Standing::query()->where('offer_id', $offer->id)->where('state', StandingState::Ranked)
            ->openTo($user);
        if ($services->isEmpty() || $budget <= 0 || $offer->rules === null) {
            return new self([], 0.0);
        }
        $priorities = array_values(array_map(
            floatval(...), (clone $ranked)->orderByDesc('points')->limit(self::PLACES)->pluck('priority')->all(),
        ));
        /** @var array<int, float> $lacking priorities by account */
        $lacking = Computed::of('lacking', $offer, [$user->id], fn (): array => array_map(floatval(...), (clone $ranked)
            ->join('accounts', 'accounts.id', '=', 'account_id')
            ->whereNotNull('domain')->where(fn ($either) => $either->whereNull('headcount')->orWhereNull('revenue'))
            // In the order of points, for as long as it takes to find so many.
            ->orderByDesc('points')->limit(self::LOOKED_AT)->toBase()->selectRaw('STRAIGHT_JOIN priority, account_id')
            ->pluck('priority', 'account_id')->all()));
        $rules = $offer->rules;
        $figures = Computed::of('figures', $offer, array_keys($lacking), fn (): array => self::couldBe(
            RuleBook::of($rules), array_keys($lacking),
        ));
        $companies = Companies::of(array_keys($lacking));
        $known = self::answered(array_keys($lacking));
        $records = new Records;
        $candidates = [];
        foreach ($figures as $id => $one) {
            [$account, $priority] = [$one['account'], $lacking[$one['account']]];
            $share = min(1.0, $user->pace / Gains::place($priorities, $priority));
            foreach ($services as $service) {
                if (! isset($known["$account|{$one['figure']}|{$service->id}"])) {
                    $candidates[] = LookUp::ofFact(
                        $id, $service->name, $service->price,
                        $records->chance($service, $companies->country($account), $companies->size($account)),
                        $priority, $one['priorities'], $share,
                    );
                }
            }
        }
        $best = array_slice(LookUps::within($budget, $candidates)->proposed, 0, self::MOST);

        $standings = (clone $ranked)->with('account')->whereIn('account_id', array_map(
            fn (LookUp $line): int => $figures[(string) $line->id]['account'], $best,
        ))->get()->keyBy('account_id');
        $proposed = [];
        foreach ($best as $line) {
            $one = $figures[(string) $line->id] ?? null;
            $standing = $one === null ? null : $standings[$one['account']] ?? null;
            if ($one !== null && $standing !== null) {
                $proposed[] = [
                    'line' => $line, 'standing' => $standing, 'figure' => Figure::from($one['figure']),
                    'low' => min($one['priorities']), 'high' => max($one['priorities']),
                ];
            }
        }

        return new self($proposed, array_sum(array_map(fn (LookUp $line): float => $line->price, $best)));
    }

    /**
     * @param  list<int>  $ids  of accounts
     * @return array<string, array{account: int, figure: string, priorities: non-empty-list<float>}>
     */
    private static function couldBe(RuleBook $book, array $ids): array
    {
        if ($ids === []) {
            return [];
        }
        $now = CarbonImmutable::now();
        $accounts = Account::query()->with('industries')->whereKey($ids)->get()->getDictionary();
        $trades = array_map(
            fn (Account $one): string => substr((string) $one->industries->first()?->code, 0, 2), $accounts,
        );
        $quartiles = array_map(
            fn (Figure $figure): array => self::quartiles($figure, array_values(array_unique($trades))),
            array_combine(array_column(Figure::cases(), 'value'), Figure::cases()),
        );
        $couldBe = [];
        $which = '`id` IN ('.implode(',', $ids).')';
        foreach (FactsReader::for($now, $book)->read($which) as $id => $facts) {
            $timing = Timing::of($book->catalogue, $facts->seriesFor($book->offer), $now->getTimestamp());
            foreach (Figure::cases() as $figure) {
                $values = $quartiles[$figure->value];
                $of = $values[$trades[$id]] ?? $values[self::ALL] ?? null;
                if ($of !== null && ! $figure->isKnownOf($accounts[$id])) {
                    $couldBe["$id-{$figure->value}"] = ['account' => $id, 'figure' => $figure->value, 'priorities' => [
                        self::priority($book, $facts, $timing, $figure, $of[0]),
                        self::priority($book, $facts, $timing, $figure, $of[1]),
                    ]];
                }
            }
        }

        return $couldBe;
    }

    /** What the priority would be with the figure; 0 where the account would be out. */
    private static function priority(
        RuleBook $book,
        StandingFacts $facts,
        Timing $timing,
        Figure $figure,
        float $value,
    ): float {
        $with = $facts->withAccount(self::with($facts->account, $figure, $value));
        $fit = $book->profile->fitOf($with->account);

        return $fit->out !== null ? 0.0 : Points::of(
            $fit->value, $timing->push, Standings::people($book, $with, $timing)->access, $book->lines,
        )->priority();
    }

    private static function with(AccountFacts $facts, Figure $figure, float $value): AccountFacts
    {
        return match ($figure) {
            Figure::Headcount => $facts->withHeadcount((int) round($value)),
            Figure::Revenue => $facts->withRevenue($value),
        };
    }

    /**
     * @param  list<string>  $trades  divisions
     * @return array<string, array{float, float}> division → the figure of which a quarter have less, and more; of all
     *     where too few of a division are known
     */
    private static function quartiles(Figure $figure, array $trades): array
    {
        $in = implode(',', array_map(
            fn (string $one): string => "'".preg_replace('/\D/', '', $one)."'", $trades,
        ));
        $at = fn (string $part): string => "PERCENTILE_CONT($part) WITHIN GROUP (ORDER BY a.{$figure->value}) OVER "
            .'(PARTITION BY %s)';
        $select = fn (string $by): string => "$by AS trade, COUNT(*) OVER (PARTITION BY $by) AS many, "
            .sprintf($at('.25'), $by).' AS low, '.sprintf($at('.75'), $by).' AS high';
        $from = 'FROM accounts a JOIN account_industry i ON i.account_id = a.id AND i.position = 0 WHERE '
            ."a.{$figure->value} IS NOT NULL AND a.merged_into IS NULL";
        $rows = [
            ...DB::select('SELECT DISTINCT '.$select('LEFT(i.code, 2)')." $from AND LEFT(i.code, 2) IN ($in)"),
            ...DB::select('SELECT DISTINCT '.$select("''")." $from"),
        ];
        $quartiles = [];
        foreach ($rows as $row) {
            if ($row->many >= self::FEWEST) {
                $quartiles[(string) $row->trade] = [(float) $row->low, (float) $row->high];
            }
        }

        return $quartiles;
    }

    /**
     * @param  array<int>  $accounts
     * @return array<string, true> account|figure|service of questions whose answer still holds
     */
    private static function answered(array $accounts): array
    {
        return array_fill_keys(Line::query()->lately()->whereIn('account_id', $accounts)
            ->whereIn('state', [Line::FOUND, Line::NOTHING])->toBase()
            ->get(['account_id', 'fact', 'look_up_service_id'])
            ->map(fn ($one): string => "{$one->account_id}|{$one->fact}|{$one->look_up_service_id}")->all(), true);
    }
}
