<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\View\Team\LogPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Who did what and when. */
final class LogController extends Controller
{
    public function index(Request $request): View
    {
        $by = $request->integer('by');

        return view('log', ['page' => LogPage::of(
            $by > 0 ? $by : null, trim(self::text($request, 'words')), self::text($request, 'since'),
        )]);
    }
}
