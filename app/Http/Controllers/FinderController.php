<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Pasted;
use App\Finder\ResultColumn;
use App\Finder\Search;
use App\Http\Requests\KeepListRequest;
use App\Lists\Collect;
use App\Lists\KeepResults;
use App\Models\KeptList;
use App\Models\Offer;
use App\Support\Format;
use App\Support\Gazetteer;
use App\View\Finder\Conditions;
use App\View\Finder\FinderPage;
use App\View\Finder\Words;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Luftig\Core\Search\Field;

final class FinderController extends Controller
{
    /** Of values to be tried side by side, in letters. */
    private const LINES = 2000;

    public function index(Request $request, Offer $offer): View
    {
        $search = Search::typed($offer, $request->query->all());
        $asked = [
            'add' => self::text($request, 'add'),
            'edit' => self::text($request, 'edit'),
            'vary' => self::text($request, 'vary'),
            'over' => self::text($request, 'over', self::LINES),
            'wide' => self::text($request, 'wide'),
            'sort' => self::text($request, 'sort'),
        ];
        $columns = ResultColumn::chosen($request, $search->subject);
        $page = new FinderPage(
            $offer, self::user($request), $search, self::page($request), $asked, $request->boolean('every'), $columns,
        );

        return view('finder.index', ['page' => $page]);
    }

    /**
     * A step as it was typed or pasted, which may be far too long for an address; leads to the search with it, which
     * has a short one.
     */
    public function narrow(Request $request, Offer $offer): RedirectResponse
    {
        $longest = max(
            [0, ...array_map(
                fn (mixed $text): int => is_string($text) ? strlen($text) : 0,
                Arr::flatten((array) $request->input('c')),
            )],
        );
        if ($longest > Pasted::LONGEST) {
            return back()->withErrors([
                'pasted' => 'What you pasted is longer than '.intdiv(Pasted::LONGEST, 1_000_000)
                    .' MB. Nothing was changed; paste it in parts, each kept as a list, and put these together.',
            ]);
        }

        Conditions::remember(self::user($request), Field::tryFrom($request->string('added')->toString()));

        return redirect()->route('finder', Search::typed($offer, $request->input())->parameters());
    }

    public function keep(KeepListRequest $request, Offer $offer): RedirectResponse
    {
        $search = Search::typed($offer, $request->input());
        $only = $request->ticked();
        $perAccount = $request->number('per_account');
        $best = $request->number('best');
        if ($request->filled('onto')) {
            return $this->add($offer, $search, $request->integer('onto'), $only, $perAccount, $best);
        }
        $name = $request->string('name')->trim()->toString();
        $list = KeepResults::asList($offer, $search, $name, self::user($request), $only, $perAccount, $best);

        return redirect()->route('lists.show', $list)
            ->with('said', "The list “{$list->name}” is kept, with the search that made it.")
            ->with('undo', Undo::by('delete', route('lists.destroy', $list)));
    }

    /**
     * Those found, or those ticked of them, onto a list that is there.
     *
     * @param  list<int>|null  $only
     */
    private function add(
        Offer $offer,
        Search $search,
        int $onto,
        ?array $only,
        ?int $perAccount,
        ?int $best,
    ): RedirectResponse {
        $list = KeptList::query()->where('offer_id', $offer->id)->where('subject', $search->subject->value)
            ->findOrFail($onto);
        $this->authorize('update', $list);
        $new = Collect::add($list, KeepResults::chosen($search, $only, $perAccount, $best));

        return redirect()->route('lists.show', $list)
            ->with('said', Format::count(count($new), rtrim($list->subject, 's'))." added to “{$list->name}”.")
            ->with('undo', $new === [] ? null : Undo::by(
                'delete', route('members.destroy', $list), ['only' => implode(',', $new)],
            ));
    }

    /** Words of those found, told apart from all others; beside the results, and a page of its own. */
    public function words(Request $request, Offer $offer): View
    {
        $search = Search::typed($offer, $request->query->all());
        $view = $request->hasHeader('HX-Request') ? 'finder.words' : 'finder.words-page';

        return view($view, ['search' => $search, 'words' => Words::of($search)]);
    }

    /** Values of a field that begin as typed. */
    public function values(Request $request, Offer $offer, Field $field): View
    {
        $typed = Arr::last(Arr::flatten((array) $request->query('c')), fn (mixed $one): bool => is_string($one)) ?? '';
        $last = trim((string) preg_replace('/^.*[,;\n]/s', '', (string) $typed));

        return view('rules.suggestions', [
            'values' => $last === '' ? [] : Search::from($offer, [])->values()->suggest($field, $last),
        ]);
    }

    /** Places that begin as typed, for the field of a place. */
    public function places(Request $request): View
    {
        $typed = collect((array) $request->query('c'))->pluck('q')->first(fn (mixed $typed): bool => is_string($typed))
            ?? '';

        return view('finder.places', ['places' => Gazetteer::suggest($typed)]);
    }
}
