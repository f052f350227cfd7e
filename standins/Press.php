<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** Papers: what they printed in the last ninety days, as Atom and as RSS, and a page for each report. */
final readonly class Press extends Source
{
    private const PAGE = 100;

    private const DAYS = 90;

    public function answer(array $path, array $query): ?Answer
    {
        if (count($path) !== 2) {
            return null;
        }
        $page = max(1, is_numeric($query['page'] ?? null) ? (int) $query['page'] : 1);

        return match ($path[1]) {
            'atom.xml' => $this->atom($path[0], $page),
            'rss.xml' => $this->rss($path[0]),
            default => $this->report($path[0], $path[1]),
        };
    }

    private function atom(string $paper, int $page): Answer
    {
        $all = $this->listed($paper);
        $entries = '';
        foreach (array_slice($all, ($page - 1) * self::PAGE, self::PAGE) as $one) {
            $entries .= "<entry><id>tag:$paper.example,2026:{$one['id']}</id><title>".self::escape($one['title'])
                ."</title><link href=\"{$this->root}/press/$paper/{$one['id']}\"/><published>{$one['at']}</published>"
                ."<updated>{$one['at']}</updated><content type=\"html\">".self::escape($one['text'])
                ."</content></entry>\n";
        }
        $more = count($all) > $page * self::PAGE || $this->faults->of('press') === 'endless'
            ? "<link rel=\"next\" href=\"{$this->root}/press/$paper/atom.xml?page=".($page + 1).'"/>'
            : '';

        return Answer::of('application/atom+xml', "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
            ."<feed xmlns=\"http://www.w3.org/2005/Atom\"><title>$paper</title>$more\n$entries</feed>\n");
    }

    private function rss(string $paper): Answer
    {
        $items = '';
        foreach ($this->listed($paper) as $one) {
            $items .= '<item><title>'.self::escape($one['title'])."</title><guid>{$one['id']}</guid><link>"
                ."{$this->root}/press/$paper/{$one['id']}</link><pubDate>"
                .gmdate('D, d M Y H:i:s +0000', (int) strtotime((string) $one['at'])).'</pubDate><description>'
                .self::escape($one['text'])."</description></item>\n";
        }

        return Answer::of('application/rss+xml', "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
            ."<rss version=\"2.0\"><channel><title>$paper</title>\n$items</channel></rss>\n");
    }

    private function report(string $paper, string $id): ?Answer
    {
        foreach ($this->world->reports($paper) as $one) {
            if ((string) $one['id'] === $id) {
                return self::page($one, '', '<p>'.self::escape($one['text']).'</p>');
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> */
    private function listed(string $paper): array
    {
        $from = $this->world->now - self::DAYS * 86_400;

        return $this->faults->within('press', array_values(array_filter(
            $this->world->reports($paper),
            static fn (array $one): bool => strtotime((string) $one['at']) >= $from,
        )));
    }
}
