<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Channel;
use App\Models\Offer;
use Carbon\CarbonImmutable;
use Collator;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Industries;
use Luftig\Core\Search\Subject;

/** The order of those found: by priority as the index has it, or by what a column says, where they are not too many. */
final class Sorting
{
    /** So many can be put in another order while somebody waits. */
    public const MOST = 20_000;

    private const CHUNK = 5_000;

    private const COLUMNS = [
        'contacts' => ['name', 'account', 'since', 'why', 'channel', 'work'],
        'accounts' => ['name', 'industry', 'place', 'why', 'heads', 'contacts', 'work'],
    ];

    /** Of these one looks for the most first. */
    private const DOWNWARDS = ['why', 'channel', 'heads', 'contacts', 'since'];

    private const GROUPED = 'grouped';

    private const WORK = ['in_work' => 0, 'kept' => 1, 'new' => 2];

    /** @var list<int>|null in this order */
    private ?array $ids = null;

    /** @var array<int, int> contact → account, where they are grouped */
    private array $accounts = [];

    /** @param  string  $by  a column, with "-" before it the other way round; empty: by priority */
    private function __construct(
        private readonly Offer $offer,
        private readonly Search $search,
        public readonly string $by,
    ) {
    }

    public static function from(Offer $offer, Search $search, string $by): self
    {
        $known = [...self::COLUMNS[$search->subject->value], ...$search->subject === Subject::Contacts
            ? [self::GROUPED] : []];

        return new self(
            $offer,
            $search,
            in_array(ltrim($by, '-'), $known, true) && $search->total() <= self::MOST ? $by : '',
        );
    }

    public function isPossible(): bool
    {
        return $this->search->total() <= self::MOST;
    }

    public function isGrouped(): bool
    {
        return $this->by === self::GROUPED;
    }

    /** @return list<int> ids of a page */
    public function page(int $number, int $size): array
    {
        $ids = $this->by === '' ? $this->search->ids($number * $size) : $this->ids ??= $this->sorted();

        return array_slice($ids, ($number - 1) * $size, $size);
    }

    /** How many of those found are at an account, where they are grouped by it. */
    public function at(int $account): int
    {
        return count(array_keys($this->accounts, $account, true));
    }

    /** @return 'ascending'|'descending'|null how the rows run in a column */
    public function direction(string $column): ?string
    {
        return match (true) {
            ltrim($this->by, '-') !== $column => null,
            $this->isDownwards() => 'descending',
            default => 'ascending',
        };
    }

    /** What an address needs for the order by a column; of the column they are ordered by already, the other way. */
    public function parameter(string $column): string
    {
        return $this->by === $column ? "-$column" : $column;
    }

    private function isDownwards(): bool
    {
        return in_array(ltrim($this->by, '-'), self::DOWNWARDS, true) !== str_starts_with($this->by, '-');
    }

    /** @return list<int> */
    private function sorted(): array
    {
        $ids = $this->search->ids();
        if ($this->isGrouped()) {
            $this->accounts = $this->read($ids, fn (array $some): Builder => DB::table('contacts')
                ->whereIn('id', $some)->select('id', 'account_id AS value'));
            // Where the best of them stands, there all of its people stand.
            $place = array_flip(array_values(array_unique(
                array_map(fn (int $id): int => $this->accounts[$id] ?? 0, $ids),
            )));
            usort($ids, fn (int $one, int $other): int => $place[$this->accounts[$one] ?? 0]
                <=> $place[$this->accounts[$other] ?? 0]);

            return $ids;
        }
        $values = $this->values($ids);
        $collator = new Collator('en');
        $values = array_map(
            fn (mixed $value): mixed => is_string($value) ? (string) $collator->getSortKey($value) : $value,
            $values,
        );
        $times = $this->isDownwards() ? -1 : 1;
        usort($ids, function (int $one, int $other) use ($values, $times): int {
            [$a, $b] = [$values[$one] ?? null, $values[$other] ?? null];

            // What is not known stands last, whichever way the others run.
            return $a === null || $b === null ? ($a === null) <=> ($b === null) : $times * ($a <=> $b);
        });

        return $ids;
    }

    /**
     * @param  list<int>  $ids
     * @return array<int, float|int|string|null>
     */
    private function values(array $ids): array
    {
        $column = ltrim($this->by, '-');
        if ($column === 'work') {
            return array_combine(
                $ids,
                array_map(fn (int $id): int => self::WORK[$this->search->workOf($id)], $ids),
            );
        }
        if ($column === 'channel') {
            return $this->worths($ids);
        }
        $values = $this->read($ids, fn (array $some): Builder => $this->query($column, $some));

        return $column === 'industry'
            ? array_map(fn (?string $code): ?string => $code === null ? null : Industries::name($code), $values)
            : array_map(fn (mixed $value): mixed => is_numeric($value) ? (float) $value : $value, $values);
    }

    /** @param  list<int>  $ids */
    private function query(string $column, array $ids): Builder
    {
        $table = $this->search->subject->value;
        $query = DB::table($table)->whereIn("$table.id", $ids)->addSelect("$table.id");
        $account = $table === 'accounts' ? 'accounts.id' : 'contacts.account_id';

        return match ($column) {
            'name' => $query->selectRaw($table === 'accounts'
                ? 'name AS value'
                : "CONCAT(last_name, ' ', first_name) AS value"),
            'account' => $query->join('accounts', 'accounts.id', '=', $account)->addSelect('accounts.name AS value'),
            'since' => $query->join('positions', 'contact_id', '=', 'contacts.id')->whereNull('until')
                ->groupBy('contacts.id')->selectRaw('TO_DAYS(MAX(since)) AS value'),
            'why' => $query->join('standings', 'standings.account_id', '=', $account)
                ->where('offer_id', $this->offer->id)->selectRaw('NULLIF(push, 0) AS value'),
            'industry' => $query->join('account_industry', 'account_id', '=', $account)->where('position', 0)
                ->addSelect('code AS value'),
            'place' => $query->join('places', 'account_id', '=', $account)->where('headquarters', true)
                ->addSelect('city AS value'),
            'heads' => $query->addSelect('headcount AS value'),
            default => $query->leftJoin('contacts', fn ($join) => $join->on('account_id', '=', $account)
                ->whereNull('contacts.merged_into'))->groupBy('accounts.id')
                ->selectRaw('COUNT(contacts.id) AS value'),
        };
    }

    /**
     * What the best channel of each is worth (rule 5).
     *
     * @param  list<int>  $ids
     * @return array<int, float>
     */
    private function worths(array $ids): array
    {
        $now = CarbonImmutable::now();
        $worths = [];
        foreach (array_chunk($ids, self::CHUNK) as $some) {
            foreach (Channel::query()->whereIn('contact_id', $some)->get() as $channel) {
                $worth = $channel->asRule($now)->worth();
                $worths[$channel->contact_id] = max($worth, $worths[$channel->contact_id] ?? 0.0);
            }
        }

        return array_filter($worths, fn (float $worth): bool => $worth > 0);
    }

    /**
     * @param  list<int>  $ids
     * @param  callable(list<int>): Builder  $query
     * @return array<int, mixed>
     */
    private function read(array $ids, callable $query): array
    {
        $values = [];
        foreach (array_chunk($ids, self::CHUNK) as $some) {
            $values += $query($some)->pluck('value', 'id')->all();
        }

        return $values;
    }
}
