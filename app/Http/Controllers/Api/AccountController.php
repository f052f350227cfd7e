<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Http\Requests\AccountRequest;
use App\Http\Resources\AccountResource;
use App\Intake\ByHand;
use App\Models\Account;
use App\Models\Offer;
use App\Models\StandingState;
use App\Standings\ChangedAccounts;
use App\Support\Like;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Validation\Rule;

/** Accounts, with their standing. */
final class AccountController extends ApiController
{
    public function index(Request $request, Offer $offer): AnonymousResourceCollection
    {
        self::asked($request, [
            'q' => ['nullable', 'string', 'max:100'], 'domain' => ['nullable', 'string', 'max:190'],
            'state' => ['nullable', Rule::enum(StandingState::class)],
        ] + self::KEPT);
        $query = Account::query()->own()->with(AccountResource::parts($offer))
            ->when($request->filled('q'), fn (Builder $q) => $q->where(
                'name', 'like', Like::anywhere($request->string('q')->toString()),
            ))
            ->when($request->filled('domain'), fn (Builder $q) => $q->where('domain', $request->query('domain')))
            ->when($request->filled('state'), fn (Builder $q) => $q->whereHas(
                'standings',
                fn (Builder $s) => $s->where('offer_id', $offer->id)->where('state', $request->query('state')),
            ));

        return AccountResource::collection(self::pages($request, self::kept($request, $query, 'accounts')));
    }

    public function show(Offer $offer, Account $account): AccountResource|RedirectResponse
    {
        return $account->merged_into === null ? self::resource($offer, $account)
            : redirect()->route('api.accounts.show', $account->merged_into, 308);
    }

    public function store(AccountRequest $request, Offer $offer): JsonResponse
    {
        [$account] = ByHand::account(null, $request->cells(), self::user($request));
        app(ChangedAccounts::class)->settle();

        return self::made(self::resource($offer, $account), route('api.accounts.show', $account));
    }

    /** What is given of it; of what is not, nothing is said. */
    public function update(AccountRequest $request, Offer $offer, Account $account): AccountResource
    {
        self::onlyIfSame($request, self::resource($offer, $account));
        $said = array_filter($request->cells(), fn (string $cell): bool => $cell !== '');
        [$account] = ByHand::account($account, $said, self::user($request));
        app(ChangedAccounts::class)->settle();

        return self::resource($offer, $account);
    }

    private static function resource(Offer $offer, Account $account): AccountResource
    {
        return new AccountResource($account->load(AccountResource::parts($offer)));
    }
}
