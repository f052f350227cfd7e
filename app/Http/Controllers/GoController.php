<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\View\Go\Named;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Finds any account, contact or screen by what one types. */
final class GoController extends Controller
{
    private const MOST = 8;

    public function __invoke(Request $request): View
    {
        $text = self::text($request, 'q');
        $accounts = $text === '' ? collect() : Named::accounts($text, self::MOST);
        $contacts = $text === '' ? collect() : Named::contacts($text, self::MOST);
        $screens = collect(self::screens($request))->filter(fn (string $url, string $name): bool => $text === '' || str_contains(mb_strtolower($name), mb_strtolower($text)));

        return view($request->header('HX-Request') ? 'go.results' : 'go.index', compact('text', 'accounts', 'contacts', 'screens'));
    }

    /** @return array<string, string> name → address */
    private static function screens(Request $request): array
    {
        return ['Today' => '/', 'Accounts' => '/accounts', 'Contacts' => '/contacts', 'Finder' => '/finder', 'Lists' => '/lists', 'Network' => '/network', 'Reasons' => '/reasons', 'Intake' => '/intake', 'Keep-out' => '/keep-out', 'My pace' => '/pace']
            + ($request->user()->leads() ? ['Rules' => '/rules', 'Team' => '/team'] : []);
    }
}
