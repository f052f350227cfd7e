<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Approach;
use App\Models\Feed;
use App\Models\Result;
use App\Models\StruckSignal;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Learning\SourceConfidence;
use Luftig\Core\Signal\Kind;

/** How far what a source said held, of its signals that approaches rested on (rule 20). */
final class SourceRecords
{
    /** Kinds that say where a person works, which somebody who left contradicts. */
    private const OF_POSITIONS = [Kind::NewLeader, Kind::Promotion, Kind::CustomerAlum];

    /**
     * @param  Collection<int, Approach>  $approaches  with their results and reasons
     * @return array<int, array{feed: Feed, right: int, of: int, proposed: float}> by feed
     */
    public static function of(Collection $approaches): array
    {
        $wrong = [];
        foreach ($approaches as $approach) {
            $contradicts = in_array($approach->result, [Result::Left, Result::WrongPerson], true);
            foreach ($approach->reason->evidence['signals'] ?? [] as $signal) {
                $wrong[$signal['id'] ?? 0] = ($wrong[$signal['id'] ?? 0] ?? false)
                    || $contradicts && in_array(Kind::tryFrom($signal['kind']), self::OF_POSITIONS, true);
            }
        }
        $struck = StruckSignal::query()->whereIn('id', array_keys($wrong))->get();
        $told = DB::table('signal_sources')->whereIn('signal_id', array_keys($wrong))
            ->get(['signal_id', 'feed_item_id'])
            ->map(fn ($row): array => [$row->signal_id, $row->feed_item_id])->all();
        foreach ($struck as $one) {
            $wrong[$one->id] = true;
            foreach ($one->sources as $source) {
                $told[] = [$one->id, $source['feed_item_id']];
            }
        }
        $feeds = DB::table('feed_items')->whereIn('id', array_column($told, 1))->pluck('feed_id', 'id');
        $right = $of = [];
        foreach ($told as [$signal, $item]) {
            if (isset($feeds[$item])) {
                $of[$feeds[$item]][$signal] = true;
                if (! $wrong[$signal]) {
                    $right[$feeds[$item]][$signal] = true;
                }
            }
        }

        return Feed::query()->whereIn('id', array_keys($of))->orderBy('name')->get()->keyBy('id')
            ->map(fn (Feed $feed): array => [
                'feed' => $feed, 'right' => count($right[$feed->id] ?? []), 'of' => count($of[$feed->id]),
                'proposed' => SourceConfidence::learned(
                    $feed->confidence, count($right[$feed->id] ?? []), count($of[$feed->id]),
                ),
            ])->all();
    }
}
