<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Offer;
use App\View\Today\TodayPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class TodayController extends Controller
{
    public function __invoke(Request $request, Offer $offer): View
    {
        $page = TodayPage::of($offer, $request->user(), $request->integer('focus'));

        return $request->header('HX-Target') === 'focus'
            ? view('today.focus', ['page' => $page])
            : view('today.index', ['page' => $page]);
    }
}
