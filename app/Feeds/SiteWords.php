<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Feeds\Formats\SitePages;
use App\Models\Feed;
use Luftig\Core\Company\Domain;

/** What a company that is not in the base says of itself, on a few pages of its site, looked at once. */
final class SiteWords
{
    private const BYTES = 2_000_000;

    private const SECONDS = 6;

    /** @return string|null null: its site does not answer, does not want to be looked at, or says nothing */
    public static function of(string $domain): ?string
    {
        $name = Domain::from($domain)?->name;
        if ($name === null) {
            return null;
        }
        // Where the team has a feed of pages, its sites are looked at where that looks.
        $feed = Feed::query()->where('format', SitePages::name())->where('paused', false)->value('address');
        $address = is_string($feed) && str_contains($feed, SitesToVisit::DOMAIN) ? $feed
            : 'https://'.SitesToVisit::DOMAIN.'/';
        $found = (new VisitSite(new Fetcher(self::BYTES, self::SECONDS), new SitePages))
            ->at(str_replace(SitesToVisit::DOMAIN, $name, $address));
        $text = $found->facts['reached'] === true ? trim((string) ($found->facts['text'] ?? '')) : '';

        return $text === '' ? null : $text;
    }
}
