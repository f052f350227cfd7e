<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PressRequest;
use App\Models\PressClass;
use App\View\Feeds\PressPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What reports of the press are about. */
final class PressController extends Controller
{
    public function index(): View
    {
        return view('feeds.press', ['page' => PressPage::of()]);
    }

    public function store(PressRequest $request): RedirectResponse
    {
        $class = PressClass::query()->create($request->says() + [
            'position' => (int) PressClass::query()->max('position') + 1,
        ]);

        return redirect()->route('press')->with('said', "“{$class->name}” is told from now on.")
            ->with('undo', Undo::by('delete', route('press.destroy', $class)));
    }

    public function update(PressRequest $request, PressClass $class): RedirectResponse
    {
        $before = $class->only('name', 'kind', 'query');
        $class->update($request->says());

        return redirect()->route('press')->with('said', "“{$class->name}” is told so from now on.")
            ->with('undo', Undo::by('put', route('press.update', $class), [
                'name' => $before['name'], 'query' => $before['query'], 'kind' => $before['kind']->value,
            ]));
    }

    public function destroy(PressClass $class): RedirectResponse
    {
        $class->delete();

        return redirect()->route('press')->with('said', "“{$class->name}” is told no more.")
            ->with('undo', Undo::by('post', route('press.store'), [
                'name' => $class->name, 'query' => $class->query, 'kind' => $class->kind->value,
            ]));
    }

    /** What a query finds in the reports that came. */
    public function trial(Request $request): View
    {
        $query = $request->input('query');

        return view('feeds.press-trial', [
            'trial' => PressPage::trial(is_string($query) ? mb_substr($query, 0, 5000) : ''),
        ]);
    }
}
