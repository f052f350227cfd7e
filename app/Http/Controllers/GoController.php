<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Offer;
use App\View\Go\Found;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Finds any account, contact, list or screen by what one types. */
final class GoController extends Controller
{
    public function __invoke(Request $request, Offer $offer): View
    {
        $text = self::text($request, 'q');

        return view($request->hasHeader('HX-Request') ? 'go.results' : 'go.index', [
            'text' => $text, 'found' => Found::of(self::user($request), $offer, $text),
        ]);
    }
}
