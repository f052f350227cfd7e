<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Feeds\DecideMention;
use App\Models\Mention;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Luftig\Core\Signal\Aboutness;

final class MentionController extends Controller
{
    /** Whether an item is about an account. */
    public function update(Request $request, Mention $mention): RedirectResponse
    {
        $isAbout = $request->string('about')->toString() === 'yes';
        DecideMention::as($mention, $isAbout ? Aboutness::Taken : Aboutness::Dropped, self::user($request));

        return back()->with('said', $isAbout
            ? "It is about {$mention->account->name}, and counts for it."
            : "It is not about {$mention->account->name}.")
            ->with('undo', Undo::by('delete', route('mentions.destroy', $mention)));
    }

    public function destroy(Request $request, Mention $mention): RedirectResponse
    {
        DecideMention::as($mention, Aboutness::ToDecide, self::user($request));

        return back()->with('said', 'It waits for a decision again.');
    }
}
