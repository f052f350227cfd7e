<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Fetcher;
use App\Feeds\Format;
use App\Feeds\Found;
use App\Feeds\Portion;
use App\Feeds\Unreadable;
use App\Models\ItemKind;
use Carbon\CarbonImmutable;
use Masterminds\HTML5;
use Symfony\Component\DomCrawler\Crawler;
use Throwable;

/** A sitemap that lists pages, each with a schema.org JobPosting as JSON-LD in it. */
final class PostingPages implements Format
{
    private const MOST = 20_000;

    public static function name(): string
    {
        return 'posting-pages';
    }

    public static function label(): string
    {
        return 'Job board: a sitemap of pages with JobPosting in them';
    }

    public static function kind(): ItemKind
    {
        return ItemKind::Posting;
    }

    public function read(Fetched $answer, Cursor $cursor): Portion
    {
        return str_starts_with($answer->beginning(), '<?xml') || str_starts_with($answer->beginning(), '<urlset')
            ? $this->sitemap($answer)
            : new Portion($this->page($answer));
    }

    private function sitemap(Fetched $answer): Portion
    {
        $more = $alive = $changes = [];
        foreach (Xml::elements($answer->text(), ['url', 'sitemap']) as $entry) {
            $address = Fetcher::absolute(Xml::text($entry, 'loc') ?? '', $answer->address);
            if ($address === $answer->address) {
                continue;
            }
            if ($entry->localName === 'url') {
                $alive[] = $address;
            }
            $more[] = $address;
            $changed = self::changed($entry);
            if ($changed !== null && $entry->localName === 'url') {
                $changes[$address] = $changed;
            }
            if (count($alive) > self::MOST) {
                throw new Unreadable('The sitemap lists more than 20,000 pages, which is not read.');
            }
        }

        return new Portion([], $more, $alive === [] ? null : $alive, $changes);
    }

    private static function changed(\DOMElement $entry): ?string
    {
        try {
            $said = Xml::text($entry, 'lastmod');

            // A day alone is all of it.
            return $said === null ? null : CarbonImmutable::parse(
                strlen($said) === 10 ? "{$said}T23:59:59Z" : $said,
                'UTC',
            )->utc()->toIso8601ZuluString();
        } catch (Throwable) {
            return null;
        }
    }

    /** @return iterable<Found> */
    private function page(Fetched $answer): iterable
    {
        $html = $answer->text();
        if (stripos($html, '<html') === false) {
            throw new Unreadable('This is neither a sitemap nor a page.');
        }
        $crawler = new Crawler((new HTML5(['disable_html_ns' => true]))->loadHTML($html));
        $found = false;
        foreach ($crawler->filterXPath('//script[@type="application/ld+json"]') as $script) {
            $posting = self::posting(json_decode(trim($script->textContent), true));
            if ($posting !== null) {
                $found = true;
                yield JobPosting::found(
                    ['url' => $answer->address] + $posting, trim($script->textContent), $answer->address,
                );
            }
        }
        if (! $found) {
            yield new Found($answer->address, 'A page without a posting', [], mb_strcut($html, 0, 20_000),
                $answer->address, refused: 'There is no JobPosting in the page.');
        }
    }

    /** @return array<mixed>|null */
    private static function posting(mixed $json): ?array
    {
        if (! is_array($json)) {
            return null;
        }
        if (in_array('JobPosting', (array) ($json['@type'] ?? []), true)) {
            return $json;
        }
        foreach (array_is_list($json) ? $json : (array) ($json['@graph'] ?? []) as $one) {
            $posting = self::posting($one);
            if ($posting !== null) {
                return $posting;
            }
        }

        return null;
    }
}
