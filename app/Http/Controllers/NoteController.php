<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Account;
use App\Models\Note;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class NoteController extends Controller
{
    public function store(Request $request, Account $account): RedirectResponse
    {
        $request->validate(['text' => ['required', 'string', 'max:5000']], ['text.required' => 'The note is empty.']);
        Note::query()->create([
            'account_id' => $account->id,
            'user_id' => self::user($request)->id,
            'text' => $request->string('text')->toString(),
        ]);

        return back()->with('said', 'The note is kept.');
    }

    public function destroy(Note $note): RedirectResponse
    {
        $note->delete();

        return back()->with('said', 'The note is gone.')
            ->with('undo', Undo::by('post', route('notes.store', $note->account_id), ['text' => $note->text]));
    }
}
