<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Search;
use App\Http\Requests\WatchRequest;
use App\Lists\RunWatch;
use App\Models\Offer;
use App\Models\Watch;
use App\View\Lists\WatchPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Searches that run by themselves, and what they found. */
final class WatchController extends Controller
{
    public function store(WatchRequest $request, Offer $offer): RedirectResponse
    {
        $search = Search::typed($offer, $request->input());
        if ($request->filled('as')) {
            return $this->research($request->integer('as'), $offer, $search);
        }
        $watch = RunWatch::begin($offer, $search, self::user($request), $request->says());

        return redirect()->route('watches.show', $watch)
            ->with('said', "“{$watch->name}” is watched; only who is new from now on is shown.")
            ->with('undo', Undo::by('delete', route('watches.destroy', $watch)));
    }

    public function update(WatchRequest $request, Watch $watch): RedirectResponse
    {
        $before = $watch->only('name', 'weekday', 'hour', 'time_zone')
            + ['rhythm' => $watch->rhythm->value, 'mailed' => $watch->mailed ? '1' : '0'];
        RunWatch::change($watch, $request->says());

        return redirect()->route('watches.show', $watch)->with('said', "“{$watch->name}” is changed.")
            ->with('undo', Undo::by('patch', route('watches.update', $watch), $before));
    }

    private function research(int $as, Offer $offer, Search $search): RedirectResponse
    {
        $watch = Watch::query()->where('offer_id', $offer->id)->where('subject', $search->subject->value)
            ->findOrFail($as);
        $this->authorize('update', $watch);
        RunWatch::research($watch, $search);

        return redirect()->route('watches.show', $watch)
            ->with('said', "“{$watch->name}” looks for this from now on; who is found by it today is not new.");
    }

    public function show(Watch $watch): View
    {
        return view('lists.watch', ['page' => WatchPage::of($watch)]);
    }

    public function read(Watch $watch): RedirectResponse
    {
        $watch->markRead();

        return redirect()->route('watches.show', $watch)->with('said', 'All are read.');
    }

    public function destroy(Watch $watch): RedirectResponse
    {
        $watch->delete();

        return redirect()->route('lists.index')->with('said', "“{$watch->name}” is watched no longer.")
            ->with('undo', Undo::by('post', route('watches.restore', $watch->id)));
    }

    public function restore(int $watch): RedirectResponse
    {
        $kept = Watch::withTrashed()->findOrFail($watch);
        $this->authorize('update', $kept);
        $kept->restore();

        return redirect()->route('watches.show', $kept)->with('said', "“{$kept->name}” is watched again.");
    }
}
