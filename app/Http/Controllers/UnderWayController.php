<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\View\UnderWay\UnderWayPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class UnderWayController extends Controller
{
    public function __invoke(Request $request): View
    {
        return view('under-way', ['page' => UnderWayPage::of(self::user($request))]);
    }
}
