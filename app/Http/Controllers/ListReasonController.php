<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Reason;
use App\Reasons\ListReasons;
use App\Support\Format;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Reasons for those on a list at once. */
final class ListReasonController extends Controller
{
    public function create(Request $request, Offer $offer, KeptList $list): View
    {
        return view('lists.reasons', [
            'list' => $list, 'proposed' => ListReasons::of($offer, $list, self::user($request)),
        ]);
    }

    public function store(Request $request, Offer $offer, KeptList $list): RedirectResponse
    {
        $request->validate(
            ['contacts' => ['required', 'array', 'max:'.ListReasons::MOST], 'contacts.*' => ['integer']],
            ['contacts.*' => 'Tick for whom the reasons are to be recorded.'],
        );
        [$batch, $many] = ListReasons::of($offer, $list, self::user($request))->record(
            array_values(array_map(intval(...), (array) $request->input('contacts'))),
        );

        return $many === 0
            ? back()->withErrors(['contacts' => 'None was recorded: what was proposed has changed meanwhile.'])
            : redirect()->route('reasons.index')->with('said', Format::count($many, 'reason').' recorded, each with '
                .'what it rests on.')->with('undo', Undo::by('delete', route('lists.reasons.undo', [$list, $batch])));
    }

    /** Those that were recorded at once, as far as none was used. */
    public function destroy(Request $request, KeptList $list, string $batch): RedirectResponse
    {
        $reasons = Reason::query()->where('user_id', self::user($request)->id)->doesntHave('approaches')
            ->where('evidence->batch', $batch)->get();
        $reasons->each(fn (Reason $one): ?bool => $one->delete());

        return redirect()->route('lists.show', $list)->with('said', $reasons->count() === 1
            ? 'The reason is taken back.' : "The {$reasons->count()} reasons are taken back.");
    }
}
