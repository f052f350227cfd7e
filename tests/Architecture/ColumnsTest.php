<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What is read side by side fits side by side. */
final class ColumnsTest extends TestCase
{
    private const MOST = 120;

    private const FOLDERS = [
        'app', 'bench', 'bin', 'bootstrap', 'config', 'core', 'database', 'deploy', 'resources', 'routes', 'standins',
        'tests',
    ];

    public function test_lines_end_at_120_columns(): void
    {
        $root = dirname(__DIR__, 2);
        $files = Finder::create()->files()->in(array_map(fn (string $one): string => "$root/$one", self::FOLDERS))
            // Lists of words, and what others wrote.
            ->exclude(['cache', 'data', 'vendor'])->name(['*.php', '*.js', '*.scss', '/^[a-z-]+$/'])
            ->append(["$root/luftig", "$root/server.php"]);
        $long = [];
        foreach ($files as $path => $_) {
            foreach (file((string) $path) ?: [] as $at => $line) {
                if (mb_strlen(rtrim($line, "\n")) > self::MOST) {
                    $long[] = substr((string) $path, strlen($root) + 1).':'.($at + 1);
                }
            }
        }
        self::assertGreaterThan(1200, iterator_count($files));
        self::assertSame([], $long);
    }
}
