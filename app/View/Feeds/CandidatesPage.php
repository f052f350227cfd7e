<?php

declare(strict_types=1);

namespace App\View\Feeds;

use App\Models\Candidate;
use App\Models\CandidateCompany;
use App\Models\CandidateState;
use App\Models\FeedItem;
use App\Models\Offer;
use App\Standings\RuleBook;
use App\Support\Countries;
use App\Support\Format;
use App\View\Tab;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\CompanyName;
use Luftig\Core\Fit\AccountFacts;
use Luftig\Core\Mistake;
use Luftig\Core\Signal\RoleOfInterest;
use Luftig\Core\Text\Excerpt;
use Luftig\Core\Text\Query;

/** Companies and people that turned up in a source and are in no list; the companies by how well they would fit. */
final readonly class CandidatesPage
{
    public const TABS = ['companies', 'agencies', 'people', 'aside'];

    private const SIZE = 25;

    /** So many of the newest are looked at for how well they would fit. */
    private const WEIGHED = 400;

    /**
     * @param  list<array<string, mixed>>  $rows
     * @param  LengthAwarePaginator<int, covariant mixed>  $pages
     * @param  array<string, int>  $counts
     */
    private function __construct(
        public string $tab,
        public array $rows,
        public LengthAwarePaginator $pages,
        private array $counts,
        public string $q = '',
        public ?string $problem = null,
    ) {
    }

    /** @param  string  $q  what those of companies say, as a text query */
    public static function of(Offer $offer, string $tab, int $page, string $q = ''): self
    {
        $tab = in_array($tab, self::TABS, true) ? $tab : self::TABS[0];
        $counts = [
            'companies' => self::companies('companies')->count(), 'agencies' => self::companies('agencies')->count(),
            'people' => Candidate::query()->open()->count(), 'aside' => self::companies('aside')->count(),
        ];
        if ($tab === 'people') {
            $people = Candidate::query()->open()->latest('updated_at')->latest('id')
                ->paginate(self::SIZE, page: $page)->withQueryString();

            return new self($tab, self::people($people->items()), $people, $counts);
        }
        $all = self::companies($tab)->with('items.feed')->latest('last_at')->limit(self::WEIGHED)->get();
        try {
            $query = $q === '' ? null : Query::parse($q);
            $problem = null;
        } catch (Mistake $mistake) {
            [$query, $problem] = [null, $mistake->inWords()];
        }
        $rows = self::weighed($offer, $all, $query);
        $pages = new LengthAwarePaginator(
            array_slice($rows, ($page - 1) * self::SIZE, self::SIZE), count($rows), self::SIZE, $page,
            ['path' => route('candidates'), 'query' => ['tab' => $tab] + ($q === '' ? [] : ['q' => $q])],
        );

        return new self($tab, array_values($pages->items()), $pages, $counts, $q, $problem);
    }

    /** @return list<Tab> */
    public function tabs(): array
    {
        $labels = ['companies' => 'Companies', 'agencies' => 'Agencies', 'people' => 'People', 'aside' => 'Put aside'];

        return array_map(fn (string $tab): Tab => new Tab(
            $labels[$tab], route('candidates', ['tab' => $tab]), $tab === $this->tab, $this->counts[$tab],
        ), self::TABS);
    }

    public static function waiting(): int
    {
        return self::companies('companies')->count();
    }

    /** @return Builder<CandidateCompany> */
    private static function companies(string $tab): Builder
    {
        return CandidateCompany::query()
            ->where('state', $tab === 'aside' ? CandidateState::Aside : CandidateState::Open)
            ->when($tab === 'companies', fn (Builder $query) => $query->whereNull('agency'))
            ->when($tab === 'agencies', fn (Builder $query) => $query->whereNotNull('agency'));
    }

    /**
     * @param  Collection<int, CandidateCompany>  $companies
     * @return list<array<string, mixed>> the best first
     */
    private static function weighed(Offer $offer, Collection $companies, ?Query $query): array
    {
        $book = $offer->rules === null ? null : RuleBook::of($offer->rules);
        $rows = [];
        foreach ($companies as $company) {
            $text = $company->items->map(fn (FeedItem $item): string => (string) ($item->facts['text'] ?? ''))
                ->implode("\n");
            $all = "$company->name\n".$company->items->pluck('title')->implode("\n")."\n$text";
            if ($query?->matches($all) === false) {
                continue;
            }
            $fit = $book?->profile->fitOf(new AccountFacts(
                country: $company->country, text: $text === '' ? null : $text,
            ));
            $sought = $company->items->filter(fn (FeedItem $item): bool => array_filter(
                $book->interests ?? [],
                fn (RoleOfInterest $role): bool => $role->titleMatches($item->title),
            ) !== [])->pluck('title')->unique()->values()->all();
            $rows[] = [
                'company' => $company, 'sought' => $sought, 'out' => $fit?->out, 'fit' => $fit,
                'known' => Format::line(
                    $company->domain, $company->place,
                    $company->country === null ? null : Countries::name($company->country), $company->agency,
                ),
                'says' => match (true) {
                    $fit === null => '',
                    $fit->out !== null => "out: {$fit->out}",
                    default => Format::percent($fit->value).' fit; '.Format::percent($fit->coverage)
                        .' of that is known',
                },
                'seen' => Format::line(
                    $company->items->map(fn (FeedItem $item): string => $item->feed->name)->unique()->implode(', '),
                    Format::count($company->items->count(), 'time'),
                    'last '.Format::ago($company->last_at),
                ),
                'item' => $company->items->first(),
                'excerpt' => $query === null ? null : Excerpt::of($all, $query),
            ];
        }
        $rank = fn (array $row): array => [$row['out'] !== null, -count($row['sought']), -($row['fit']->value ?? 0)];
        usort($rows, fn (array $a, array $b): int => $rank($a) <=> $rank($b));

        return $rows;
    }

    /**
     * @param  array<Candidate>  $people
     * @return list<array<string, mixed>>
     */
    private static function people(array $people): array
    {
        $deeds = DB::table('candidate_deeds')->whereIn('candidate_id', array_map(fn ($one): int => $one->id, $people))
            ->orderByDesc('occurred_at')->get()->groupBy('candidate_id');
        $keys = [];
        foreach ($people as $one) {
            $keys[$one->id] = $one->company === null ? '' : CompanyName::of($one->company)->key();
        }
        $accounts = DB::table('accounts')->whereIn('name_key', array_filter($keys))->whereNull('merged_into')
            ->groupBy('name_key')->havingRaw('COUNT(*) = 1')->selectRaw('name_key, MIN(id) AS id, MIN(name) AS name')
            ->get()->keyBy('name_key');
        $rows = [];
        foreach ($people as $one) {
            $own = $deeds[$one->id] ?? collect();
            $last = $own->first();
            $rows[] = [
                'person' => $one, 'account' => $accounts[$keys[$one->id]] ?? null,
                'says' => Format::line($one->title, $one->company),
                'seen' => $last === null ? '' : Format::line(
                    "{$last->deed} ".($last->topic === null ? 'a post' : "“{$last->topic}”"),
                    $own->count() > 1 ? Format::count($own->count(), 'post') : null,
                ),
                'link' => $last?->link,
            ];
        }

        return $rows;
    }
}
