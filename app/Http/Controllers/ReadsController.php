<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;

/** Reads a text query back in words while somebody types it, whatever the field is called. */
final class ReadsController extends Controller
{
    public function __invoke(Request $request): View
    {
        $text = Arr::first(Arr::flatten($request->except('_token')), fn (mixed $one): bool => is_string($one));

        return view('reads', ['text' => is_string($text) ? str_replace("\r\n", "\n", $text) : '']);
    }
}
