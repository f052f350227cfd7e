<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Feed;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Reasons\Answers;
use App\Reasons\Lessons;
use App\Reasons\SourceRecords;
use App\Reasons\TakeLesson;
use App\Standings\Standings;
use App\View\Results\LessonPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What results speak for: looked at by everybody, accepted or declined by who leads. */
final class LessonController extends Controller
{
    public function show(Offer $offer): View
    {
        return view('results.lesson', ['page' => new LessonPage($offer)]);
    }

    /** What it would move, asked for by itself, since every account is computed for it. */
    public function moves(Offer $offer, Standings $standings): View
    {
        [$moves, $agrees] = (new LessonPage($offer))->moves($standings);

        return view('results.moves', ['moves' => $moves, 'agrees' => $agrees]);
    }

    public function store(Request $request, Offer $offer): RedirectResponse
    {
        $before = $offer->rules;
        $lessons = $before === null ? null : new Lessons($offer, Answers::of($offer)->approaches);
        $learned = $lessons?->rules();
        if ($lessons === null || $learned === null) {
            return redirect()->route('lessons.show')
                ->withErrors(['lesson' => 'There are too few results to learn from.']);
        }
        $isSeen = $lessons->mark() === $request->string('mark')->toString();
        if (! $isSeen || $before->version !== $request->integer('version')) {
            return redirect()->route('lessons.show')->withErrors(['lesson' => 'Results came in, or somebody saved '
                .'other rules, while you were looking. Nothing was taken; this is what they speak for now.']);
        }
        if ($request->boolean('accepted')) {
            TakeLesson::accept($offer, $lessons, $learned, self::user($request));

            return redirect()->route('lessons.show')->with('said', 'Accepted, as version '.($before->version + 1)
                .' of the rules; the ranking follows it now.')
                ->with('undo', Undo::by('post', route('lessons.back', $before)));
        }
        TakeLesson::decline($offer, $lessons, $learned, self::user($request));

        return redirect()->route('lessons.show')->with('said', 'Declined. The rules stay as they are.');
    }

    /** The weights of an earlier version are in force again, in a new one. */
    public function back(Request $request, Offer $offer, RuleSet $ruleSet): RedirectResponse
    {
        abort_unless($ruleSet->offer_id === $offer->id, 404);
        TakeLesson::back($offer, $ruleSet, self::user($request));

        return redirect()->route('lessons.show')
            ->with('said', "The weights are those of version {$ruleSet->version} again.");
    }

    /** A source is from now on as sure as its signals were. */
    public function source(Offer $offer, Feed $feed): RedirectResponse
    {
        $record = SourceRecords::of(Answers::of($offer)->approaches)[$feed->id] ?? abort(404);
        $before = $feed->confidence;
        $feed->update(['confidence' => round($record['proposed'], 2)]);

        return redirect()->route('lessons.show')
            ->with('said', "What “{$feed->name}” brings from now on counts with {$feed->confidence}; it was $before.");
    }
}
