<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RulesRequest;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Standings\NewRules;
use App\Standings\RuleBook;
use App\Standings\Standings;
use App\View\Rules\CriterionRow;
use App\View\Rules\CriterionTally;
use App\View\Rules\LookingBack;
use App\View\Rules\Moves;
use App\View\Rules\RoleMatches;
use App\View\Rules\RulesPage;
use App\View\Rules\Suggestions;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;
use Luftig\Core\Rules\Roles;

final class RulesController extends Controller
{
    public function edit(Offer $offer): View
    {
        return view('rules.edit', ['page' => new RulesPage($offer)]);
    }

    public function version(RuleSet $ruleSet): View
    {
        return view('rules.edit', ['page' => new RulesPage($ruleSet->offer, $ruleSet)]);
    }

    /** What these rules would move, before they are saved. */
    public function preview(RulesRequest $request, Offer $offer, Standings $standings): View
    {
        $doubt = $request->doubt($offer);
        if ($doubt !== null) {
            return view('rules.moves', ['mistake' => ucfirst($doubt), 'moves' => null, 'met' => []]);
        }
        $tally = new CriterionTally;
        try {
            $rules = $request->ruleSet($offer);
            $moves = Moves::of($offer, $tally->through($standings->preview($rules)));
        } catch (Mistake $mistake) {
            return view('rules.moves', ['mistake' => $request->explain($mistake), 'moves' => null, 'met' => []]);
        }
        $modes = $request->modes();

        return view('rules.moves', [
            'moves' => $moves, 'mistake' => null, 'back' => LookingBack::says($offer, $rules),
            'met' => array_combine(array_keys($modes), array_map(
                $tally->says(...), array_keys(array_values($modes)), array_values($modes),
            )),
        ]);
    }

    /** Whom a buyer role of the form finds, before it is saved. */
    public function matches(RulesRequest $request, Offer $offer): View
    {
        $role = $request->buyerRole($request->string('role')->toString());
        try {
            return view('rules.matches', [
                'mistake' => $role === null ? 'Give the role a name and a function first.' : null,
                'matches' => $role === null ? null : RoleMatches::of(Roles::buyer(Input::of($role))),
            ]);
        } catch (Mistake $mistake) {
            return view('rules.matches', ['mistake' => $mistake->inWords(), 'matches' => null]);
        }
    }

    public function store(RulesRequest $request, Offer $offer): RedirectResponse
    {
        $rules = $request->ruleSet($offer);
        $doubt = $request->doubt($offer);
        if ($doubt !== null) {
            return back()->withInput()->withErrors(['rules' => ucfirst($doubt).' Nothing was saved.']);
        }
        try {
            RuleBook::of($rules);
        } catch (Mistake $mistake) {
            return back()->withInput()->withErrors(['rules' => $request->explain($mistake)]);
        }
        $newest = (int) RuleSet::query()->where('offer_id', $offer->id)->max('version');
        if ($request->integer('version') !== $newest) {
            return back()->withInput()
                ->withErrors(
                    [
                        'rules' => 'Somebody saved other rules while you were editing (version '.$newest
                            .'). Yours were not saved and stand here still; compare, and save again.',
                    ],
                )
                ->with('newest', $newest);
        }
        NewRules::save($rules, $offer);

        return redirect()->route('rules.edit', $offer)
            ->with('said', "Saved as version {$rules->version}; the ranking follows it now.");
    }

    /** The controls for the values of a criterion on another field. */
    public function values(Request $request): View
    {
        $field = CriterionField::tryFrom(self::first($request, 'key')) ?? CriterionField::Headcount;

        return view('components.rules.values', ['row' => CriterionRow::blank(self::text($request, 'key'), $field)]);
    }

    /** What can be chosen for a criterion, as far as it is typed. */
    public function suggest(Request $request): View
    {
        $field = CriterionField::tryFrom(self::text($request, 'field'));

        return view('rules.suggestions', [
            'values' => $field === null ? [] : Suggestions::of($field, self::first($request, 'field')),
        ]);
    }

    /** What a field sends whose name is one of many, beside a parameter of the address. */
    private static function first(Request $request, string $beside): string
    {
        return (string) Arr::first(Arr::flatten($request->except($beside)), fn (mixed $one): bool => is_string($one));
    }
}
