<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Finder\SplFileInfo;

/** Views read as pages; styles and scripts keep to what is ours. */
final class FrontEndTest extends TestCase
{
    private const LINES = 80;

    /** What a view must not do, and why. */
    private const NOT_IN_VIEWS = [
        '/\sstyle\s*=/' => 'a style attribute, which the policy forbids',
        '/<script(?![^>]*\bsrc=)|\son(click|change|submit|input|load)\s*=/' => 'an inline script, which the policy '
            .'forbids',
        '/@php\b/' => 'logic, which belongs to its view model',
        '/::query\(|DB::|->where\(/' => 'a query',
        '/number_format|isoFormat|\bround\(|\bceil\(|\bfloor\(/' => 'a number or a date that it writes itself',
    ];

    private const PARTS = ['barb', 'facets', 'fuse', 'group', 'picture', 'ribbon', 'staircase'];

    #[DataProvider('views')]
    public function test_a_view_reads_as_a_page(string $path): void
    {
        $text = (string) file_get_contents(self::root().$path);
        foreach (self::NOT_IN_VIEWS as $pattern => $what) {
            self::assertDoesNotMatchRegularExpression($pattern, $text, "$path holds $what.");
        }
        self::assertLessThanOrEqual(self::LINES, substr_count($text, "\n"), "$path is longer than a page.");
    }

    public function test_only_tokens_ground_and_our_parts_have_styles(): void
    {
        $files = array_map(
            fn (string $path): string => basename($path, '.scss'),
            self::named('resources/scss', '*.scss'),
        );
        self::assertSame(['_ground', '_tokens', 'luftig', ...self::PARTS], [
            ...array_intersect(['_ground', '_tokens', 'luftig'], $files),
            ...array_map(fn (string $part): string => substr($part, 1), array_values(
                array_diff($files, ['_ground', '_tokens', 'luftig']),
            )),
        ]);
    }

    public function test_what_is_served_was_made_from_these_sources(): void
    {
        foreach (self::named('resources/js', '*.js') as $path) {
            $made = preg_replace("/\?[0-9a-f]{10}'/", "'", (string) file_get_contents(
                self::root().'public/js/'.basename($path),
            ));
            self::assertSame(
                file_get_contents(self::root().$path),
                $made,
                "$path was changed; bin/assets makes what is served.",
            );
        }
        foreach ([...self::named('public/css', '*.css'), ...self::named('public/js', '*.js')] as $path) {
            self::assertFileExists(self::root()."$path.br", 'bin/assets makes the smaller form of each.');
        }
    }

    /** @return iterable<string, array{string}> */
    public static function views(): iterable
    {
        foreach (self::named('resources/views', '*.blade.php') as $path) {
            yield $path => [$path];
        }
    }

    /** @return list<string> paths in the project, in order */
    private static function named(string $folder, string $name): array
    {
        $found = iterator_to_array(
            Finder::create()->files()->in(self::root().$folder)->name($name)->sortByName(),
            false,
        );

        return array_map(
            fn (SplFileInfo $file): string => $folder.'/'.str_replace('\\', '/', $file->getRelativePathname()),
            $found,
        );
    }

    private static function root(): string
    {
        return dirname(__DIR__, 2).'/';
    }
}
