<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\NoteRequest;
use App\Models\Account;
use App\Models\Note;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;

final class NoteController extends Controller
{
    public function store(NoteRequest $request, Account $account): RedirectResponse
    {
        Note::query()->create(
            $request->validated() + ['account_id' => $account->id, 'user_id' => self::user($request)->id],
        );

        return back()->with('said', 'The note is kept.');
    }

    public function destroy(Note $note): RedirectResponse
    {
        $note->delete();

        return back()->with('said', 'The note is gone.')
            ->with('undo', Undo::by(
                'post',
                route('notes.store', $note->account_id),
                array_filter(['text' => $note->text, 'contact_id' => $note->contact_id]),
            ));
    }
}
