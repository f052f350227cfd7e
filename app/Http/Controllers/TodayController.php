<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Approach;
use App\Models\Offer;
use App\View\Today\Plan;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class TodayController extends Controller
{
    public function __invoke(Request $request, Offer $offer): View
    {
        $plan = new Plan($offer, $request->user());
        $groups = $plan->groups();
        $rows = collect($groups)->flatten(1);
        $focus = $rows->first(fn ($row): bool => $row->standing->account_id === $request->integer('focus')) ?? $rows->first();
        $data = [
            'tomorrow' => $plan->left() > 0 ? null : $plan->next()?->account->name ?? 'what comes in overnight',
            'groups' => $groups, 'focus' => $focus, 'left' => $plan->left(), 'used' => $plan->usedToday(), 'pace' => $request->user()->pace,
            'done' => Approach::query()->with('account', 'contact')->where('user_id', $request->user()->id)->where('made_at', '>=', today())->latest('made_at')->get(),
            'steps' => Approach::query()->with('account', 'contact')->where('user_id', $request->user()->id)->whereNull('result')->where('next_step_on', '<=', today())->orderBy('next_step_on')->limit(5)->get(),
        ];

        return $request->header('HX-Target') === 'focus' ? view('today.focus', $data) : view('today.index', $data);
    }
}
