<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LookUpServiceRequest;
use App\Models\Budget;
use App\Models\LookUpService;
use App\Models\User;
use App\Support\Together;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Which services are asked, in which order, and what a month may take. */
final class LookUpServiceController extends Controller
{
    private const MOST = 10_000_000;

    public function create(): View
    {
        return view('look-ups.service', ['service' => new LookUpService([
            'does' => LookUpService::FINDS, 'price' => 1, 'position' => LookUpService::query()->count(),
        ])]);
    }

    public function store(LookUpServiceRequest $request): RedirectResponse
    {
        $service = LookUpService::query()->create($request->service() + ['user_id' => self::user($request)->id]);

        return redirect()->route('look-ups')->with('said', "{$service->name} is added.");
    }

    public function edit(LookUpService $service): View
    {
        return view('look-ups.service', ['service' => $service]);
    }

    public function update(LookUpServiceRequest $request, LookUpService $service): RedirectResponse
    {
        $service->update($request->service());

        return redirect()->route('look-ups')->with('said', "{$service->name} is changed.");
    }

    public function pause(LookUpService $service): RedirectResponse
    {
        $service->update(['paused' => ! $service->paused]);

        return redirect()->route('look-ups')
            ->with('said', $service->paused ? "{$service->name} is asked no more." : "{$service->name} is asked again.")
            ->with('undo', Undo::by('patch', route('services.pause', $service)));
    }

    /** What is left empty has no limit of its own; without one of the team nothing is bought. */
    public function budget(Request $request): RedirectResponse
    {
        $request->validate(
            ['credits' => ['required', 'array'], 'credits.*' => ['nullable', 'numeric', 'between:0,'.self::MOST]],
            ['credits*' => 'A budget is a number of credits, 0 or more.'],
        );
        Together::write(function () use ($request): void {
            $people = User::query()->pluck('id')->all();
            foreach ((array) $request->input('credits') as $who => $credits) {
                $user = $who === 'team' ? null : (int) $who;
                if ($user !== null && ! in_array($user, $people, true)) {
                    continue;
                }
                $credits === null ? Budget::query()->where('user_id', $user)->delete()
                    : Budget::query()->updateOrCreate(['user_id' => $user], ['credits' => (float) $credits]);
            }
        });

        return redirect()->route('look-ups')->with('said', 'The budgets are set.');
    }
}
