<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Http\Requests\ApproachRequest;
use App\Http\Requests\ResultRequest;
use App\Http\Resources\ApproachResource;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Result;
use App\Reasons\RecordApproach;
use App\Reasons\RecordResult;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;

/** Approaches, and what came of them. */
final class ApproachController extends ApiController
{
    public function index(Request $request, Offer $offer): AnonymousResourceCollection
    {
        self::asked($request, [
            'account' => ['nullable', 'integer'], 'contact' => ['nullable', 'integer'],
            'user' => ['nullable', 'integer'], 'since' => ['bail', 'nullable', 'string', 'date'],
            'result' => ['nullable', Rule::in(['any', 'none', ...array_column(Result::cases(), 'value')])],
        ]);
        $result = $request->string('result')->toString();
        $query = Approach::query()->where('offer_id', $offer->id);
        foreach (['account' => 'account_id', 'contact' => 'contact_id', 'user' => 'user_id'] as $asked => $column) {
            $query->when($request->filled($asked), fn (Builder $q) => $q->where($column, $request->integer($asked)));
        }
        $query->when($request->filled('since'), fn (Builder $q) => $q->where(
            'made_at', '>=', self::moment($request, 'since'),
        ));
        match ($result) {
            '' => $query, 'any' => $query->whereNotNull('result'), 'none' => $query->whereNull('result'),
            default => $query->where('result', $result),
        };

        return ApproachResource::collection(self::pages($request, $query));
    }

    public function show(Approach $approach): ApproachResource
    {
        return new ApproachResource($approach);
    }

    public function ofReason(ApproachRequest $request, Reason $reason): JsonResponse
    {
        $reason->load('account', 'offer.rules', 'contact.channels');

        return self::record($request, $reason->offer, $reason->account, $reason->contact, $reason);
    }

    /** One that no reason was written down for. */
    public function store(ApproachRequest $request, Offer $offer, Account $account): JsonResponse
    {
        $contact = $request->filled('contact')
            ? $account->contacts()->with('channels')->findOrFail($request->integer('contact')) : null;

        return self::record($request, $offer, $account, $contact, null);
    }

    public function result(ResultRequest $request, Approach $approach): ApproachResource
    {
        $approach->load('contact', 'account');
        self::onlyIfSame($request, new ApproachResource($approach));
        RecordResult::record(
            $approach, Result::from($request->string('result')->toString()), self::user($request),
            $request->filled('later_on') ? CarbonImmutable::parse($request->string('later_on')->toString()) : null,
            $request->input('instead'),
        );

        return new ApproachResource($approach->refresh());
    }

    /** Nothing has come of it yet, after all. */
    public function reopen(Approach $approach): ApproachResource
    {
        RecordResult::undo($approach->load('contact', 'account'));

        return new ApproachResource($approach->refresh());
    }

    public function destroy(Approach $approach): Response
    {
        RecordApproach::undo($approach);

        return response()->noContent();
    }

    private static function record(
        ApproachRequest $request,
        Offer $offer,
        Account $account,
        ?Contact $contact,
        ?Reason $reason,
    ): JsonResponse {
        $user = self::user($request);
        RecordApproach::allow($request->kind(), $account, $contact, $user);
        $approach = RecordApproach::record($request->approach(), $offer, $account, $contact, $user, $reason);

        return self::made(new ApproachResource($approach->refresh()), route('api.approaches.show', $approach));
    }
}
