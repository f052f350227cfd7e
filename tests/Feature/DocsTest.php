<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\RowReaders;
use App\Models\IntakeKind;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Kind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\NamesTests;

/** The documents say what the program does. */
final class DocsTest extends TestCase
{
    use NamesTests;

    /** So many other headings are told. */
    private const TOLD = 7;

    /** @return array<string, array{IntakeKind}> */
    public static function kinds(): array
    {
        return array_combine(
            array_column(IntakeKind::cases(), 'value'),
            array_map(fn (IntakeKind $kind): array => [$kind], IntakeKind::cases()),
        );
    }

    #[DataProvider('kinds')]
    public function test_every_column_of_files_stands_in_its_table(IntakeKind $kind): void
    {
        $rows = [];
        foreach (RowReaders::columns($kind) as $field => $column) {
            if ($field === 'extras') {
                continue;
            }
            $name = str_replace('_', ' ', $field);
            $others = array_slice(array_values(array_diff($column->names, [$name])), 0, self::TOLD);
            $rows[] = "| $name".($column->required ? ' (needed)' : '')." | {$column->label} | ".implode(', ', $others)
                ." | {$column->example} |";
        }
        $section = preg_split('/^## /m', self::text('intake.md')) ?: [];
        $own = array_values(
            array_filter($section, fn (string $one): bool => str_starts_with($one, ucfirst($kind->value))),
        );
        preg_match_all('/^\| .*\|$/m', $own[0] ?? '', $found);

        self::assertSame($rows, array_slice($found[0], 1));
    }

    public function test_the_catalogue_stands_as_it_is(): void
    {
        $rules = Catalogue::standard()->rules;
        preg_match_all(
            '/^\| (\w+)[^|]*\|[^|]*\| ([.\d]+) \| (\d+) \| (\d+) \| (\d+) \|/m', self::text('rules.md'), $rows, 2,
        );
        self::assertCount(count(Kind::cases()), $rows);
        foreach ($rows as [, $kind, $weight, $ramp, $hold, $halfLife]) {
            self::assertEqualsWithDelta(
                [(float) $weight, (float) $ramp, (float) $hold, (float) $halfLife],
                [$rules[$kind]->weight, $rules[$kind]->ramp, $rules[$kind]->hold, $rules[$kind]->halfLife],
                1e-9,
                $kind,
            );
        }
    }

    public function test_every_claim_of_the_readme_names_a_test_that_is_there(): void
    {
        preg_match_all('/^\| (.+) \| (.+) \|$/m', self::text('claims.md'), $rows, PREG_SET_ORDER);
        self::assertGreaterThan(30, count($rows));
        foreach (array_slice($rows, 1) as [, $claim, $tests]) {
            self::assertNamesTests($tests, $claim);
        }
    }

    public function test_what_the_readme_asks_from_the_shell_is_answered(): void
    {
        $root = dirname(__DIR__, 2);
        preg_match_all('/^.*bin\/luftig-core.*$/m', (string) file_get_contents("$root/README.md"), $asked);
        self::assertCount(4, $asked[0]);
        foreach ($asked[0] as $command) {
            $said = [];
            exec('cd '.escapeshellarg($root)." && $command 2>&1", $said, $code);
            self::assertSame(0, $code, $command.implode("\n", $said));
            self::assertNotSame([], $said);
        }
    }

    public function test_every_file_that_is_named_is_there(): void
    {
        $root = dirname(__DIR__, 2);
        foreach (
            ['README.md', ...array_map(fn (string $path): string => "docs/$path", self::documents())] as $document
        ) {
            preg_match_all(
                '/\]\((?!https?:|#|mailto:)([^)#]+)/',
                (string) file_get_contents("$root/$document"),
                $links,
            );
            foreach ($links[1] as $link) {
                self::assertFileExists("$root/".($document === 'README.md' ? '' : 'docs/').$link, "in $document");
            }
            preg_match_all('#`((?:app|core|database|resources|tests|bench|docs)/[\w/.-]+)`#',
                (string) file_get_contents(
                    "$root/$document",
                ), $paths);
            foreach ($paths[1] as $path) {
                self::assertTrue(
                    file_exists("$root/$path") || file_exists("$root/$path.php"),
                    "$path, which $document names",
                );
            }
        }
    }

    /** @return list<string> */
    private static function documents(): array
    {
        return array_map(basename(...), glob(dirname(__DIR__, 2).'/docs/*.md') ?: []);
    }

    private static function text(string $document): string
    {
        return (string) file_get_contents(dirname(__DIR__, 2)."/docs/$document");
    }
}
