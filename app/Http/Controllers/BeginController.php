<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ServesRequest;
use App\Models\Offer;
use App\Standings\NewRules;
use App\Standings\Starter;
use App\View\Begin\BeginPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Steps from an empty base to the first ten reasons, and on; they can be left and come back to. */
final class BeginController extends Controller
{
    public function show(Request $request, Offer $offer): View
    {
        return view('begin.index', ['page' => BeginPage::of(
            $offer, self::user($request), $request->integer('step'), self::text($request, 'trade'),
        )]);
    }

    public function sells(Request $request, Offer $offer): RedirectResponse
    {
        $offer->update($request->validate(
            [
                'name' => ['required', 'string', 'max:60', Rule::unique('offers')->ignore($offer)],
                'about' => ['nullable', 'string', 'max:190'],
                'question' => ['nullable', 'string', 'max:190', 'not_regex:/[\[{]/'],
            ],
            [
                'name.required' => 'Give the offer a name.', 'name.unique' => 'There is an offer of this name.',
                'question.not_regex' => 'There is an open slot in brackets left in the question.',
            ],
        ));

        return redirect()->route('begin', ['step' => 2]);
    }

    public function serves(ServesRequest $request, Offer $offer): RedirectResponse
    {
        NewRules::change(
            $offer, ['criteria' => $request->criteria($offer)], self::user($request), 'first steps: whom it serves',
        );

        return redirect()->route('begin', array_filter(['step' => 3, 'trade' => $request->input('trade')]));
    }

    public function buys(Request $request, Offer $offer): RedirectResponse
    {
        $trade = $request->input('trade');
        $starter = Starter::of(is_string($trade) ? $trade : '') ?? Starter::all()['any'];
        $request->validate(
            ['roles' => ['required', 'array'], 'roles.*' => [Rule::in(array_column($starter->roles, 'name'))]],
            ['roles.required' => 'Tick at least one role.', 'roles.*.in' => 'There is no such role.'],
        );
        NewRules::change($offer, [
            'buyer_roles' => array_values(array_filter(
                $starter->roles,
                fn (array $role): bool => in_array($role['name'], (array) $request->input('roles'), true),
            )),
            'roles_of_interest' => $starter->interests, 'kinds' => $starter->kinds,
        ], self::user($request), 'first steps: who buys, as in '.$starter->label);

        return redirect()->route('begin', ['step' => 4]);
    }
}
