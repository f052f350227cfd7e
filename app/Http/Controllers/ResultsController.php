<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Offer;
use App\View\Results\ResultsPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

final class ResultsController extends Controller
{
    public function __invoke(Request $request, Offer $offer): View
    {
        return view('results.index', ['page' => ResultsPage::of($offer, self::text($request, 'span'))]);
    }
}
