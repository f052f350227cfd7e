<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Company\Industries;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Person\TitleReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rules 4 and 7 beyond factories: practices, hauliers, agencies, schools, hotels, crafts. */
final class OtherTradesTest extends TestCase
{
    private const COUNTRIES = ['zahnarztpraxen' => 'DE', 'expediteurs' => 'NL', 'software-agencies' => 'GB'];

    /** @return iterable<string, array{string, string, string, string}> */
    public static function labelled(): iterable
    {
        foreach (file(__DIR__.'/titles/trades.txt', FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            if (! str_starts_with($line, '#')) {
                [$title, $country, $seniority, $functions] = array_map(trim(...), explode('|', $line));
                yield "$title, $country" => [$title, $country, $seniority, $functions];
            }
        }
    }

    #[DataProvider('labelled')]
    public function test_titles_of_every_trade(
        string $title,
        string $country,
        string $seniority,
        string $functions,
    ): void {
        $read = TitleReader::standard()->read($title, $country, 120);
        $names = array_map(fn (BusinessFunction $function): string => $function->value, $read->functions());
        sort($names);

        self::assertSame([$seniority, $functions], [$read->seniority->value, implode(', ', $names)]);
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function teams(): iterable
    {
        $path = dirname(__DIR__).'/data/trades/expected.json';
        $all = json_decode((string) file_get_contents($path), true, 64, JSON_THROW_ON_ERROR);
        foreach ($all['trades'] as $team) {
            yield $team['folder'] => [self::COUNTRIES[$team['folder']], $team];
        }
    }

    /** @param  array{titles: list<string>, unknown: array{titles: array<string, int>}}  $team */
    #[DataProvider('teams')]
    public function test_only_planted_titles_stay_unknown(string $country, array $team): void
    {
        $unread = fn (string $title): bool => TitleReader::standard()->read($title, $country, 25)->isUnknown();

        self::assertGreaterThan(35, count($team['titles']));
        self::assertSame([], array_values(array_filter($team['titles'], $unread)));
        $planted = array_map(strval(...), array_keys($team['unknown']['titles']));
        self::assertSame($planted, array_values(array_filter($planted, $unread)));
    }

    /** @param  array{labels: array<string, array{starts: list<string>}>, unknown: array<string, mixed>}  $team */
    #[DataProvider('teams')]
    public function test_ordinary_labels_of_industries_are_read(string $country, array $team): void
    {
        foreach ($team['labels'] as $label => $wanted) {
            [$code, $isSure] = Industries::read((string) $label);
            self::assertTrue($isSure, "$label, in $country");
            self::assertContains(substr((string) $code, 0, 2), $wanted['starts'], (string) $label);
        }
        foreach (array_keys((array) $team['unknown']['labels']) as $label) {
            self::assertSame([null, false], Industries::read((string) $label));
        }
    }

    public function test_a_function_keeps_its_place_in_what_is_stored(): void
    {
        self::assertSame(1 << 18, BusinessFunction::Administration->bit());
        self::assertSame(1 << 23, BusinessFunction::Delivery->bit());
        self::assertSame(Seniority::Head, TitleReader::standard()->read('Pflegedienstleitung', 'DE')->seniority);
    }
}
