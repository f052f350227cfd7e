<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
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

/** The pages of accounts, each looked at once a week: what runs there, by its fingerprints (rule 24). */
final class SitePages implements Visits
{
    private const RAW = 200_000;

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
        $traces = self::traces($html, $answer->headers);

        // Of the page itself nothing is kept but how it is made: who is named on it is nobody's business here.
        return new Portion([$this->visit($answer->address, true, array_map(
            static fn (array $one): array => [$one[0], $one[1]->value],
            TechnologiesOf::fingerprints()->found($traces),
        ), mb_strcut((string) json_encode([
            'scripts' => $traces->scripts, 'metas' => $traces->metas, 'headers' => $traces->headers,
            'cookies' => $traces->cookies,
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE), 0, self::RAW))]);
    }

    public function missed(string $address, string $why): Found
    {
        return $this->visit($address, false, [], $why);
    }

    /** @param  list<array{string, string}>  $found */
    private function visit(string $address, bool $isReached, array $found, string $raw): Found
    {
        $domain = self::domain($address);

        return new Found(
            $domain ?? $address,
            'The page of '.($domain ?? $address),
            // Each day is a visit of its own.
            ['domain' => $domain, 'day' => CarbonImmutable::today()->toDateString(), 'reached' => $isReached,
                'found' => $found],
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

    /** @param  array<string, string>  $headers */
    private static function traces(string $html, array $headers): PageTraces
    {
        $crawler = new Crawler((new HTML5(['disable_html_ns' => true]))->loadHTML($html));
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
