<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Http\Requests\WatchRequest;
use App\Http\Resources\WatchResource;
use App\Lists\RunWatch;
use App\Models\Offer;
use App\Models\Watch;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;

/** Watches and whom they found. */
final class WatchController extends ApiController
{
    public function index(Request $request, Offer $offer): AnonymousResourceCollection
    {
        self::asked($request, []);

        return WatchResource::collection(self::pages($request, Watch::query()->where('offer_id', $offer->id)));
    }

    public function show(Watch $watch): WatchResource
    {
        return new WatchResource($watch);
    }

    public function store(WatchRequest $request, Offer $offer): JsonResponse
    {
        $watch = RunWatch::begin($offer, self::search($request, $offer), self::user($request), $request->says());

        return self::made(new WatchResource($watch), route('api.watches.show', $watch));
    }

    public function update(WatchRequest $request, Watch $watch): WatchResource
    {
        self::onlyIfSame($request, new WatchResource($watch));
        RunWatch::change($watch, $request->says());

        return new WatchResource($watch->refresh());
    }

    public function destroy(Watch $watch): Response
    {
        $watch->delete();

        return response()->noContent();
    }

    public function newcomers(Request $request, Watch $watch): JsonResponse
    {
        self::asked($request, ['page' => ['nullable', 'integer', 'min:1']]);
        $page = $watch->newcomers()->simplePaginate(
            self::most($request), ['record_id as id', 'why', 'found_at', 'unread'],
        )->withQueryString();

        return response()->json(['data' => collect($page->items())->map(fn (\stdClass $one): array => [
            'id' => $one->id, 'why' => $one->why, 'found_at' => str_replace(' ', 'T', $one->found_at).'Z',
            'unread' => (bool) $one->unread,
        ]), 'links' => ['next' => $page->nextPageUrl()]]);
    }

    public function read(Watch $watch): Response
    {
        $watch->markRead();

        return response()->noContent();
    }
}
