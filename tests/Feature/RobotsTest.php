<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Feeds\Robots;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a site lets programs look at, by RFC 9309 and its own examples. */
final class RobotsTest extends TestCase
{
    /** @return array<string, array{string, array<string, bool>}> */
    public static function files(): array
    {
        return [
            'nothing said' => ['', ['/' => true, '/x' => true]],
            'everything forbidden' => ["User-agent: *\nDisallow: /", ['/' => false, '/x' => false]],
            'an empty rule forbids nothing' => ["User-agent: *\nDisallow:", ['/x' => true]],
            'the longest decides' => [
                "user-agent: *\nallow: /example/page/\ndisallow: /example/page/disallowed.gif",
                ['/example/page/' => true, '/example/page/disallowed.gif' => false, '/other' => true],
            ],
            'of two alike the one that allows' => [
                "User-agent: *\nDisallow: /page\nAllow: /page", ['/page' => true],
            ],
            'stars and ends' => [
                "User-agent: *\nDisallow: /*.php$\nDisallow: /a/*/b # a remark",
                ['/x.php' => false, '/x.php?y=1' => true, '/a/c/b/d' => false, '/a/b' => true],
            ],
            'our own group counts, and no other' => [
                "User-agent: *\nDisallow: /\n\nUser-Agent: other\nUser-agent: Luftig\nDisallow: /intern\n",
                ['/' => true, '/intern/x' => false],
            ],
            'several names stand for one group' => [
                "User-agent: luftig\nUser-agent: x\nDisallow: /a\nUser-agent: y\nDisallow: /b",
                ['/a' => false, '/b' => true],
            ],
            'what is no rule is nothing' => ["Sitemap: /s.xml\nDisallow: /x\n\x00\xFF", ['/x' => true]],
        ];
    }

    /** @param  array<string, bool>  $paths */
    #[DataProvider('files')]
    public function test_a_path_may_be_looked_at_or_not(string $file, array $paths): void
    {
        $robots = Robots::of($file);
        foreach ($paths as $path => $is) {
            self::assertSame($is, $robots->allow("https://a.example$path"), $path);
        }
        self::assertTrue(Robots::open()->allow('https://a.example/x'));
    }
}
