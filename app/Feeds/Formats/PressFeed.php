<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Fetcher;
use App\Feeds\Format;
use App\Feeds\Found;
use App\Feeds\PlainText;
use App\Feeds\Portion;
use App\Feeds\Unreadable;
use App\Models\ItemKind;
use Carbon\CarbonImmutable;
use DOMElement;
use Throwable;

/** Reports of the press as Atom (RFC 4287) or RSS 2.0. */
final class PressFeed implements Format
{
    private const TITLE = 255;

    private const TEXT = 200_000;

    public static function name(): string
    {
        return 'press';
    }

    public static function label(): string
    {
        return 'Press: Atom or RSS';
    }

    public static function kind(): ItemKind
    {
        return ItemKind::Report;
    }

    public function read(Fetched $answer, Cursor $cursor): Portion
    {
        $text = $answer->text();
        if (preg_match('~<(?:\w+:)?(?:feed|rss|RDF)\b~', substr($text, 0, 2000)) !== 1) {
            throw new Unreadable('This is neither Atom nor RSS.');
        }

        return new Portion($this->items($text, $answer->address), $this->more($text, $answer->address));
    }

    /** @return iterable<Found> */
    private function items(string $text, string $address): iterable
    {
        $paper = self::paper($text) ?? (string) parse_url($address, PHP_URL_HOST);
        foreach (Xml::elements($text, ['entry', 'item']) as $entry) {
            $link = self::link($entry);
            $link = $link === null ? null : Fetcher::absolute($link, $address);
            $title = PlainText::of(Xml::text($entry, 'title') ?? '');
            $body = Xml::text($entry, 'encoded', 'content', 'description', 'summary') ?? '';
            $raw = (string) $entry->ownerDocument?->saveXML($entry);
            preg_match_all('~href=["\'](https?://[^"\']+)~i', $body, $links);
            $at = self::time(Xml::text($entry, 'published', 'pubDate', 'updated', 'date'));
            $plain = PlainText::of($body);
            yield new Found(
                Xml::text($entry, 'id', 'guid') ?? $link ?? sha1($raw),
                mb_strimwidth($title, 0, self::TITLE, '…'),
                array_filter([
                    'text' => $plain, 'links' => array_values(array_unique($links[1])),
                    'paper' => $paper,
                ]),
                $raw,
                $link,
                $at,
                match (true) {
                    $title === '' => 'It has no headline.',
                    $at === null => 'It does not say of which day it is.',
                    mb_strlen($plain) > self::TEXT => 'Its text is longer than a report ever is.',
                    default => null,
                },
            );
        }
    }

    /** @return list<string> the next page (RFC 5005) */
    private function more(string $text, string $address): array
    {
        $start = explode('<entry', $text, 2)[0];

        return preg_match('~<link\b(?=[^>]*\brel=["\']next["\'])[^>]*\bhref=["\']([^"\']+)~i', $start, $next) === 1
            ? [Fetcher::absolute(html_entity_decode($next[1]), $address)]
            : [];
    }

    /** What the feed calls itself. */
    private static function paper(string $text): ?string
    {
        $start = (string) (preg_split('~<(?:entry|item)\b~', $text, 2)[0] ?? '');

        return preg_match('~<title\b[^>]*>(.*?)</title>~s', $start, $found) === 1
            ? (mb_strimwidth(PlainText::of($found[1]), 0, 80, '…') ?: null)
            : null;
    }

    private static function link(DOMElement $entry): ?string
    {
        foreach ($entry->childNodes as $child) {
            if ($child instanceof DOMElement && $child->localName === 'link') {
                $isPage = in_array($child->getAttribute('rel'), ['', 'alternate'], true);
                if ($child->hasAttribute('href') && $isPage) {
                    return $child->getAttribute('href');
                }
                if (trim($child->textContent) !== '') {
                    return trim($child->textContent);
                }
            }
        }

        return null;
    }

    private static function time(?string $text): ?CarbonImmutable
    {
        try {
            return $text === null ? null : CarbonImmutable::parse($text, 'UTC')->utc();
        } catch (Throwable) {
            return null;
        }
    }
}
