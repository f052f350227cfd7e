<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Contacts\Doubles;
use App\Models\Double;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Decides whether two records are one, and takes the decision back. */
final class DoubleController extends Controller
{
    public function update(Request $request, Double $double): RedirectResponse
    {
        $request->validate(['decision' => ['required', 'in:same,separate']]);
        if ($request->input('decision') === 'separate') {
            Doubles::separate($double, self::user($request));
        } elseif (! Doubles::merge($double, self::user($request))) {
            return back()->withErrors(
                ['decision' => 'Somebody decided this pair meanwhile, or one of the two is gone. Nothing was changed.'],
            );
        }

        return back()
            ->with(
                'said',
                $request->input('decision') === 'same'
                    ? 'The two are one now; both originals are kept.'
                    : 'The two stay separate.',
            )
            ->with('undo', Undo::by('delete', route('doubles.destroy', $double)));
    }

    public function destroy(Double $double): RedirectResponse
    {
        Doubles::undo($double);

        return redirect()->route('intake.index')->with('said', 'The pair is to be decided again.');
    }
}
