<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\View\Components\Reads;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Blade;

/** Reads a text query back in words while somebody types it, whatever the field is called. */
final class ReadsController extends Controller
{
    public function __invoke(Request $request): Response
    {
        $text = Arr::first(Arr::flatten($request->except('_token')), fn (mixed $one): bool => is_string($one));

        return response(Blade::renderComponent(new Reads(is_string($text) ? str_replace("\r\n", "\n", $text) : '')));
    }
}
