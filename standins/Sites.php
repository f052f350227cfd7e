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
        $pages = ['' => '', 'about' => '', 'intern' => '<script src="https://tryklog.example/t.js"></script>'];
        foreach ($site['runs'] as $i => [$name, $from, $until]) {
            $isThere = $from <= $now && ($until === null || $until > $now);
            // Not all of it shows on the first page.
            $pages[$i % 2 === 0 ? '' : 'about'] .= $isThere ? self::SHOWS[$name] ?? '' : '';
        }
        $page = $path[1] ?? '';
        if (! isset($pages[$page])) {
            return null;
        }

        return self::page(['title' => $site['name']], $pages[$page], match ($page) {
            '' => '<p>'.self::escape($site['text']).'</p><p><a href="about/">About us</a> <a href="intern/">Intern</a> '
                .'<a href="price-list.pdf">Prices</a></p>',
            'about' => '<p>'.self::escape($site['about'] ?? '').'</p><p><a href="../">Home</a></p>',
            default => '<p>Shift plan of the week.</p>',
        });
    }
}
