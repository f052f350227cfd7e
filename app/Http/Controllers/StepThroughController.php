<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Lists\KeepResults;
use App\Models\KeptList;
use App\Models\Offer;
use App\View\Lists\StepThroughPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A whole list, decided one after the other; whoever comes back goes on where they stopped. */
final class StepThroughController extends Controller
{
    public function show(Offer $offer, KeptList $list): View
    {
        return view('lists.step-through', ['page' => StepThroughPage::of($offer, $list)]);
    }

    public function update(Request $request, KeptList $list): RedirectResponse
    {
        $request->validate(['record' => ['required', 'integer'], 'keep' => ['required', 'in:0,1,undecided']]);
        $keep = $request->string('keep')->toString();
        $list->member($request->integer('record'))->update(['keep' => $keep === 'undecided' ? null : (int) $keep]);
        $back = redirect()->route('lists.steps', $list);

        return $keep === 'undecided' ? $back : $back->with('said', $keep === '1' ? 'Kept.' : 'Dropped.')->with(
            'undo',
            Undo::by('post', route('lists.steps.decide', $list), [
                'record' => $request->integer('record'),
                'keep' => 'undecided',
            ]),
        );
    }

    /** One of them onto another list, without deciding. */
    public function add(Request $request, KeptList $list): RedirectResponse
    {
        $request->validate(
            ['record' => ['required', 'integer'], 'to' => ['required', 'integer', 'exists:lists,id']],
            ['to.*' => 'Choose the list.'],
        );
        $to = KeptList::query()->where('offer_id', $list->offer_id)->where('subject', $list->subject)
            ->findOrFail($request->integer('to'));
        $this->authorize('update', $to);
        $isNew = $to->addMember($request->integer('record'));

        return redirect()->route('lists.steps', $list)
            ->with('said', $isNew ? "Added to “{$to->name}”." : "It is on “{$to->name}” already.");
    }

    /** Those kept, as a list of their own. */
    public function store(Request $request, KeptList $list): RedirectResponse
    {
        $kept = KeepResults::part(
            $list,
            'kept',
            array_values($list->members()->where('keep', true)->pluck('record_id')->all()),
            self::user($request),
        );

        return redirect()->route('lists.show', $kept)
            ->with('said', "“{$kept->name}” has those that were kept; the list they come from stays.")
            ->with('undo', Undo::by('delete', route('lists.destroy', $kept)));
    }
}
