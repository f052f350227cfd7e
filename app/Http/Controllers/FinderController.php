<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Column;
use App\Finder\Keeping;
use App\Finder\Menu;
use App\Finder\Options;
use App\Finder\Pasted;
use App\Finder\Rows;
use App\Finder\Search;
use App\Finder\StepForm;
use App\Finder\Varying;
use App\Finder\Wording;
use App\Intake\Gazetteer;
use App\Models\Offer;
use App\Models\Tag;
use App\Standings\Barred;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Arr;
use Illuminate\Validation\Rule;
use Luftig\Core\Finder\Field;

final class FinderController extends Controller
{
    private const PAGE = 20;

    private const VALUES_SHOWN = 5;

    public function index(Request $request, Offer $offer): View
    {
        $search = Search::from($offer, $request->query->all());
        $staircase = $search->staircase();
        $total = $search->total();
        $number = self::page($request);
        $rows = Rows::of($offer, $search->subject, array_slice($search->ids($number * self::PAGE), ($number - 1) * self::PAGE));

        return view('finder.index', [
            'search' => $search, 'staircase' => $staircase, 'total' => $total, 'everybody' => $search->everybody(), 'accounts' => $search->accounts(), 'work' => $search->work(), 'rows' => $rows, 'barred' => Barred::now(),
            'pages' => (new LengthAwarePaginator($rows->records, $total, self::PAGE, $number, ['path' => route('finder')]))->withQueryString(),
            'counts' => $this->counts($search, $request->boolean('every')), 'every' => $request->boolean('every'), 'menu' => Menu::of($search), 'options' => new Options($offer, $request->user(), $search), 'add' => Field::tryFrom(self::text($request, 'add')), 'edit' => self::text($request, 'edit'),
            'vary' => $this->vary($request, $search), 'tags' => Tag::query()->orderBy('name')->get(), 'columns' => Column::chosen($request, $search->subject), 'week' => 5 * $request->user()->pace,
        ]);
    }

    /** A step as it was typed or pasted, which may be far too long for an address; leads to the search with it, which has a short one. */
    public function narrow(Request $request, Offer $offer): RedirectResponse
    {
        $longest = max([0, ...array_map(fn (mixed $text): int => is_string($text) ? strlen($text) : 0, Arr::flatten((array) $request->input('c')))]);
        if ($longest > Pasted::LONGEST) {
            return back()->withErrors(['pasted' => 'What you pasted is longer than '.intdiv(Pasted::LONGEST, 1_000_000).' MB. Nothing was changed; paste it in parts, each kept as a list, and put these together.']);
        }

        return redirect()->route('finder', Search::from($offer, $request->input())->parameters());
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

    /** Words of those found, told apart from all others; beside the results, and a page of its own. */
    public function words(Request $request, Offer $offer): View
    {
        $search = Search::from($offer, $request->query->all());
        $everybody = $search->withSteps([]);
        $additions = array_filter(array_map(fn (int $i): array => Wording::additions($search, $everybody, $i), array_keys($search->steps)));

        return view($request->hasHeader('HX-Request') ? 'finder.words' : 'finder.words-page', ['search' => $search, 'frequent' => Wording::frequent($search, $everybody), 'additions' => $additions, 'total' => $search->total(), 'everybody' => $everybody->total()]);
    }

    /** Places that begin as typed, for the field of a place. */
    public function places(Request $request): View
    {
        $typed = collect((array) $request->query('c'))->pluck('q')->first(fn (mixed $typed): bool => is_string($typed)) ?? '';

        return view('finder.places', ['places' => Gazetteer::suggest($typed)]);
    }

    /**
     * @param  bool  $every  every field that can be counted, and not only those that say most
     * @return array<string, list<array{step: StepForm, label: string, count: int}>> field → its most frequent values
     */
    private function counts(Search $search, bool $every): array
    {
        $counts = [];
        foreach (Menu::counted($search, $every) as $field) {
            if ($field->isCounted()) {
                // Of the tree, the divisions say most at a glance.
                $tree = $field === Field::Industry || $field === Field::MainIndustry;
                foreach ($search->counts($field, self::VALUES_SHOWN, $tree ? fn (string $code): bool => strlen($code) === 2 : null) as $value => $count) {
                    $counts[$field->value][] = ['step' => StepForm::of($field, ['v' => (string) $value]), 'label' => StepForm::label($field, (string) $value), 'count' => $count];
                }
            } else {
                foreach ($search->bands($field) as [$step, $count, $called]) {
                    $counts[$field->value][] = ['step' => $step, 'label' => $called, 'count' => $count];
                }
            }
        }

        return $counts;
    }

    /** @return array{at: int, lines: string, tried: list<array{step: StepForm, count: int|null}>}|null */
    private function vary(Request $request, Search $search): ?array
    {
        $at = $request->query('vary');
        if (! is_numeric($at) || ! isset($search->steps[(int) $at])) {
            return null;
        }
        $lines = is_string($request->query('over')) ? mb_substr($request->query('over'), 0, 2000) : '';

        return ['at' => (int) $at, 'lines' => $lines, 'tried' => Varying::of($search, (int) $at, $lines)];
    }
}
