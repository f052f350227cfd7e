<?php

declare(strict_types=1);

namespace App\Http\Controllers\Api;

use App\Feeds\Strike;
use App\Http\Requests\SignalRequest;
use App\Http\Requests\StrikeRequest;
use App\Http\Resources\SignalResource;
use App\Intake\ByHand;
use App\Models\Account;
use App\Models\Signal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use Luftig\Core\Signal\Kind;

/** Signals of accounts. */
final class SignalController extends ApiController
{
    public function index(Request $request): AnonymousResourceCollection
    {
        self::asked($request, [
            'account' => ['nullable', 'integer'], 'contact' => ['nullable', 'integer'],
            'kind' => ['nullable', Rule::enum(Kind::class)], 'since' => ['bail', 'nullable', 'string', 'date'],
        ]);
        $query = Signal::query();
        foreach (['account' => 'account_id', 'contact' => 'contact_id', 'kind' => 'kind'] as $asked => $column) {
            $query->when($request->filled($asked), fn (Builder $q) => $q->where($column, $request->query($asked)));
        }
        $query->when($request->filled('since'), fn (Builder $q) => $q->where(
            'occurred_at', '>=', self::moment($request, 'since'),
        ));

        return SignalResource::collection(self::pages($request, $query));
    }

    public function show(Signal $signal): SignalResource
    {
        return new SignalResource($signal);
    }

    public function store(SignalRequest $request, Account $account): JsonResponse
    {
        $known = (int) Signal::query()->where('account_id', $account->id)->max('id');
        ByHand::signal($account, $request->cells(), self::user($request));
        $signal = Signal::query()->where('account_id', $account->id)->where('id', '>', $known)->orderBy('id')->first()
            ?? Signal::query()->where('account_id', $account->id)->latest('updated_at')->firstOrFail();

        return self::made(new SignalResource($signal), route('api.signals.show', $signal));
    }

    /** It is wrong, and counts no more. */
    public function destroy(StrikeRequest $request, Signal $signal): Response
    {
        Strike::out($signal, self::user($request), $request->string('reason')->trim()->toString());

        return response()->noContent();
    }
}
