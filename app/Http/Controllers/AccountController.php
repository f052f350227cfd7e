<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Events\AccountFactsChanged;
use App\Http\Requests\AccountRequest;
use App\Intake\ByHand;
use App\Models\Account;
use App\Models\Offer;
use App\Models\Standing;
use App\View\Account\AccountForm;
use App\View\Account\AccountPage;
use App\View\Accounts\AccountsPage;
use App\View\Accounts\Ranking;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class AccountController extends Controller
{
    /** How many the picture can show and still be read. */
    private const PICTURE = 400;

    public function index(Request $request, Offer $offer): View
    {
        return view('accounts.index', [
            'page' => AccountsPage::of($offer, $request->query->all(), self::page($request)),
        ]);
    }

    /** What the picture of fit against timing is drawn from. */
    public function picture(Request $request, Offer $offer): JsonResponse
    {
        $ranking = Ranking::from($offer, $request->query->all());
        $standings = Ranking::among($ranking->query(), self::PICTURE)->with('account:id,name')->limit(self::PICTURE)
            ->get();

        return response()->json(['of' => $ranking->count(),
            'accounts' => $standings->map(fn (Standing $standing): array => [
                'id' => $standing->account_id, 'name' => $standing->account->name, 'fit' => $standing->fit,
                'timing' => $standing->timing(), 'access' => $standing->access, 'priority' => $standing->priority,
            ])]);
    }

    public function create(): View
    {
        return view('accounts.form', ['page' => new AccountForm(null)]);
    }

    /** One that no file brought. */
    public function store(AccountRequest $request): RedirectResponse
    {
        [$account, $intake] = ByHand::account(null, $request->cells(), self::user($request));

        return redirect()->route('accounts.show', $account)->with('said', "{$account->name} is added.")
            ->with('undo', Undo::by('post', route('intake.undo', $intake)));
    }

    public function edit(Account $account): View
    {
        return view('accounts.form', ['page' => new AccountForm($account)]);
    }

    public function correct(AccountRequest $request, Account $account): RedirectResponse
    {
        [$account, $intake] = ByHand::account(
            $account, (new AccountForm($account))->changed($request->cells()), self::user($request),
        );

        return redirect()->route('accounts.show', $account)->with('said', "{$account->name} is corrected.")
            ->with('undo', Undo::by('post', route('intake.undo', $intake)));
    }

    /** Says that what looks like an agency is none, or takes that back. */
    public function update(Request $request, Account $account): RedirectResponse
    {
        $request->validate(['no_agency' => ['required', 'boolean']]);
        $account->update(['no_agency' => $request->boolean('no_agency')]);
        AccountFactsChanged::dispatch([$account->id]);

        return back()
            ->with(
                'said',
                $account->no_agency
                    ? "{$account->name} is no agency."
                    : "{$account->name} is looked at like any other again.",
            )
            ->with(
                'undo',
                Undo::by('patch', route('accounts.update', $account), ['no_agency' => $account->no_agency ? 0 : 1]),
            );
    }

    public function show(Request $request, Offer $offer, Account $account): View|RedirectResponse
    {
        if ($account->merged_into !== null) {
            return redirect()->route('accounts.show', $account->merged_into);
        }

        return view('accounts.show', [
            'page' => AccountPage::of($offer, $account, self::user($request), $request->query->all()),
        ]);
    }
}
