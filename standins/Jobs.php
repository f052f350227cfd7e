<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** A job board: a sitemap of its pages, the pages, and a feed of all of it. */
final readonly class Jobs extends Source
{
    public function answer(array $path, array $query): ?Answer
    {
        return match (true) {
            $path === ['sitemap.xml'] => $this->sitemap(),
            $path === ['feed.jsonl'] => $this->feed(is_string($query['since'] ?? null) ? $query['since'] : ''),
            count($path) === 1 => $this->posting($path[0]),
            default => null,
        };
    }

    private function sitemap(): Answer
    {
        $urls = '';
        foreach ($this->listed() as $one) {
            $urls .= "<url><loc>{$this->root}/jobs/{$one['id']}</loc><lastmod>{$one['at']}</lastmod></url>\n";
        }

        return Answer::of('application/xml', "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
            ."<urlset xmlns=\"http://www.sitemaps.org/schemas/sitemap/0.9\">\n$urls</urlset>\n");
    }

    private function feed(string $since): Answer
    {
        $lines = '';
        foreach (array_reverse($this->listed()) as $one) {
            if ($since === '' || $one['at'] >= $since) {
                $lines .= json_encode($this->json($one), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
            }
        }

        return Answer::of('application/x-ndjson', $lines);
    }

    private function posting(string $id): ?Answer
    {
        foreach ($this->listed() as $one) {
            if ((string) $one['id'] === $id) {
                // Within a script nothing may end it.
                $json = json_encode($this->json($one), JSON_UNESCAPED_UNICODE | JSON_HEX_TAG);

                return self::page($one, "<script type=\"application/ld+json\">$json</script>", '<p>'
                    .self::escape($one['employer']).', '.self::escape($one['place']).'</p><p>'
                    .self::escape(strip_tags((string) $one['text'])).'</p>');
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> what has not ended */
    private function listed(): array
    {
        return $this->faults->within('jobs', array_values(array_filter(
            $this->world->postings(),
            fn (array $one): bool => strtotime((string) $one['until']) > $this->world->now,
        )));
    }

    /**
     * @param  array<string, mixed>  $one
     * @return array<string, mixed>
     */
    private function json(array $one): array
    {
        return [
            '@context' => 'https://schema.org', '@type' => 'JobPosting', 'url' => "{$this->root}/jobs/{$one['id']}",
            'identifier' => ['@type' => 'PropertyValue', 'value' => (string) $one['id']],
            'title' => $one['title'], 'datePosted' => $one['at'], 'validThrough' => $one['until'],
            'employmentType' => $one['type'], 'description' => $one['text'],
            'hiringOrganization' => ['@type' => 'Organization', 'name' => $one['employer']]
                + ($one['domain'] === '' ? [] : ['sameAs' => "https://www.{$one['domain']}/"]),
            'jobLocation' => ['@type' => 'Place', 'address' => [
                '@type' => 'PostalAddress', 'addressLocality' => $one['place'], 'addressCountry' => $one['country'],
            ]],
        ] + ($one['author'] === [] ? [] : ['applicationContact' => ['@type' => 'ContactPoint'] + $one['author']]);
    }
}
