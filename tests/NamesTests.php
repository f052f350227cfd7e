<?php

declare(strict_types=1);

namespace Tests;

/** For documents that say which test shows what. */
trait NamesTests
{
    /** Whether each test that a cell names is there, and it names one. */
    protected static function assertNamesTests(string $cell, string $what): void
    {
        preg_match_all('/(\w+Test)(?:::(\w+))?/', $cell, $tests, PREG_SET_ORDER);
        self::assertNotSame([], $tests, "$what names its test");
        foreach ($tests as $test) {
            $text = implode('', array_map(file_get_contents(...), glob(__DIR__."/*/$test[1].php") ?: []));
            self::assertStringContainsString(
                isset($test[2]) ? "function $test[2](" : "class $test[1] ", $text, "$what names $test[0]",
            );
        }
    }
}
