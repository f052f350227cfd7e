<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** What goes wrong on demand, source by source. */
final class Faults
{
    public const ALL = [
        'slow', 'cut', '500', '429', 'garbage', 'charset', 'giant', 'endless', 'repeated', 'future', 'scripts',
        'redirect', 'entities',
    ];

    private const GIANT = 3_000_000;

    private const AHEAD = 400 * 86_400;

    /** @param  int  $wait  seconds that one waits for what is slow */
    public function __construct(private readonly string $file, private readonly int $wait = 120)
    {
    }

    public function of(string $source): string
    {
        return (string) ($this->all()[$source] ?? '');
    }

    public function set(string $source, string $fault): bool
    {
        if (! in_array($fault, self::ALL, true)) {
            return false;
        }

        return file_put_contents($this->file, json_encode([$source => $fault] + $this->all())) !== false;
    }

    public function end(): void
    {
        @unlink($this->file);
    }

    /**
     * What goes wrong within the items.
     *
     * @param  list<array<string, mixed>>  $items
     * @return list<array<string, mixed>>
     */
    public function within(string $source, array $items): array
    {
        return match ($this->of($source)) {
            'repeated' => array_merge([], ...array_map(static fn (array $one): array => [$one, $one], $items)),
            'giant' => array_map(
                static fn (array $one, int $i): array => [
                    'text' => $i === 0 ? str_repeat('air ', intdiv(self::GIANT, 4)) : $one['text'] ?? '',
                ] + $one,
                $items,
                array_keys($items),
            ),
            'future' => array_map(static fn (array $one): array => [
                'at' => gmdate('Y-m-d\TH:i:s\Z', (int) strtotime((string) $one['at']) + self::AHEAD),
            ] + $one, $items),
            'scripts' => array_map(static fn (array $one): array => [
                'title' => ($one['title'] ?? '').' <script>alert(1)</script>',
                'text' => '<p onclick="alert(1)">'.($one['text'] ?? '').'</p><script>alert(document.cookie)</script>'
                    .'<img src=x onerror=alert(1)><a href="javascript:alert(1)">here</a>',
            ] + $one, $items),
            default => $items,
        };
    }

    /** What goes wrong with an answer as a whole. */
    public function around(string $source, Answer $answer): Answer
    {
        $type = ['Content-Type' => 'text/plain; charset=UTF-8'];

        return match ($this->of($source)) {
            'slow' => $answer->with(wait: $this->wait),
            'cut' => $answer->with(
                substr($answer->body, 0, intdiv(strlen($answer->body), 2)),
                ['Content-Length' => (string) strlen($answer->body)],
            ),
            '500' => $answer->with("Something broke.\n", $type, 500),
            '429' => $answer->with("Not so often.\n", $type + ['Retry-After' => '600'], 429),
            'garbage' => $answer->with("\x00\x01\xFE\xFF".str_repeat("\x8F\x02{<", 400)),
            'charset' => $answer->with((string) mb_convert_encoding($answer->body, 'Windows-1252', 'UTF-8')),
            'redirect' => $answer->with('', ['Location' => 'http://169.254.169.254/latest/'], 302),
            'entities' => $answer->with((string) preg_replace(
                '~^(<\?xml[^>]*\?>)?~',
                "<?xml version=\"1.0\"?>\n<!DOCTYPE x [<!ENTITY a \"air\"><!ENTITY b \"&a;&a;&a;&a;\">"
                    ."<!ENTITY c SYSTEM \"file:///etc/passwd\">]>\n",
                $answer->body,
            )),
            default => $answer,
        };
    }

    /** @return array<string, string> */
    private function all(): array
    {
        return (array) json_decode((string) @file_get_contents($this->file), true);
    }
}
