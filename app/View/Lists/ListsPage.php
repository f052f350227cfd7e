<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Watch;
use App\Support\Format;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Search\SpotCheck;

/** Lists and watches of an offer, with how large and how good they are. */
final readonly class ListsPage
{
    public const HOW = [
        'union' => 'all of both',
        'overlap' => 'only who is on both',
        'difference' => 'the first without the second',
    ];

    /**
     * @param  Collection<int, KeptList>  $lists
     * @param  Collection<int, \stdClass>  $sizes  by list
     * @param  Collection<int, Watch>  $watches
     */
    private function __construct(private Collection $lists, private Collection $sizes, private Collection $watches)
    {
    }

    public static function of(Offer $offer): self
    {
        $lists = KeptList::query()->with('user')->where('offer_id', $offer->id)->latest()->get();
        $sizes = DB::table('list_members')->whereIn('list_id', $lists->modelKeys())->groupBy('list_id')
            ->selectRaw('list_id, COUNT(*) AS size, COUNT(fits) AS judged, COALESCE(SUM(fits), 0) AS fits')->get()
            ->keyBy('list_id');
        $finds = '(SELECT COUNT(*) FROM watch_finds WHERE watch_id = watches.id AND %s)';
        $watches = Watch::query()->with('user')->where('offer_id', $offer->id)->selectRaw(
            'watches.*, '.sprintf($finds, 'why IS NOT NULL').' AS found, '.sprintf($finds, 'unread = 1').' AS unread',
        )->orderByDesc('unread')->orderBy('name')->get();

        return new self($lists, $sizes, $watches);
    }

    /** @return array<int, array{name: string, unread: int, found: string, about: string, next: string, url: string}> */
    public function watches(): array
    {
        return $this->watches->map(fn (Watch $watch): array => [
            'name' => $watch->name,
            'unread' => (int) $watch->getAttribute('unread'),
            'url' => route('watches.show', $watch),
            'found' => $watch->getAttribute('found') > 0
                ? Format::count((int) $watch->getAttribute('found'), 'newcomer')
                : 'nobody new yet',
            'about' => "{$watch->user->name}, {$watch->rhythm->value}",
            'next' => 'next '.$watch->next_at->setTimezone($watch->time_zone)->format('D j M, H:i'),
        ])->all();
    }

    /**
     * @return array<int, array{list: KeptList, about: string, by: string, good: string|null, judged: string,
     *     url: string}>
     */
    public function lists(): array
    {
        return $this->lists->map(function (KeptList $list): array {
            $row = $this->sizes[$list->id] ?? null;
            $size = (int) ($row->size ?? 0);
            $judged = (int) ($row->judged ?? 0);
            $check = $judged > 0 ? SpotCheck::of((int) $row?->fits, $judged, $size) : null;

            return [
                'list' => $list, 'url' => route('lists.show', $list),
                'about' => Format::count($size, rtrim($list->subject, 's'))
                    .($list->held_for === null ? '' : ', held for its trial'),
                'by' => $list->user->name ?? 'somebody',
                'good' => $check === null
                    ? null
                    : Format::percent($check->low).' to '.Format::percent($check->high).' good',
                'judged' => $check === null ? 'not checked yet' : "$judged judged",
            ];
        })->all();
    }

    /** @return array<int, string> list → name, to combine two */
    public function names(): array
    {
        return $this->lists->pluck('name', 'id')->all();
    }
}
