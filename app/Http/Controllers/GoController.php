<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Account;
use App\Models\Contact;
use App\Support\Like;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/** Finds any account, contact or screen by what one types. */
final class GoController extends Controller
{
    private const MOST = 8;

    public function __invoke(Request $request): View
    {
        $text = self::text($request, 'q');
        $like = Like::begins($text);
        $accounts = $contacts = collect();
        if ($text !== '') {
            $accounts = Account::query()->own()->where(fn (Builder $either) => Like::orAscii($either->where('name', 'like', $like)->orWhere('name', 'like', '% '.$like), 'domain', $like))->orderBy('name')->limit(self::MOST)->get(['id', 'name', 'domain']);
            $words = preg_split('/\s+/', $text) ?: [];
            $contacts = Contact::query()->with('account:id,name')->whereNull('merged_into')->where(function ($query) use ($words): void {
                foreach ($words as $word) {
                    $query->where(fn ($either) => $either->where('first_name', 'like', Like::begins($word))->orWhere('last_name', 'like', Like::begins($word)));
                }
            })->orderBy('last_name')->limit(self::MOST)->get(['id', 'first_name', 'last_name', 'title', 'account_id']);
        }
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
