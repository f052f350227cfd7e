<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PostRequest;
use App\Jobs\AskFeed;
use App\Models\Feed;
use App\View\Feeds\PostPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A post, and everyone who did something with it. */
final class PostController extends Controller
{
    public function show(Request $request): View
    {
        $address = self::text($request, 'of');
        abort_if($address === '', 404);

        return view('feeds.post', ['page' => PostPage::of($address)]);
    }

    /** By its address: it is asked now and then from now on, as a feed of its own. */
    public function store(PostRequest $request): RedirectResponse
    {
        $feed = Feed::query()->firstOrCreate(
            ['address' => $request->address()],
            $request->feed() + ['user_id' => self::user($request)->id],
        );
        AskFeed::dispatch($feed->id);

        return redirect()->route('posts.show', ['of' => $feed->address])
            ->with('said', 'The post is being asked for; who did something with it stands here.');
    }
}
