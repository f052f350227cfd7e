<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\StationRequest;
use App\Models\Station;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;

final class StationController extends Controller
{
    public function store(StationRequest $request): RedirectResponse
    {
        $station = Station::query()->create($request->station());

        return redirect()->route('network')
            ->with(
                'said',
                "{$station->name} is kept for {$station->user->name}; whoever was there at that time is known.".(
                    $station->kind === 'position'
                    && $station->account_id === null ? ' It is no account; contacts are found by its exact name.' : ''
                ),
            )
            ->with('undo', Undo::by('delete', route('stations.destroy', $station)));
    }

    public function destroy(Station $station): RedirectResponse
    {
        $station->delete();

        return redirect()->route('network')->with('said', "{$station->name} is removed.")->with(
            'undo',
            Undo::by('post', route('stations.store'), array_filter(
                [
                    'user' => $station->user_id,
                    'kind' => $station->kind,
                    'name' => $station->account->domain ?? $station->name,
                    'title' => $station->title,
                    'since' => $station->since?->toDateString(),
                    'until' => $station->until?->toDateString(),
                ],
            )),
        );
    }
}
