<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\EventTargetRequest;
use App\Jobs\SendAnnouncements;
use App\Models\EventDelivery;
use App\Models\EventTarget;
use App\View\Team\EventsPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Str;

/** Addresses of the team's own that are told of new reasons and results. */
final class EventTargetController extends Controller
{
    public function index(): View
    {
        return view('events', ['page' => EventsPage::of()]);
    }

    public function store(EventTargetRequest $request): RedirectResponse
    {
        $secret = Str::random(40);
        EventTarget::query()->create($request->target() + ['secret' => $secret, 'user_id' => self::user($request)->id]);

        return redirect()->route('events.index')->with('secret', $secret);
    }

    public function update(EventTarget $target): RedirectResponse
    {
        $target->update(['paused' => ! $target->paused]);

        return redirect()->route('events.index')
            ->with('said', "{$target->name} is told ".($target->paused ? 'nothing for now.' : 'again.'))
            ->with('undo', Undo::by('patch', route('events.update', $target)));
    }

    /** What failed in the end is tried once more from the beginning. */
    public function again(EventTarget $target): RedirectResponse
    {
        $many = $target->deliveries()->where('state', EventDelivery::FAILED)
            ->update(['state' => EventDelivery::WAITS, 'tries' => 0, 'next_at' => now()]);
        SendAnnouncements::dispatch();

        return redirect()->route('events.index')->with('said', "$many are sent again.");
    }

    public function destroy(EventTarget $target): RedirectResponse
    {
        $target->delete();

        return redirect()->route('events.index')->with('said', "{$target->name} is told no more.");
    }
}
