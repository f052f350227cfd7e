<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Search;
use App\Lists\RunWatch;
use App\Models\Offer;
use App\Models\Rhythm;
use App\Models\Watch;
use App\View\Lists\WatchPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Searches that run by themselves, and what they found. */
final class WatchController extends Controller
{
    public function store(Request $request, Offer $offer): RedirectResponse
    {
        $request->validate(
            [
                'name' => ['required', 'string', 'max:100'],
                'rhythm' => ['required', Rule::enum(Rhythm::class)],
                'hour' => ['required', 'integer', 'between:0,23'],
                'time_zone' => ['required', 'timezone'],
            ],
            [
                'name.required' => 'Give the watch a name.',
                'time_zone.timezone' => 'That time zone is not known.',
                'hour.between' => 'An hour is a number from 0 to 23.',
            ],
        );
        $watch = RunWatch::begin(
            $offer,
            Search::typed($offer, $request->input()),
            $request->string('name')->trim()->toString(),
            self::user($request),
            Rhythm::from($request->string('rhythm')->toString()),
            $request->integer('hour'),
            $request->string('time_zone')->toString(),
            $request->boolean('mailed'),
        );

        return redirect()->route('watches.show', $watch)
            ->with('said', "“{$watch->name}” is watched; only who is new from now on is shown.")
            ->with('undo', Undo::by('delete', route('watches.destroy', $watch)));
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
