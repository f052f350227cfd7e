<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Reading\Day;
use App\Support\Figure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Numbers and dates as people write them. */
final class ReadingTest extends TestCase
{
    /** @return list<array{string, float|null, string|null, string|null}> */
    public static function figures(): array
    {
        return [
            ['1.250,5', 1250.5, null, null], ['1,250.5', 1250.5, null, null], ['1 250', 1250, null, null],
            ["1'250", 1250, null, null], ['1.250', 1250, null, null], ['1,25', 1.25, null, null],
            ['.9', .9, null, null],
            ['1,2 Mio', 1.2e6, null, null], ['EUR 12,5 Mio', 12.5e6, null, 'EUR'], ['45 MSEK', 45e6, null, 'SEK'],
            ['3 mrd', 3e9, null, null], ['2.5k', 2500, null, null], ['£3m', 3e6, null, 'GBP'],
            ['ca. 300', 300, 'ca. 300', null], ['~40', 40, '~40', null], ['500+', 500, '500+', null],
            ['50–100', 75, '50–100', null], ['1–2 Mio', 1.5e6, '1–2 Mio', null], ['50 to 100', 75, '50 to 100', null],
            ['12 %', .12, null, null], ['-3,5 %', -.035, null, null], ['many', null, null, null],
            ['3 blind mice', null, null, null], ['1.2.3', null, null, null],
        ];
    }

    #[DataProvider('figures')]
    public function test_a_number(string $text, ?float $value, ?string $given, ?string $currency): void
    {
        $figure = Figure::read($text);

        self::assertSame([$given, $currency], [$figure?->given, $figure?->currency]);
        $value === null ? self::assertNull($figure) : self::assertEqualsWithDelta($value, $figure?->value, 1e-9);
    }

    /** @return list<array{string, string|null}> */
    public static function days(): array
    {
        return [
            ['2026-11-17', '2026-11-17 00:00:00'], ['2026-11-17T10:00:00+01:00', '2026-11-17 09:00:00'],
            ['17.11.2026', '2026-11-17 00:00:00'], ['5/4/2026', '2026-04-05 00:00:00'],
            ['11/17/2026', '2026-11-17 00:00:00'],
            ['3/2025', '2025-03-01 00:00:00'], ['2025', '2025-01-01 00:00:00'],
            ['17. März 2026', '2026-03-17 00:00:00'], ['17 listopada 2026', '2026-11-17 00:00:00'],
            ['Nov 17, 2026', '2026-11-17 00:00:00'], ['45978', '2025-11-17 00:00:00'],
            ['31.02.2026', null], ['2026-02-30', null], ['soon', null], ['99/99/2026', null],
        ];
    }

    #[DataProvider('days')]
    public function test_a_date(string $text, ?string $day): void
    {
        self::assertSame($day, Day::read($text));
    }
}
