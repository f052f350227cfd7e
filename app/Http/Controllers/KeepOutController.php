<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\KeepOutRequest;
use App\KeepOut\KeepOutEntries;
use App\Models\KeepOut;
use App\Support\Format;
use App\View\KeepOut\KeepOutPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

final class KeepOutController extends Controller
{
    public function index(): View
    {
        return view('keep-out', ['page' => KeepOutPage::of()]);
    }

    public function store(KeepOutRequest $request): RedirectResponse
    {
        [$entry, $found] = KeepOutEntries::enter($request->entry() + ['user_id' => self::user($request)->id]);
        if (! $entry->wasRecentlyCreated) {
            $until = $entry->until === null ? '' : ' until '.Format::date($entry->until);

            return redirect()->to($request->nextPage())
                ->with('said', "{$entry->value} is on the keep-out for this reason already{$until}.");
        }
        $said = $found === null ? "{$entry->value} is kept out."
            : Format::count($found, 'account').($found === 1 ? ' is' : ' are')
                ." kept out by “{$entry->value}”; whoever comes in later and matches is, too.";

        return redirect()->to($request->nextPage())->with('said', $said)
            ->with('undo', Undo::by('delete', route('keep-out.destroy', $entry)));
    }

    public function destroy(KeepOut $keepOut): RedirectResponse
    {
        KeepOutEntries::end($keepOut);

        return back()->with('said', "{$keepOut->value} may be approached again.");
    }
}
