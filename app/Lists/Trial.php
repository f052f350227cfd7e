<?php

declare(strict_types=1);

namespace App\Lists;

use App\Models\KeptList;
use App\Models\Offer;
use App\Models\User;
use App\Support\Together;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Search\SpotCheck;
use stdClass;

/** A part of a list that is approached first; the rest is held until its answers are in. */
final readonly class Trial
{
    /** Who has not answered for so many days is silent. */
    private const SILENT = 14;

    /**
     * @param  int  $size  of the trial
     * @param  int  $approached  of them, since it began
     * @param  int  $answered  of these, with a result, or silent long enough
     */
    private function __construct(public KeptList $list, public int $size, public int $approached, public int $answered)
    {
    }

    /** @return array{KeptList, KeptList} the trial, drawn evenly over the list, and the rest */
    public static function begin(KeptList $list, int $size, User $by): array
    {
        $ids = array_values($list->members()->pluck('record_id')->all());
        $drawn = array_map(fn (int $at): int => $ids[$at], SpotCheck::draw(count($ids), $list->id, $size));

        return Together::write(function () use ($list, $ids, $drawn, $by): array {
            $trial = KeepResults::part($list, 'trial', $drawn, $by);
            $held = KeepResults::part($list, 'held', array_values(array_diff($ids, $drawn)), $by);
            $held->update(['held_for' => $trial->id]);

            return [$trial, $held];
        });
    }

    /** The trial that a list waits for; null: it waits for none. */
    public static function of(KeptList $held): ?self
    {
        return self::ofEach(collect([$held]))[$held->id] ?? null;
    }

    /**
     * Which of these are held by a list whose trial still waits for answers.
     *
     * @param  array<int>  $ids
     * @return array<int, true>
     */
    public static function holding(Offer $offer, string $subject, array $ids): array
    {
        $lists = KeptList::query()->where('offer_id', $offer->id)->where('subject', $subject)->whereNotNull('held_for')
            ->get();
        $waiting = array_keys(array_filter(self::ofEach($lists), fn (self $trial): bool => ! $trial->isIn()));

        return $waiting === [] ? [] : array_fill_keys(
            DB::table('list_members')->whereIn('list_id', $waiting)->whereIn('record_id', $ids)
                ->pluck('record_id')->all(),
            true,
        );
    }

    /**
     * @param  Collection<int, KeptList>  $held
     * @return array<int, self> held list → the trial that it waits for
     */
    private static function ofEach(Collection $held): array
    {
        if ($held->isEmpty()) {
            return [];
        }
        $trials = KeptList::query()->whereIn('id', $held->pluck('held_for')->filter())->get()->keyBy('id');
        $sizes = DB::table('list_members')->whereIn('list_id', $trials->modelKeys())->groupBy('list_id')
            ->selectRaw('list_id, COUNT(*) AS size')->pluck('size', 'list_id');
        $answers = [];
        foreach ($trials->groupBy('subject') as $subject => $of) {
            $answers += self::answers($subject === 'accounts' ? 'account_id' : 'contact_id', $of->modelKeys());
        }
        $each = [];
        foreach ($held as $list) {
            $trial = $trials[$list->held_for] ?? null;
            if ($trial !== null) {
                $each[$list->id] = new self(
                    $trial, (int) ($sizes[$trial->id] ?? 0), ...$answers[$trial->id] ?? [0, 0],
                );
            }
        }

        return $each;
    }

    /**
     * @param  string  $column  of approaches, that members are found by
     * @param  array<int>  $trials
     * @return array<int, array{int, int}> how many were approached since the trial began, and of these have answered
     */
    private static function answers(string $column, array $trials): array
    {
        return DB::table('list_members')->join('lists', 'lists.id', '=', 'list_id')
            ->join('approaches', fn (JoinClause $on) => $on->on("approaches.$column", '=', 'record_id')
                ->on('approaches.offer_id', '=', 'lists.offer_id')
                ->on('made_at', '>=', 'lists.created_at'))
            ->whereIn('list_id', $trials)->groupBy('list_id')
            ->selectRaw(
                'list_id, COUNT(DISTINCT record_id) AS approached, '
                    .'COUNT(DISTINCT IF(result IS NOT NULL OR made_at < ?, record_id, NULL)) AS answered',
                [now()->subDays(self::SILENT)],
            )
            ->get()
            ->mapWithKeys(fn (stdClass $row): array => [
                (int) $row->list_id => [(int) $row->approached, (int) $row->answered],
            ])
            ->all();
    }

    public function isIn(): bool
    {
        return $this->answered === $this->size;
    }
}
