<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Offer;
use App\View\Today\TodayFocus;
use App\View\Today\TodayPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class TodayController extends Controller
{
    public function __invoke(Request $request, Offer $offer): View
    {
        $focus = $request->integer('focus');
        $to = $request->integer('to');
        $angle = self::text($request, 'angle');
        if ($request->header('HX-Target') === 'focus') {
            return view('today.focus', ['page' => TodayFocus::of($offer, self::user($request), $focus, $to, $angle)]);
        }

        return view('today.index', ['page' => TodayPage::of($offer, self::user($request), $focus, $to, $angle)]);
    }
}
