<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\WebhookRequest;
use App\Models\Feed;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Laravel\Sanctum\PersonalAccessToken;

/** Sources that post to us, each with tokens of its own. */
final class WebhookController extends Controller
{
    public function create(): View
    {
        return view('feeds.webhook');
    }

    public function store(WebhookRequest $request): RedirectResponse
    {
        $feed = Feed::query()->create($request->feed() + ['user_id' => self::user($request)->id]);

        return $this->token($feed, $request)->with('said', "“{$feed->name}” may post from now on.")
            ->with('undo', Undo::by('delete', route('feeds.destroy', $feed)));
    }

    /** Another token, shown this once. */
    public function token(Feed $feed, WebhookRequest $request): RedirectResponse
    {
        abort_unless($feed->isPosted(), 404);
        $token = $feed->createToken($feed->name, $request->scopes())->plainTextToken;

        return redirect()->route('feeds.show', $feed)->with('token', $token);
    }

    public function revoke(Feed $feed, int $token): RedirectResponse
    {
        PersonalAccessToken::query()->where('tokenable_type', $feed->getMorphClass())
            ->where('tokenable_id', $feed->id)->findOrFail($token)->delete();

        return redirect()->route('feeds.show', $feed)->with('said', 'The token holds no more.');
    }
}
