<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Feeds\TryFeed;
use App\Feeds\Unreachable;
use App\Feeds\Unreadable;
use App\Http\Requests\FeedRequest;
use App\Http\Requests\TrialRequest;
use App\Jobs\AskFeed;
use App\Models\Feed;
use App\Models\ItemState;
use App\View\Feeds\FeedPage;
use App\View\Feeds\ItemLine;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class FeedController extends Controller
{
    public function create(): View
    {
        return view('feeds.form', ['feed' => new Feed(['rhythm' => 60, 'confidence' => .9])]);
    }

    public function store(FeedRequest $request): RedirectResponse
    {
        $feed = Feed::query()->create($request->feed() + ['user_id' => self::user($request)->id]);
        AskFeed::dispatch($feed->id);

        return redirect()->route('feeds.show', $feed)->with('said', "“{$feed->name}” is added, and is being asked.")
            ->with('undo', Undo::by('delete', route('feeds.destroy', $feed)));
    }

    /** What its first items would become; nothing is kept. */
    public function trial(TrialRequest $request, TryFeed $trial): View
    {
        try {
            $items = array_map(ItemLine::of(...), $trial->look($request->feed()));

            return view('feeds.trial', ['items' => $items, 'problem' => null]);
        } catch (Unreachable|Unreadable $e) {
            return view('feeds.trial', ['items' => [], 'problem' => $e->getMessage()]);
        }
    }

    public function show(Request $request, Feed $feed): View
    {
        return view('feeds.show', ['page' => FeedPage::of($feed, ItemState::tryFrom(self::text($request, 'state')))]);
    }

    public function edit(Feed $feed): View
    {
        abort_unless($feed->isAsked(), 404);

        return view('feeds.form', ['feed' => $feed]);
    }

    /** Another address or format is another source: it is read from its beginning. */
    public function update(FeedRequest $request, Feed $feed): RedirectResponse
    {
        $feed->fill($request->feed());
        if ($feed->isDirty(['address', 'format'])) {
            $feed->fill(['cursor' => null, 'problem' => null, 'failures' => 0, 'next_at' => null]);
        }
        $feed->save();

        return redirect()->route('feeds.show', $feed)->with('said', "“{$feed->name}” is changed.");
    }

    public function run(Feed $feed): RedirectResponse
    {
        abort_unless($feed->isAsked(), 404);
        $feed->update(['paused' => false, 'next_at' => now()]);
        AskFeed::dispatch($feed->id);

        return redirect()->route('feeds.show', $feed)->with('said', "“{$feed->name}” is being asked.");
    }

    public function pause(Feed $feed): RedirectResponse
    {
        $feed->update(['paused' => ! $feed->paused]);

        return redirect()->route('feeds.show', $feed)
            ->with('said', $feed->paused ? "“{$feed->name}” is paused." : "“{$feed->name}” is asked again.")
            ->with('undo', Undo::by('patch', route('feeds.pause', $feed)));
    }

    public function destroy(Feed $feed): RedirectResponse
    {
        $feed->delete();

        return redirect()->route('intake.index')
            ->with('said', "“{$feed->name}” is asked no more; what it brought stays.")
            ->with('undo', Undo::by('post', route('feeds.restore', $feed->id)));
    }

    public function restore(int $feed): RedirectResponse
    {
        $there = Feed::query()->withTrashed()->findOrFail($feed);
        $this->authorize('update', $there);
        $there->restore();

        return redirect()->route('feeds.show', $there)->with('said', "“{$there->name}” is back.");
    }
}
