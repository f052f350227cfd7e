<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Approach;
use App\Models\Offer;
use App\Models\Result;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Kind;

/** Approaches with a result, and who answered, by what they had in common. */
final readonly class Answers
{
    /** What a result of it is an answer. */
    public const ANSWERS = [Result::Interested, Result::Meeting];

    /** Days between the newest signal that an approach rested on and the approach, up to. */
    private const LONGER = 'longer ago';

    private const NONE = 'none before it';

    private const SPANS = [
        3 => 'within 3 days', 7 => 'within a week', 14 => 'within two weeks', 31 => 'within a month',
    ];

    /** @param  Collection<int, Approach>  $approaches */
    private function __construct(private Offer $offer, public Collection $approaches)
    {
    }

    public static function of(Offer $offer, ?CarbonImmutable $since = null): self
    {
        return new self(
            $offer, self::made($offer, $since)->with('user', 'reason')->orderBy('made_at')->orderBy('id')->get(),
        );
    }

    /**
     * Those of which something came in so many last days, without reading them.
     *
     * @param  list<int>  $days
     * @return array<int, array{int, int}> days → answered, of; 0: of all times
     */
    public static function counted(Offer $offer, array $days): array
    {
        $counts = ['SUM(result IN (?, ?)) AS answered0', 'COUNT(*) AS made0'];
        $given = $answers = array_column(self::ANSWERS, 'value');
        foreach ($days as $some) {
            array_push(
                $counts, "SUM(made_at >= ? AND result IN (?, ?)) AS answered$some", "SUM(made_at >= ?) AS made$some",
            );
            array_push($given, now()->subDays($some), ...[...$answers, now()->subDays($some)]);
        }
        $row = (array) self::made($offer, null)->toBase()->selectRaw(implode(', ', $counts), $given)->first();

        return array_map(
            fn (int $some): array => [(int) $row["answered$some"], (int) $row["made$some"]],
            array_combine([0, ...$days], [0, ...$days]),
        );
    }

    /** @return Builder<Approach> */
    private static function made(Offer $offer, ?CarbonImmutable $since): Builder
    {
        return Approach::query()->where('offer_id', $offer->id)->whereNotNull('result')
            ->when($since !== null, fn ($query) => $query->where('made_at', '>=', $since));
    }

    public static function isAnswer(Approach $approach): bool
    {
        return in_array($approach->result, self::ANSWERS, true);
    }

    /** @return array{int, int} answered, of */
    public function all(): array
    {
        return [$this->approaches->filter(self::isAnswer(...))->count(), $this->approaches->count()];
    }

    /** @return array<string, array<string, array{int, int}>> what by → value → answered, of; the most frequent first */
    public function groups(): array
    {
        $roles = $this->roles();
        $lists = $this->lists();
        $newest = $this->ages();
        $angles = AngleSet::of($this->offer);
        $angle = fn (string $name): array => $name === '' ? [] : [$angles->nameNow($name)];

        return array_filter([
            'Kind of signal' => $this->by(fn (Approach $one): array => array_map(
                fn (string $kind): string => Kind::tryFrom($kind)?->label() ?? $kind,
                $this->kinds($one),
            )),
            'Angle' => $this->by(fn (Approach $one): array => $angle((string) ($one->reason->evidence['angle'] ?? ''))),
            'Story' => $this->by(fn (Approach $one): array => array_filter([
                $one->reason->evidence['story']['name'] ?? null,
            ])),
            'Buyer role' => $this->by(fn (Approach $one): array => [$roles[$one->contact_id ?? 0] ?? 'in none']),
            'Channel' => $this->by(fn (Approach $one): array => [$one->kind->label()]),
            'List or batch' => $this->by(fn (Approach $one): array => $lists[$one->contact_id ?? 0] ?? []),
            'Rep' => $this->by(fn (Approach $one): array => [$one->user->name ?? 'somebody who is gone']),
            'Newest signal before the approach' => self::inTime($this->by(
                fn (Approach $one): array => [self::span($newest[$one->id] ?? null)],
            )),
            'What came of it, of all' => $this->results(),
        ]);
    }

    /**
     * What an approach rested on: the kinds in its evidence, else the one that pushed most when it was made.
     *
     * @return list<string>
     */
    private function kinds(Approach $approach): array
    {
        $evidence = array_column($approach->reason->evidence['signals'] ?? [], 'kind');
        $met = array_filter($approach->snapshot['kinds'] ?? [], fn (float|int $x): bool => $x > 0);
        arsort($met);

        return $evidence !== [] ? array_values(array_unique($evidence))
            : (array_slice(array_keys($met), 0, 1) ?: ['no signal']);
    }

    /**
     * @param  callable(Approach): array<string>  $values
     * @return array<string, array{int, int}>
     */
    private function by(callable $values): array
    {
        $counts = [];
        foreach ($this->approaches as $approach) {
            foreach ($values($approach) as $value) {
                $counts[$value] ??= [0, 0];
                $counts[$value][0] += self::isAnswer($approach) ? 1 : 0;
                $counts[$value][1]++;
            }
        }
        uasort($counts, fn (array $a, array $b): int => $b[1] <=> $a[1]);

        return $counts;
    }

    /** @return array<string, array{int, int}> result → how many, of all; the most frequent first */
    private function results(): array
    {
        $all = $this->approaches->count();

        return $this->approaches->countBy(fn (Approach $one): string => $one->result?->label() ?? '')->sortDesc()
            ->map(fn (int $some): array => [$some, $all])->all();
    }

    /** @return array<int, string> contact → the buyer role that they are in for the offer */
    private function roles(): array
    {
        $names = array_column($this->offer->rules->buyer_roles ?? [], 'name');
        $roles = [];
        foreach (
            DB::table('standings')->where('offer_id', $this->offer->id)
                ->whereIn('account_id', $this->approaches->pluck('account_id')->unique())->pluck('contacts') as $ranked
        ) {
            foreach (json_decode((string) $ranked, true) ?? [] as $one) {
                if (is_int($one[3] ?? null) && isset($names[$one[3]])) {
                    $roles[$one[0]] = $names[$one[3]];
                }
            }
        }

        return $roles;
    }

    /** @return array<int, list<string>> contact → lists that they are on */
    private function lists(): array
    {
        $lists = [];
        foreach (
            DB::table('list_members')->join('lists', 'lists.id', '=', 'list_id')->where('subject', 'contacts')
                ->where('offer_id', $this->offer->id)->whereNull('deleted_at')
                ->whereIn('record_id', $this->approaches->pluck('contact_id')->filter()->unique())
                ->get(['record_id', 'name']) as $row
        ) {
            $lists[$row->record_id][] = $row->name;
        }

        return $lists;
    }

    /** @return array<int, float> approach → how many days before it the newest signal of its account was */
    public function ages(): array
    {
        return once(fn (): array => self::newest($this->approaches));
    }

    /**
     * How many days before an approach the newest signal of its account was.
     *
     * @param  Collection<int, Approach>  $approaches
     * @return array<int, float>
     */
    public static function newest(Collection $approaches): array
    {
        $newest = [];
        foreach ($approaches->isEmpty() ? [] : DB::table('approaches AS a')->join(
            'signals AS s',
            fn ($join) => $join->on('s.account_id', '=', 'a.account_id')
                ->whereColumn('s.occurred_at', '<=', 'a.made_at')
                ->where(fn ($of) => $of->whereNull('s.offer_id')->orWhereColumn('s.offer_id', 'a.offer_id')),
        )->whereIn('a.id', $approaches->pluck('id'))->groupBy('a.id', 'made_at')
            ->selectRaw('a.id, TIMESTAMPDIFF(SECOND, MAX(s.occurred_at), made_at) AS age')->get() as $row) {
            $newest[$row->id] = $row->age / 86_400;
        }

        return $newest;
    }

    /**
     * @param  array<string, array{int, int}>  $counts
     * @return array<string, array{int, int}> the shortest time first
     */
    private static function inTime(array $counts): array
    {
        $order = array_flip([...array_values(self::SPANS), self::LONGER, self::NONE]);
        uksort($counts, fn (string $a, string $b): int => $order[$a] <=> $order[$b]);

        return $counts;
    }

    private static function span(?float $days): string
    {
        foreach ($days === null ? [] : self::SPANS as $most => $says) {
            if ($days <= $most) {
                return $says;
            }
        }

        return $days === null ? self::NONE : self::LONGER;
    }
}
