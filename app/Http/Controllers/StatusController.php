<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\Health;
use App\View\Team\StatusPage;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Whether all is well: for people, and for programs that watch. */
final class StatusController extends Controller
{
    public function index(): View
    {
        return view('status', ['page' => StatusPage::now()]);
    }

    /** In the text format that programs which watch others ask for; only with the key that is set for them. */
    public function metrics(Request $request): Response
    {
        $key = config()->string('luftig.metrics_key');
        abort_unless($key !== '' && hash_equals($key, (string) $request->bearerToken()), 404);
        $lines = '';
        foreach (Health::now()->metrics() as $name => [$value, $what]) {
            if ($value !== null) {
                $lines .= "# HELP $name $what.\n# TYPE $name gauge\n$name $value\n";
            }
        }

        return response($lines)->withHeaders([
            'Content-Type' => 'text/plain; version=0.0.4; charset=utf-8', 'Cache-Control' => 'no-store',
        ]);
    }
}
