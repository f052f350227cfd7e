<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class PaceController extends Controller
{
    public function edit(): View
    {
        return view('pace');
    }

    public function update(Request $request): RedirectResponse
    {
        $request->validate(
            ['pace' => ['required', 'integer', 'between:1,100']],
            ['pace.*' => 'A pace is a number of approaches a day, from 1 to 100.'],
        );
        self::user($request)->update(['pace' => $request->integer('pace')]);

        return back()->with('said', 'Your pace is '.$request->integer('pace').' approaches a day.');
    }
}
