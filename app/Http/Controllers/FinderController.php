<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Column;
use App\Finder\Keeping;
use App\Finder\Rows;
use App\Finder\Search;
use App\Models\KeptList;
use App\Models\Offer;
use App\Standings\Barred;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Validation\Rule;
use Luftig\Core\Finder\Field;

final class FinderController extends Controller
{
    private const PAGE = 20;

    /** Fields whose values are counted beside the results. */
    private const COUNTED = [Field::Industry, Field::Country, Field::City, Field::Technology, Field::Signal, Field::State, Field::Seniority, Field::BusinessFunction, Field::Part, Field::Arrival, Field::Channel];

    private const VALUES_SHOWN = 5;

    public function index(Request $request, Offer $offer): View
    {
        $search = Search::from($offer, $request->query->all());
        $staircase = $search->staircase();
        $total = $search->total();
        $number = max(1, $request->integer('page'));
        $rows = Rows::of($offer, $search->subject, array_slice($search->ids($number * self::PAGE), ($number - 1) * self::PAGE));

        return view('finder.index', [
            'search' => $search, 'staircase' => $staircase, 'total' => $total, 'everybody' => $search->everybody(), 'accounts' => $search->accounts(), 'work' => $search->work(), 'rows' => $rows, 'barred' => Barred::now(),
            'pages' => (new LengthAwarePaginator($rows->records, $total, self::PAGE, $number, ['path' => route('finder')]))->withQueryString(),
            'counts' => $this->counts($search), 'add' => Field::tryFrom($request->string('add')->toString()), 'edit' => $request->query('edit'),
            'lists' => KeptList::query()->where('offer_id', $offer->id)->orderBy('name')->get(), 'columns' => Column::chosen($request, $search->subject), 'week' => 5 * $request->user()->pace,
        ]);
    }

    public function keep(Request $request, Offer $offer): RedirectResponse
    {
        $request->validate([
            'name' => ['required', 'string', 'max:100', Rule::unique('lists')->where('offer_id', $offer->id)->whereNull('deleted_at')], 'per_account' => ['nullable', 'integer', 'between:1,50'],
        ], ['name.required' => 'Give the list a name.', 'name.unique' => 'There is a list of this name.', 'per_account.*' => 'At one account: a number from 1 to 50.']);
        $search = Search::from($offer, $request->input());
        $only = array_values(array_map(intval(...), array_filter((array) $request->input('only', []), is_numeric(...))));
        $list = Keeping::asList($offer, $search, $request->string('name')->trim()->toString(), $request->user(), $only === [] ? null : $only, $request->filled('per_account') ? $request->integer('per_account') : null);

        return redirect()->route('lists.show', $list)->with('said', "The list “{$list->name}” is kept, with the search that made it.")->with('takeBack', route('lists.destroy', $list));
    }

    /** @return array<string, array<string, int>> field → its most frequent values */
    private function counts(Search $search): array
    {
        $counts = [];
        foreach (self::COUNTED as $field) {
            if ($field->suits($search->subject)) {
                // Of the tree, the divisions say most at a glance.
                $counts[$field->value] = $search->counts($field, self::VALUES_SHOWN, $field === Field::Industry ? fn (string $code): bool => strlen($code) === 2 : null);
            }
        }

        return array_filter($counts);
    }
}
