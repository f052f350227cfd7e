<?php

declare(strict_types=1);

namespace App\View\Go;

use App\Models\Account;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\User;
use App\Support\Like;
use App\View\Screen;

/** What one goes to by typing: screens, accounts, contacts, lists. */
final class Found
{
    private const MOST = 8;

    /** @return list<array{name: string, title: string, about: string, url: string}> */
    public static function of(User $user, Offer $offer, string $text): array
    {
        return [...self::screens($user, $text), ...$text === '' ? [] : self::records($offer, $text)];
    }

    /** @return list<array{name: string, title: string, about: string, url: string}> */
    private static function screens(User $user, string $text): array
    {
        $named = array_filter(
            Screen::all($user),
            fn (Screen $one): bool => $text === '' || str_contains(mb_strtolower($one->label()), mb_strtolower($text)),
        );

        return array_values(
            array_map(fn (Screen $one): array => self::one($one->label(), 'screen', $one->path()), $named),
        );
    }

    /** @return list<array{name: string, title: string, about: string, url: string}> */
    private static function records(Offer $offer, string $text): array
    {
        $accounts = NameSearch::accounts($text, self::MOST)
            ->map(
                fn (Account $one): array => self::one($one->name, (string) $one->domain, route('accounts.show', $one)),
            );
        $contacts = NameSearch::contacts($text, self::MOST)->map(fn (Contact $one): array => self::one(
            $one->name(), $one->account->name, route('contacts.show', $one), (string) $one->title,
        ));
        $lists = KeptList::query()->where('offer_id', $offer->id)->where('name', 'like', Like::anywhere($text))
            ->orderBy('name')
            ->limit(self::MOST)->get()
            ->map(fn (KeptList $one): array => self::one($one->name, 'list', route('lists.show', $one)));

        return [...$accounts->all(), ...$contacts->all(), ...$lists->all()];
    }

    /** @return array{name: string, title: string, about: string, url: string} */
    private static function one(string $name, string $about, string $url, string $title = ''): array
    {
        return compact('name', 'title', 'about', 'url');
    }
}
