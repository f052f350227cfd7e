<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Status;
use Luftig\Core\Person\Title;
use Luftig\Core\Person\TitleReader;
use PHPUnit\Framework\TestCase;

/** How well titles are read, on those that were labelled by hand (tests/Core/titles). */
final class TitleAccuracyTest extends TestCase
{
    private const COUNTRIES = [
        'en' => null, 'de' => 'DE', 'nl' => 'NL', 'sv' => 'SE', 'no' => 'NO', 'da' => 'DK', 'pl' => 'PL', 'fi' => 'FI',
        'fr' => 'FR',
    ];

    public function test_both_halves(): void
    {
        $right = $count = $halves = [];
        $wrongNow = [];
        foreach (array_keys(self::COUNTRIES) as $language) {
            foreach (self::labelled($language) as $i => [$title, $expected, $country, $headcount]) {
                $half = $i % 2 === 0 ? 'work' : 'last';
                $read = TitleReader::standard()->read($title, $country, $headcount);
                foreach (
                    [
                        'status' => $read->status === $expected->status,
                        'seniority' => $read->seniority === $expected->seniority,
                        'functions' => $read->functions === $expected->functions,
                    ] as $field => $isRight
                ) {
                    $right[$half][$language][$field] = ($right[$half][$language][$field] ?? 0) + (int) $isRight;
                    $halves[$half][$field] = ($halves[$half][$field] ?? 0) + (int) $isRight;
                    if (! $isRight && $half === 'work' && getenv('LUFTIG_TITLES') !== false) {
                        fwrite(
                            STDERR,
                            "$language  $title: $field of “{$read->inWords()}”, expected “{$expected->inWords()}”\n",
                        );
                    }
                }
                $count[$half][$language] = ($count[$half][$language] ?? 0) + 1;
                if ($read->status->holds() && in_array($expected->status, [Status::Former, Status::Assistant], true)) {
                    $wrongNow[] = $title;
                }
            }
        }
        $shares = [];
        foreach ($count as $half => $languages) {
            foreach (['status', 'seniority', 'functions'] as $field) {
                $shares[$half][$field] = $halves[$half][$field] / array_sum($languages);
            }
            fwrite(
                STDERR,
                sprintf(
                    "\n%s half, %d titles: status %.1f %%, seniority %.1f %%, functions %.1f %%\n",
                    $half,
                    array_sum($languages),
                    100 * $shares[$half]['status'],
                    100 * $shares[$half]['seniority'],
                    100 * $shares[$half]['functions'],
                ),
            );
            foreach ($languages as $language => $n) {
                fwrite(
                    STDERR,
                    sprintf(
                        "  %s  %3d titles  status %.1f  seniority %.1f  functions %.1f\n",
                        $language,
                        $n,
                        ...array_map(
                            fn (string $field): float => 100 * $right[$half][$language][$field] / $n,
                            ['status', 'seniority', 'functions'],
                        ),
                    ),
                );
                self::assertGreaterThanOrEqual(.85, min($right[$half][$language]) / $n, "$language, $half half");
            }
        }
        self::assertSame([], $wrongNow, 'former or assistant titles that were taken for current ones');
        self::assertGreaterThanOrEqual(.95, $shares['last']['seniority']);
        self::assertGreaterThanOrEqual(.90, $shares['last']['functions']);
        foreach ($shares['work'] as $field => $share) {
            self::assertLessThan(.03, abs($share - $shares['last'][$field]), "The halves differ in $field.");
        }
    }

    public function test_titles_in_the_wild(): void
    {
        $all = ['n' => 0, 'status' => 0, 'seniority' => 0, 'functions' => 0];
        $wrongNow = [];
        fwrite(STDERR, "\nin the wild\n");
        foreach (array_keys(self::COUNTRIES) as $language) {
            $right = ['n' => 0, 'status' => 0, 'seniority' => 0, 'functions' => 0];
            foreach (self::labelled("wild/$language") as [$title, $expected, $country, $headcount]) {
                $read = TitleReader::standard()->read($title, $country, $headcount);
                $right['n']++;
                $right['status'] += (int) ($read->status === $expected->status);
                $right['seniority'] += (int) ($read->seniority === $expected->seniority);
                $right['functions'] += (int) ($read->functions === $expected->functions);
                if ($read->status->holds() && in_array($expected->status, [Status::Former, Status::Assistant], true)) {
                    $wrongNow[] = $title;
                }
            }
            $this->say($language, $right);
            self::assertGreaterThanOrEqual(.88, min($right['seniority'], $right['functions']) / $right['n'], $language);
            foreach ($right as $field => $count) {
                $all[$field] += $count;
            }
        }
        $this->say('all', $all);
        self::assertSame(300, $all['n']);
        self::assertSame([], $wrongNow);
        self::assertGreaterThanOrEqual(.95, $all['seniority'] / $all['n']);
        self::assertGreaterThanOrEqual(.93, $all['functions'] / $all['n']);
    }

    /** @param  array{n: int, status: int, seniority: int, functions: int}  $right */
    private function say(string $of, array $right): void
    {
        fwrite(STDERR, sprintf(
            "  %-3s %3d titles  status %.1f  seniority %.1f  functions %.1f\n",
            $of,
            $right['n'],
            ...array_map(
                fn (string $field): float => 100 * $right[$field] / $right['n'],
                ['status', 'seniority', 'functions'],
            ),
        ));
    }

    /** @return list<array{string, Title, string|null, int|null}> */
    private static function labelled(string $language): array
    {
        $titles = [];
        foreach (file(__DIR__."/titles/$language.txt", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            [$title, $seniority, $functions, $more] = array_map(trim(...), explode('|', $line)) + [3 => ''];
            $country = self::COUNTRIES[basename($language)];
            $headcount = null;
            $status = Status::Current;
            foreach (array_filter(array_map(trim(...), explode(',', $more))) as $part) {
                [$key, $value] = explode('=', $part) + [1 => ''];
                match ($key) {
                    'country' => $country = $value,
                    'headcount' => $headcount = (int) $value,
                    default => $status = Status::from($key),
                };
            }
            $set = BusinessFunction::set(array_map(
                static fn (string $name): BusinessFunction => BusinessFunction::from($name),
                array_filter(array_map(trim(...), explode(',', $functions))),
            ));
            $titles[] = [
                $title, new Title($status, \Luftig\Core\Person\Seniority::from($seniority), $set), $country, $headcount,
            ];
        }

        return $titles;
    }
}
