<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Feeds\TakeEvents;
use App\Http\Problem;
use App\Jobs\RefreshStandings;
use App\Models\Feed;
use App\Models\ItemKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What sources post: CloudEvents 1.0 in JSON, one or a batch. */
final class EventController
{
    private const BATCH = 1000;

    public function signals(Request $request): JsonResponse
    {
        return $this->take($request, ItemKind::Event);
    }

    public function facts(Request $request): JsonResponse
    {
        return $this->take($request, ItemKind::Fact);
    }

    private function take(Request $request, ItemKind $kind): JsonResponse
    {
        $feed = auth('sanctum')->user();
        abort_unless($feed instanceof Feed, 401);
        $json = json_decode($request->getContent(), true);
        if (! is_array($json) || $json === []) {
            return Problem::says(400, 'This is no JSON object and no list of them.');
        }
        $events = array_is_list($json) ? $json : [$json];
        if (count($events) > self::BATCH) {
            return Problem::says(413, 'A batch holds at most 1,000 events.');
        }
        $told = TakeEvents::from($feed, $kind, $events);
        dispatch(RefreshStandings::ofChanged());
        $isNone = $told['refused'] !== [] && count($told['refused']) === count($events);

        return response()->json($told, $isNone ? 422 : 202);
    }
}
