<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Offer;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

final class OfferController extends Controller
{
    public function choose(Request $request): RedirectResponse
    {
        $offer = Offer::query()->findOrFail($request->integer('offer'));
        $request->session()->put('offer', $offer->id);

        return back()->with('said', "You work for {$offer->name} now.");
    }

    public function update(Request $request, Offer $offer): RedirectResponse
    {
        $request->validate(
            [
                'name' => ['required', 'string', 'max:60', Rule::unique('offers')->ignore($offer)],
                'about' => ['nullable', 'string', 'max:190'],
                'question' => ['nullable', 'string', 'max:190', 'not_regex:/[\[{]/'],
            ],
            [
                'name.required' => 'Give the offer a name.',
                'name.unique' => 'There is an offer of this name.',
                'question.not_regex' => 'There is an open slot in brackets left in the question.',
            ],
        );
        $offer->update($request->only('name', 'about', 'question'));

        return redirect()->route('rules.edit', $offer)->with('said', 'The offer is changed.');
    }

    public function store(Request $request): RedirectResponse
    {
        $request->validate(
            ['name' => ['required', 'string', 'max:60', 'unique:offers'], 'about' => ['nullable', 'string', 'max:190']],
            ['name.required' => 'Give the offer a name.', 'name.unique' => 'There is an offer of this name.'],
        );
        $offer = Offer::query()->create($request->only('name', 'about'));
        $offer->ruleSets()->create([
            'version' => 1, 'criteria' => [], 'kinds' => [], 'author_id' => self::user($request)->id,
            'note' => 'begun with the standard catalogue',
        ]);
        $request->session()->put('offer', $offer->id);

        return redirect()->route('rules.edit', $offer)
            ->with('said', 'The offer is there. Say whom it serves, and save.');
    }
}
