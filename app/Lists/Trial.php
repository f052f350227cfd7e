<?php

declare(strict_types=1);

namespace App\Lists;

use App\Models\Approach;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Search\SpotCheck;

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

        return DB::transaction(function () use ($list, $ids, $drawn, $by): array {
            $trial = KeepResults::part($list, 'trial', $drawn, $by);
            $held = KeepResults::part($list, 'held', array_values(array_diff($ids, $drawn)), $by);
            $held->update(['held_for' => $trial->id]);

            return [$trial, $held];
        });
    }

    /** The trial that a list waits for; null: it waits for none. */
    public static function of(KeptList $held): ?self
    {
        $trial = $held->held_for === null ? null : KeptList::query()->find($held->held_for);
        if ($trial === null) {
            return null;
        }
        $members = $trial->members()->pluck('record_id')->all();
        $column = $trial->subject === 'accounts' ? 'account_id' : 'contact_id';
        $approaches = fn () => Approach::query()->where('offer_id', $trial->offer_id)->whereIn($column, $members)
            ->where('made_at', '>=', $trial->created_at);

        return new self(
            $trial,
            count($members),
            $approaches()->distinct()->count($column),
            $approaches()->where(
                fn ($either) => $either->whereNotNull('result')->orWhere('made_at', '<', now()->subDays(self::SILENT)),
            )
                ->distinct()
                ->count($column),
        );
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
            ->get()->reject(fn (KeptList $list): bool => self::of($list)?->isIn() ?? true);

        return $lists->isEmpty() ? [] : array_fill_keys(
            DB::table('list_members')->whereIn('list_id', $lists->pluck('id'))->whereIn('record_id', $ids)
                ->pluck('record_id')->all(),
            true,
        );
    }

    public function isIn(): bool
    {
        return $this->answered === $this->size;
    }
}
