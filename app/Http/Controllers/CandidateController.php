<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Feeds\AccountsNamed;
use App\Feeds\CandidateCompanies;
use App\Feeds\CandidatePeople;
use App\Http\Requests\CandidatesRequest;
use App\Models\Account;
use App\Models\Candidate;
use App\Models\CandidateCompany;
use App\Models\CandidateState;
use App\Models\Offer;
use App\Support\Format;
use App\View\Feeds\CandidatesPage;
use App\View\Undo;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** What turned up in a source and is in no list. */
final class CandidateController extends Controller
{
    public function index(Request $request, Offer $offer): View
    {
        return view('candidates.index', [
            'page' => CandidatesPage::of(
                $offer, self::text($request, 'tab'), self::page($request), self::text($request, 'q'),
            ),
        ]);
    }

    /** Several companies at once: into the base, or aside. */
    public function decide(CandidatesRequest $request): RedirectResponse
    {
        $companies = CandidateCompany::query()->whereKey($request->ids())->where('state', CandidateState::Open)->get();
        $accepts = $request->takesIn();
        $done = $wrong = [];
        foreach ($companies as $company) {
            try {
                $accepts
                    ? CandidateCompanies::accept($company, self::user($request))
                    : CandidateCompanies::aside($company, self::user($request));
                $done[] = $company;
            } catch (ValidationException $e) {
                $wrong[] = "{$company->name}: ".implode(' ', array_merge(...array_values($e->errors())));
            }
        }
        $many = Format::count(count($done), 'company', 'companies');

        return back()->with('said', $accepts ? "$many taken into the base." : "$many put aside for good.")
            ->with('undo', count($done) !== 1 ? null
                : Undo::by('delete', route('candidates.reopen', $done[0])))
            ->withErrors($wrong === [] ? [] : ['ids' => implode(' ', $wrong)]);
    }

    /** It is an account that is there. */
    public function match(Request $request, CandidateCompany $company): RedirectResponse
    {
        $account = self::meant($request);
        CandidateCompanies::match($company, $account, self::user($request));

        return back()->with('said', "{$company->name} is {$account->name}.")
            ->with('undo', Undo::by('delete', route('candidates.reopen', $company)));
    }

    /** @throws ValidationException where that is not one account */
    private static function meant(Request $request): Account
    {
        $typed = trim($request->string('is')->toString());
        $account = Account::query()->find($typed === '' ? null : AccountsNamed::meant($typed));

        return $account ?? throw ValidationException::withMessages(['is' => $typed === ''
            ? 'Type the domain or the name of the account.'
            : "No account has the domain or the name “{$typed}”, or several have the name; its domain would tell."]);
    }

    public function reopen(CandidateCompany $company): RedirectResponse
    {
        CandidateCompanies::reopen($company);

        return redirect()->route('candidates')->with('said', "{$company->name} is a candidate again.");
    }

    public function person(Request $request, Candidate $candidate): RedirectResponse
    {
        if ($request->string('do')->toString() === 'aside') {
            CandidatePeople::aside($candidate, self::user($request));

            return back()->with('said', "{$candidate->name} is put aside for good.");
        }
        $account = $request->filled('account')
            ? Account::query()->findOrFail($request->integer('account')) : self::meant($request);
        $why = CandidatePeople::accept($candidate, $account, self::user($request));

        return $why === null
            ? back()->with('said', "{$candidate->name} is a contact of {$account->name}.")
            : back()->withErrors(['ids' => $why]);
    }
}
