<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PhrasesRequest;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Standings\NewRules;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Typical phrases taken into the rules: as a criterion of the target profile, or as a role of interest. */
final class PhraseRuleController extends Controller
{
    /** What the rules take of phrases, and is put back where it is undone. */
    private const PARTS = ['criteria', 'roles_of_interest'];

    public function store(PhrasesRequest $request, Offer $offer): RedirectResponse
    {
        $inForce = $offer->loadMissing('rules')->rules;
        $name = $request->name();
        $isCriterion = $request->input('into') === 'criterion';
        $part = $isCriterion ? 'criteria' : 'roles_of_interest';
        $others = $inForce->$part ?? [];
        if (in_array($name, array_column($others, 'name'), true)) {
            return back()->withInput()->withErrors(['phrases' => "The rules have “{$name}” already."]);
        }
        NewRules::change($offer, [$part => [...$others, $isCriterion
            ? ['name' => $name, 'field' => 'text', 'mode' => 'prefer', 'weight' => 1, 'query' => $request->searched()]
            : ['name' => $name, 'title_query' => $request->searched(), 'text_query' => $request->searched(),
                'functions' => []],
        ]], self::user($request), $isCriterion ? "Prefers “{$name}”" : "Openings that say “{$name}” count");

        return redirect()->route('rules.edit', $offer)->with('said', $isCriterion
            ? "The target profile prefers who says “{$name}” now; the ranking follows it."
            : "Openings that say “{$name}” speak for an account now.")
            ->with('undo', $inForce === null ? null : Undo::by('post', route('phrases.back', [$offer, $inForce])));
    }

    /** What was there before the phrases. */
    public function back(Request $request, Offer $offer, RuleSet $ruleSet): RedirectResponse
    {
        abort_unless($ruleSet->offer_id === $offer->id, 404);
        if ($offer->rules?->version !== $ruleSet->version + 1) {
            return redirect()->route('rules.edit', $offer)
                ->withErrors(['rules' => 'Somebody saved other rules meanwhile. Nothing was undone.']);
        }
        NewRules::change(
            $offer, $ruleSet->only(self::PARTS), self::user($request), "As in version {$ruleSet->version} again",
        );

        return redirect()->route('rules.edit', $offer)->with('said', 'The phrases are out of the rules again.');
    }
}
