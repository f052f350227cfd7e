<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Http\Requests\ReasonRequest;
use App\Http\Resources\ReasonResource;
use App\Models\Account;
use App\Models\Offer;
use App\Models\Reason;
use App\Reasons\WriteReason;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** Reasons with their evidence. */
final class ReasonController extends ApiController
{
    public function index(Request $request, Offer $offer): AnonymousResourceCollection
    {
        self::asked($request, [
            'account' => ['nullable', 'integer'], 'contact' => ['nullable', 'integer'],
            'state' => ['nullable', Rule::in(['ready', 'used', 'open', 'expired'])],
        ]);
        $user = self::user($request);
        $query = Reason::query()->where('offer_id', $offer->id)
            ->unless($user->leads(), fn (Builder $q) => $q->where('user_id', $user->id))
            ->when($request->filled('account'), fn (Builder $q) => $q->where(
                'account_id', $request->integer('account'),
            ))
            ->when($request->filled('contact'), fn (Builder $q) => $q->where(
                'contact_id', $request->integer('contact'),
            ))
            ->when($request->filled('state'), fn (Builder $q) => $q->inState($request->string('state')->toString()));

        return ReasonResource::collection(self::pages($request, $query));
    }

    public function show(Reason $reason): ReasonResource
    {
        return new ReasonResource($reason);
    }

    public function store(ReasonRequest $request, Offer $offer, Account $account): JsonResponse
    {
        $reason = WriteReason::from($offer, $account, $request->said(), self::user($request));

        return self::made(new ReasonResource($reason), route('api.reasons.show', $reason));
    }

    public function destroy(Reason $reason): Response
    {
        $reason->delete();

        return response()->noContent();
    }
}
