<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\StoryRequest;
use App\Models\Offer;
use App\Models\Story;
use App\View\Rules\StoryPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

/** Stories: what we did for customers. */
final class StoryController extends Controller
{
    public function index(Offer $offer): View
    {
        return view('rules.stories', ['offer' => $offer, 'stories' => StoryPage::all($offer)]);
    }

    public function create(Offer $offer): View
    {
        return view('rules.story', ['page' => new StoryPage($offer, new Story)]);
    }

    public function edit(Story $story): View
    {
        return view('rules.story', ['page' => new StoryPage($story->offer, $story)]);
    }

    public function store(StoryRequest $request, Offer $offer): RedirectResponse
    {
        $story = Story::query()->create(
            $request->story() + ['offer_id' => $offer->id, 'user_id' => self::user($request)->id],
        );
        activity()->performedOn($story)->log("story “{$story->name}” written");

        return $this->saved($story);
    }

    public function update(StoryRequest $request, Story $story): RedirectResponse
    {
        $story->update($request->story());
        activity()->performedOn($story)->log("story “{$story->name}” changed");

        return $this->saved($story);
    }

    public function destroy(Story $story): RedirectResponse
    {
        $story->delete();
        activity()->performedOn($story)->log("story “{$story->name}” removed");

        return redirect()->route('stories.index', $story->offer_id)
            ->with('said', "“{$story->name}” is removed, and told no more.")
            ->with('undo', Undo::by('post', route('stories.restore', $story)));
    }

    public function restore(Story $story): RedirectResponse
    {
        $story->restore();

        return redirect()->route('stories.index', $story->offer_id)->with('said', "“{$story->name}” is there again.");
    }

    private function saved(Story $story): RedirectResponse
    {
        return redirect()->route('stories.index', $story->offer_id)->with('said', "“{$story->name}” is saved; "
            .($story->mayBeTold() ? 'drafts may tell it now.' : 'it is told once its day has come.'));
    }
}
