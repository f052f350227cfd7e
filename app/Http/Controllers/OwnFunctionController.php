<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\OwnFunctionRequest;
use App\Jobs\ReadTitlesAgain;
use App\Models\OwnFunction;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;

/** Functions that a team defines for itself; all titles are read again with them. */
final class OwnFunctionController extends Controller
{
    public function store(OwnFunctionRequest $request): RedirectResponse
    {
        $slot = $request->slot();
        if ($slot === null) {
            return back()->withInput()->withErrors([
                'function' => 'There is room for four functions of your own; remove one to add another.',
            ]);
        }
        $function = OwnFunction::query()->create([
            'slot' => $slot, 'name' => $request->string('function')->trim()->toString(),
            'words' => $request->string('words')->toString(),
        ]);
        ReadTitlesAgain::dispatch();

        return back()->with('said', "“{$function->name}” is a function now; all titles are being read again.")
            ->with('undo', Undo::by('delete', route('functions.destroy', $function)));
    }

    /** Refused as long as a role asks for it, which would then mean nobody. */
    public function destroy(OwnFunction $function): RedirectResponse
    {
        $role = $function->askedForBy();
        if ($role !== null) {
            return back()->withErrors([
                'function' => "The role $role asks for “{$function->name}”. Change the role first.",
            ]);
        }
        $function->delete();
        ReadTitlesAgain::dispatch();

        return back()->with('said', "“{$function->name}” is removed; all titles are being read again.")
            ->with('undo', Undo::by('post', route('functions.store'), [
                'function' => $function->name, 'words' => $function->words,
            ]));
    }
}
