<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\StandingOrderRequest;
use App\Models\Offer;
use App\Models\StandingOrder;
use App\View\Undo;
use Illuminate\Http\RedirectResponse;

/** Look-ups that are bought by night, without a click each. */
final class StandingOrderController extends Controller
{
    public function store(StandingOrderRequest $request, Offer $offer): RedirectResponse
    {
        $mine = ['offer_id' => $offer->id, 'user_id' => self::user($request)->id];
        $before = StandingOrder::query()->where($mine)->first();
        $order = StandingOrder::query()->updateOrCreate($mine, $request->order());

        return redirect()->route('look-ups')->with('said', 'Ordered: each night what pays, within its credits.')
            ->with('undo', $before === null
                ? Undo::by('delete', route('orders.destroy', $order)) : self::again($before));
    }

    public function destroy(StandingOrder $order): RedirectResponse
    {
        $order->delete();

        return redirect()->route('look-ups')->with('said', 'The standing order is ended; what was found stays.')
            ->with('undo', self::again($order));
    }

    /** @return array{to: string, method: string, fields: array<string, scalar|null>} */
    private static function again(StandingOrder $order): array
    {
        return Undo::by('post', route('orders.store'), [
            'credits' => $order->credits, 'least' => $order->least,
            'accepts_doubtful' => $order->accepts_doubtful ? 1 : 0,
        ]);
    }
}
