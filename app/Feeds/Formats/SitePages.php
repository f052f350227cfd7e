<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Fetcher;
use App\Feeds\Found;
use App\Feeds\PlainText;
use App\Feeds\Portion;
use App\Feeds\TechnologiesOf;
use App\Feeds\Visits;
use App\Models\ItemKind;
use Carbon\CarbonImmutable;
use Luftig\Core\Company\Domain;
use Luftig\Core\Company\PageTraces;
use Masterminds\HTML5;
use Symfony\Component\DomCrawler\Crawler;

/**
 * The pages of accounts, a few of each looked at once a week: what runs there, by its fingerprints (rule 24), and what
 * they say of themselves.
 */
final class SitePages implements Visits
{
    private const RAW = 200_000;

    /** Of what they say of themselves so much is kept. */
    private const TEXT = 20_000;

    /** Pages that tell most of a company. */
    private const TELLING = '~about|company|products?|services|career|jobs|om-|om_|/om|unternehmen|ueber|uber|produkt|'
        .'karriere|over-ons|virksomhed|foretag|firma|o-nas|yritys|entreprise~i';

    private const FILES = '~\.(?:pdf|jpe?g|png|gif|svg|webp|zip|docx?|xlsx?|mp4|css|js|xml|ico)$~i';

    public static function name(): string
    {
        return 'site-pages';
    }

    public static function label(): string
    {
        return 'Pages of the accounts: what runs there';
    }

    public static function kind(): ItemKind
    {
        return ItemKind::Page;
    }

    public function read(Fetched $answer, Cursor $cursor): Portion
    {
        $html = $answer->text();
        if (stripos($html, '<html') === false) {
            return new Portion([$this->missed($answer->address, 'It is no page.')]);
        }
        $crawler = new Crawler((new HTML5(['disable_html_ns' => true]))->loadHTML($html));
        $traces = self::traces($crawler, $html, $answer->headers);

        $found = array_map(
            static fn (array $one): array => [$one[0], $one[1]->value],
            TechnologiesOf::fingerprints()->found($traces),
        );
        // As it came it is not kept: who is named on it is nobody's business here.
        $raw = (string) json_encode([
            'scripts' => $traces->scripts, 'metas' => $traces->metas, 'headers' => $traces->headers,
            'cookies' => $traces->cookies,
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE);

        return new Portion(
            [$this->visit($answer->address, true, $found, mb_strcut($raw, 0, self::RAW), $traces->text)],
            self::links($crawler, $answer->address),
        );
    }

    public function together(array $pages): Found
    {
        $first = $pages[0];
        $found = $raw = [];
        $text = '';
        foreach ($pages as $page) {
            foreach ($page->facts['reached'] === true ? $page->facts['found'] : [] as $one) {
                $found[implode('|', $one)] = $one;
            }
            $raw[] = $page->raw;
            $text .= "\n".($page->facts['text'] ?? '');
        }

        return $this->visit(
            (string) $first->link, $first->facts['reached'], array_values($found), implode("\n", $raw), trim($text),
        );
    }

    public function missed(string $address, string $why): Found
    {
        return $this->visit($address, false, [], $why);
    }

    /** @param  list<array{string, string}>  $found */
    private function visit(string $address, bool $isReached, array $found, string $raw, string $text = ''): Found
    {
        $domain = self::domain($address);

        return new Found(
            $domain ?? $address,
            'The page of '.($domain ?? $address),
            // Each day is a visit of its own.
            ['domain' => $domain, 'day' => CarbonImmutable::today()->toDateString(), 'reached' => $isReached,
                'found' => $found] + ($text === '' ? [] : ['text' => mb_strcut($text, 0, self::TEXT)]),
            $raw,
            $address,
            CarbonImmutable::now(),
            $domain === null ? 'It is nobody’s page.' : null,
        );
    }

    /** The domain that the page is of: its own, or the one that stands in its path. */
    private static function domain(string $address): ?string
    {
        foreach (array_reverse(explode('/', (string) parse_url($address, PHP_URL_PATH))) as $part) {
            $domain = str_contains($part, '.') ? Domain::from($part) : null;
            if ($domain !== null) {
                return $domain->name;
            }
        }

        return Domain::from((string) parse_url($address, PHP_URL_HOST))?->name;
    }

    /**
     * Other pages of the site that lie below the page, those first that tell of the company.
     *
     * @return list<string>
     */
    private static function links(Crawler $crawler, string $from): array
    {
        $below = (string) preg_replace('~[^/]*$~', '', strtok($from, '?#') ?: $from);
        $links = [];
        foreach ($crawler->filterXPath('//a[@href]')->extract(['href']) as $href) {
            $link = strtok(Fetcher::absolute(trim((string) $href), $from), '#');
            if (
                $link !== false && $link !== $from && $link !== $below && str_starts_with($link, $below)
                && preg_match(self::FILES, $link) !== 1
            ) {
                $links[$link] = preg_match(self::TELLING, substr($link, strlen($below) - 1)) === 1 ? 0 : 1;
            }
        }
        asort($links);

        return array_map(strval(...), array_keys($links));
    }

    /** @param  array<string, string>  $headers */
    private static function traces(Crawler $crawler, string $html, array $headers): PageTraces
    {
        $metas = [];
        foreach ($crawler->filterXPath('//meta[@name]')->extract(['name', 'content']) as [$name, $content]) {
            $metas[mb_strtolower($name)] = $content;
        }
        /** @var list<string> $scripts */
        $scripts = [
            ...$crawler->filterXPath('//script[@src] | //iframe[@src]')->extract(['src']),
            ...$crawler->filterXPath('//link[@href]')->extract(['href']),
        ];

        return new PageTraces(
            $scripts,
            $headers,
            $metas,
            isset($headers['set-cookie']) ? [explode('=', $headers['set-cookie'])[0]] : [],
            PlainText::of($html),
        );
    }
}
