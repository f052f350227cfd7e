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
        foreach ($this->linesWith('sites', "\"$domain\"") as $one) {
            if ($one['domain'] === $domain) {
                return [
                    'name' => (string) $one['name'], 'text' => (string) $one['text'],
                    'about' => (string) ($one['about'] ?? ''), 'runs' => $one['runs'],
                ];
            }
        }

        return null;
    }

    /** The address at which somebody is really reached; null: nobody knows of them. */
    public function addressOf(string $first, string $last, string $domain): ?string
    {
        foreach ($this->linesWith('addresses', "\"$domain\"") as $one) {
            if ([$one['first'], $one['last'], $one['domain']] === [$first, $last, $domain]) {
                return (string) $one['email'];
            }
        }

        return null;
    }

    public function isAddress(string $address): bool
    {
        foreach ($this->linesWith('addresses', "\"$address\"") as $one) {
            if ($one['email'] === $address) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, float|int> headcount and revenue of a company, in EUR a year; none of one unheard of */
    public function figures(string $domain): array
    {
        foreach ($this->linesWith('figures', "\"$domain\"") as $one) {
            if ($one['domain'] === $domain) {
                return ['headcount' => (int) $one['headcount'], 'revenue' => (float) $one['revenue']];
            }
        }

        return [];
    }

    /** @return array<string, float> key → credits that a service took for it */
    public function charges(string $service): array
    {
        $charges = [];
        foreach (@file("$this->folder/charges-$service.jsonl", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            [$key, $price] = (array) json_decode($line, true);
            $charges[(string) $key] = (float) $price;
        }

        return $charges;
    }

    /** Once for a key. */
    public function charge(string $service, string $key, float $price): void
    {
        if (! isset($this->charges($service)[$key])) {
            file_put_contents(
                "$this->folder/charges-$service.jsonl", json_encode([$key, $price])."\n", FILE_APPEND | LOCK_EX,
            );
        }
    }

    /**
     * Lines that hold a text; most are another's, and are not read.
     *
     * @return iterable<array<string, mixed>>
     */
    private function linesWith(string $what, string $text): iterable
    {
        foreach (@file("$this->folder/$what.jsonl", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            if (str_contains($line, $text)) {
                yield (array) json_decode($line, true);
            }
        }
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
