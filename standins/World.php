<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** What has happened by now in the invented world, as the demo wrote it down. */
final class World
{
    /** @var array<string, list<array<string, mixed>>> */
    private array $read = [];

    /** @param  int  $now  Unix seconds */
    public function __construct(private readonly string $folder, public readonly int $now)
    {
    }

    /** @return list<array<string, mixed>> what was made known by now, the newest first */
    public function postings(): array
    {
        return $this->until('postings');
    }

    /** @return list<array<string, mixed>> */
    public function reports(string $paper): array
    {
        return array_values(array_filter(
            $this->until('reports'),
            static fn (array $one): bool => $one['paper'] === $paper,
        ));
    }

    /** @return list<array<string, mixed>> */
    public function deeds(): array
    {
        return $this->until('deeds');
    }

    /** @return list<array<string, mixed>> */
    public function rounds(): array
    {
        return $this->until('rounds');
    }

    /** @return list<array<string, mixed>> */
    public function moves(): array
    {
        return $this->until('moves');
    }

    /** @return list<array{domain: string, months: array<string, array<string, int>>}> */
    public function headcounts(): array
    {
        $all = [];
        $now = gmdate('Y-m', $this->now);
        foreach (@file("$this->folder/headcounts.jsonl", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            $one = (array) json_decode($line, true);
            $all[] = ['domain' => (string) $one['domain'], 'months' => array_filter(
                (array) $one['months'],
                static fn (string $at): bool => $at <= $now,
                ARRAY_FILTER_USE_KEY,
            )];
        }

        return $all;
    }

    /** @return array{name: string, text: string, about: string, runs: list<array{string, string, string|null}>}|null */
    public function site(string $domain): ?array
    {
        foreach (@file("$this->folder/sites.jsonl", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            // Most lines are another's.
            if (str_contains($line, "\"$domain\"")) {
                $one = (array) json_decode($line, true);
                if ($one['domain'] === $domain) {
                    return [
                        'name' => (string) $one['name'], 'text' => (string) $one['text'],
                        'about' => (string) ($one['about'] ?? ''), 'runs' => $one['runs'],
                    ];
                }
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> */
    private function until(string $what): array
    {
        $this->read[$what] ??= array_map(
            static fn (string $line): array => (array) json_decode($line, true),
            @file("$this->folder/$what.jsonl", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [],
        );
        $known = array_values(array_filter(
            $this->read[$what],
            fn (array $one): bool => strtotime((string) $one['at']) <= $this->now,
        ));
        usort($known, static fn (array $a, array $b): int => $b['at'] <=> $a['at']);

        return $known;
    }
}
