<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AngleRequest;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Reasons\AngleSet;
use App\Standings\NewRules;
use App\View\Rules\AnglePage;
use App\View\Rules\AngleToday;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Luftig\Core\Mistake;

/** Angles: what can be said when something happened. A change is a version of the rules. */
final class AngleController extends Controller
{
    public function index(Offer $offer): View
    {
        return view('rules.angles', ['offer' => $offer, 'angles' => AnglePage::all($offer)]);
    }

    public function create(Offer $offer): View
    {
        return view('rules.angle', ['page' => AnglePage::of($offer, null)]);
    }

    public function edit(Offer $offer, int $at): View
    {
        return view('rules.angle', ['page' => AnglePage::of($offer, $at)]);
    }

    /** Whom the angle of the form holds for today, and how it would read, before it is saved. */
    public function preview(AngleRequest $request, Offer $offer): View
    {
        try {
            return view('rules.holding', ['mistake' => null, 'today' => AngleToday::of($offer, $request->angle())]);
        } catch (Mistake $mistake) {
            return view('rules.holding', ['mistake' => $mistake->inWords(), 'today' => null]);
        }
    }

    public function store(AngleRequest $request, Offer $offer, ?int $at = null): RedirectResponse
    {
        try {
            $angle = $request->angle();
        } catch (Mistake $mistake) {
            return back()->withInput()->withErrors(['angle' => $mistake->inWords()]);
        }
        $angles = AngleSet::of($offer)->stored();
        foreach ($angles as $i => $other) {
            if ($i !== $at && mb_strtolower($other['name']) === mb_strtolower($angle['name'])) {
                return back()->withInput()->withErrors(['name' => 'There is an angle of this name.']);
            }
        }
        if ($at === null) {
            array_unshift($angles, $angle);
        } else {
            abort_unless(isset($angles[$at]), 404);
            $angles[$at] = AngleSet::inPlaceOf($angles[$at], $angle);
        }

        return $this->save($request, $offer, $angles, "the angle “{$angle['name']}”")
            ?? back()->withInput()->withErrors(['angle' => 'Somebody saved other rules while you were editing. Yours '
                .'were not saved and stand here still; save again to put this angle into the newest.']);
    }

    public function destroy(Request $request, Offer $offer, int $at): RedirectResponse
    {
        $angles = AngleSet::of($offer)->stored();
        abort_unless(isset($angles[$at]), 404);
        if (count($angles) === 1) {
            return back()->withErrors(['angle' => 'One angle has to stay: something must be said.']);
        }
        $name = $angles[$at]['name'];
        unset($angles[$at]);

        return $this->save($request, $offer, array_values($angles), "without the angle “{$name}”")
            ?? back()->withErrors(['angle' => 'Somebody saved other rules meanwhile. Nothing was removed.']);
    }

    /** The angles of an earlier version are in force again, in a new one. */
    public function restore(Request $request, Offer $offer, RuleSet $ruleSet): RedirectResponse
    {
        abort_unless($ruleSet->offer_id === $offer->id, 404);
        NewRules::change(
            $offer, ['angles' => AngleSet::of($offer)->backTo($ruleSet->angles)], self::user($request),
            "the angles of version {$ruleSet->version}",
        );

        return redirect()->route('angles.index', $offer)
            ->with('said', "The angles are those of version {$ruleSet->version} again.");
    }

    /** @param  list<array<string, mixed>>  $angles */
    private function save(Request $request, Offer $offer, array $angles, string $note): ?RedirectResponse
    {
        $before = $offer->rules;
        if ($request->integer('version') !== ($before->version ?? 0)) {
            return null;
        }
        NewRules::change($offer, ['angles' => $angles], self::user($request), ucfirst($note));

        return redirect()->route('angles.index', $offer)
            ->with('said', 'Saved as version '.(($before->version ?? 0) + 1).' of the rules; drafts follow it now.')
            ->with('undo', $before === null ? null
                : Undo::by('post', route('angles.restore', [$offer, $before])));
    }
}
