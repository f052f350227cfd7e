<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Search;
use App\Lists\KeepResults;
use App\Lists\Sample;
use App\Lists\SplitBy;
use App\Lists\SplitList;
use App\Lists\Trial;
use App\Models\KeptList;
use App\Models\Offer;
use App\View\Lists\ListPage;
use App\View\Lists\ListsPage;
use App\View\Lists\SamplePage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Luftig\Core\Search\Subject;

final class ListController extends Controller
{
    public function index(Offer $offer): View
    {
        return view('lists.index', ['page' => ListsPage::of($offer)]);
    }

    public function show(Request $request, Offer $offer, KeptList $list): View
    {
        return view('lists.show', [
            'page' => ListPage::of($offer, $list, $this->search($offer, $list), self::page($request)),
        ]);
    }

    /** One of the sample after the other is judged. */
    public function sample(Offer $offer, KeptList $list): View
    {
        return view('lists.sample', ['page' => SamplePage::of($offer, $list, $this->search($offer, $list))]);
    }

    public function judge(Request $request, KeptList $list): RedirectResponse
    {
        $request->validate(['record' => ['required', 'integer'], 'fits' => ['required', 'in:0,1,forget']]);
        $fits = $request->input('fits');
        $list->member($request->integer('record'))->update(['fits' => $fits === 'forget' ? null : (int) $fits]);

        return redirect()->route('lists.sample', $list);
    }

    /** Parts a list, each part a list of its own in the same order. */
    public function split(Request $request, KeptList $list): RedirectResponse
    {
        $request->validate(
            [
                'by' => ['required', Rule::in(
                    array_map(fn (SplitBy $by): string => $by->value, SplitBy::of(Subject::from($list->subject))),
                )],
                'parts' => ['required_if:by,evenly', 'nullable', 'integer', 'between:2,20'],
            ],
            ['by.*' => 'Choose by what to split.', 'parts.*' => 'Into how many parts: a number from 2 to 20.'],
        );
        $batches = SplitList::split(
            $list, SplitBy::from($request->string('by')->toString()), $request->integer('parts'), self::user($request),
        );

        return redirect()->route('lists.index')->with(
            'said',
            "“{$list->name}” is split into ".count($batches).' batches: '.implode(
                ', ',
                array_map(fn (string $name, int $size): string => "$name ($size)", array_keys($batches), $batches),
            ).'.',
        );
    }

    /** A trial first, the rest held until its answers are in. */
    public function trial(Request $request, KeptList $list): RedirectResponse
    {
        $size = $list->members()->count();
        $request->validate(
            ['trial' => ['required', 'integer', 'min:1', 'max:'.max(1, $size - 1)]],
            ['trial.*' => 'A trial is a part of the list: a number from 1 to '.max(1, $size - 1).'.'],
        );
        [$trial, $held] = Trial::begin($list, $request->integer('trial'), self::user($request));

        return redirect()->route('lists.show', $trial)->with(
            'said',
            "“{$trial->name}” is drawn evenly over the list; “{$held->name}” is held until its answers are in.",
        );
    }

    /** No longer held, whether the answers are in or not. */
    public function release(KeptList $list): RedirectResponse
    {
        $list->update(['held_for' => null]);

        return redirect()->route('lists.show', $list)->with('said', "“{$list->name}” is no longer held.");
    }

    /**
     * Two lists as one: all of both, what both have, or the first without the second. It remembers that as its search.
     */
    public function combine(Request $request, Offer $offer): RedirectResponse
    {
        $request->validate([
            'name' => [
                'required', 'string', 'max:100',
                Rule::unique('lists')->where('offer_id', $offer->id)->whereNull('deleted_at'),
            ],
            'how' => ['required', 'in:union,overlap,difference'],
            'first' => ['required', 'integer', 'exists:lists,id'],
            'second' => ['required', 'integer', 'exists:lists,id', 'different:first'],
        ],
            [
                'name.required' => 'Give the list a name.',
                'name.unique' => 'There is a list of this name.',
                'second.different' => 'Choose two different lists.',
            ]);
        [$first, $second] = array_map(
            fn (string $which): KeptList => KeptList::query()->where('offer_id', $offer->id)
                ->findOrFail($request->integer($which)),
            ['first', 'second'],
        );
        if ($first->subject !== $second->subject) {
            return back()->withInput()->withErrors([
                'second' => 'One list has accounts and the other contacts; open the accounts’ contacts in the '
                    .'Finder first.',
            ]);
        }
        $list = KeepResults::asList($offer, Search::from($offer, ['on' => $first->subject,
            'c' => match ($request->string('how')->toString()) {
                'union' => [['f' => 'list', 'v' => "{$first->id},{$second->id}"]],
                'overlap' => [
                    ['f' => 'list', 'v' => (string) $first->id],
                    ['f' => 'list', 'v' => (string) $second->id],
                ],
                default => [
                    ['f' => 'list', 'v' => (string) $first->id],
                    ['f' => 'list', 'v' => (string) $second->id, 'x' => '1'],
                ],
            }]), $request->string('name')->trim()->toString(), self::user($request));

        return redirect()->route('lists.show', $list)->with('said', "The list “{$list->name}” is kept.")
            ->with('undo', Undo::by('delete', route('lists.destroy', $list)));
    }

    public function destroy(KeptList $list): RedirectResponse
    {
        $list->delete();

        return redirect()->route('lists.index')->with('said', "The list “{$list->name}” is gone.")
            ->with('undo', Undo::by('post', route('lists.restore', $list->id)));
    }

    public function restore(int $list): RedirectResponse
    {
        $kept = KeptList::withTrashed()->findOrFail($list);
        $this->authorize('update', $kept);
        $kept->name = KeepResults::free($kept->name, $kept->offer_id);
        $kept->restore();

        return redirect()->route('lists.show', $kept)->with('said', "The list “{$kept->name}” is back.");
    }

    private function search(Offer $offer, KeptList $list): Search
    {
        parse_str($list->search, $query);

        return Search::from($offer, $query);
    }
}
