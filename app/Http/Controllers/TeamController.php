<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\UserRequest;
use App\Models\Role;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

final class TeamController extends Controller
{
    public function index(): View
    {
        return view(
            'team',
            ['people' => User::query()->orderByDesc('signs_in')->orderBy('name')->get(), 'roles' => Role::cases()],
        );
    }

    public function store(UserRequest $request): RedirectResponse
    {
        $person = User::query()->create($request->person());

        return back()->with('said', "{$person->name} is on the team.");
    }

    public function update(UserRequest $request, User $user): RedirectResponse
    {
        $user->update($request->person());

        return back()->with('said', "{$user->name} is changed.");
    }
}
