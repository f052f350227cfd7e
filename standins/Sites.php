<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** The pages of companies, made with what each runs by now. */
final readonly class Sites extends Source
{
    /** How each technology shows itself. */
    private const SHOWS = [
        'Vedliko Plan' => '<script src="https://vedliko.example/plan.js"></script>',
        'Skiftara' => '<script src="https://cdn.skiftara.example/s.js"></script>'
            .'<meta name="generator" content="Skiftara 3">',
        'Ordvika' => '<script src="https://ordvika.example/o.js"></script>',
        'Rundgång 4' => '<script src="https://rundgang.example/v4.js"></script>',
        'Tryklog' => '<script src="https://tryklog.example/t.js"></script>',
        'Luftmåler 2' => '<script src="https://luftmaaler.example/l.js"></script>',
        'Pneuskrift' => '<meta name="pneuskrift-id" content="7">',
    ];

    public function answer(array $path, array $query): ?Answer
    {
        $site = $this->world->site($path[0] ?? '');
        if ($site === null) {
            return null;
        }
        $now = gmdate('Y-m-d\TH:i:s\Z', $this->world->now);
        $head = '';
        foreach ($site['runs'] as [$name, $from, $until]) {
            $head .= $from <= $now && ($until === null || $until > $now) ? self::SHOWS[$name] ?? '' : '';
        }

        return self::page(['title' => $site['name']], $head, '<p>'.self::escape($site['text']).'</p>');
    }
}
