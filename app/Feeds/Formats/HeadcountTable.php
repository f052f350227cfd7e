<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Format;
use App\Feeds\Found;
use App\Feeds\Portion;
use App\Feeds\Unreadable;
use App\Models\ItemKind;
use Luftig\Core\Company\Domain;
use Luftig\Core\Person\BusinessFunction;

/** Headcounts as CSV: domain, month, function (empty: all), heads. */
final class HeadcountTable implements Format
{
    private const COLUMNS = ['domain', 'month', 'function', 'heads'];

    private const LONGEST = 10_000;

    private const WRONG = 'The line does not tell how many heads a domain had in a month, in all or in a function that '
        .'is known.';

    public static function name(): string
    {
        return 'headcounts';
    }

    public static function label(): string
    {
        return 'Headcounts by month and function, as CSV';
    }

    public static function kind(): ItemKind
    {
        return ItemKind::Heads;
    }

    public function read(Fetched $answer, Cursor $cursor): Portion
    {
        $months = $raw = $wrong = [];
        $at = null;
        foreach ($answer->lines(self::LONGEST) as $line) {
            $cells = array_map(
                static fn (?string $cell): string => trim((string) $cell),
                str_getcsv(rtrim($line, "\r\n"), ',', '"', ''),
            );
            if ($at === null) {
                $at = array_flip(array_map(mb_strtolower(...), $cells));
                if (array_diff(['domain', 'month', 'heads'], array_keys($at)) !== []) {
                    throw new Unreadable('The first line names no columns domain, month and heads.');
                }

                continue;
            }
            $row = [];
            foreach (self::COLUMNS as $column) {
                $row[$column] = $cells[$at[$column] ?? -1] ?? '';
            }
            $domain = Domain::from($row['domain'])?->name;
            $function = $row['function'] === '' ? '' : BusinessFunction::named($row['function'])?->value;
            $isRead = $domain !== null && $function !== null
                && preg_match('/^\d{4}-(0[1-9]|1[0-2])$/', $row['month']) === 1
                && preg_match('/^\d{1,7}$/', $row['heads']) === 1;
            if ($isRead) {
                $months[$domain][$function][$row['month']] = (int) $row['heads'];
                $raw[$domain] = ($raw[$domain] ?? '').$line;
            } elseif (trim($line) !== '') {
                $says = mb_strimwidth(trim($line), 0, 80, '…');
                $wrong[] = new Found(sha1($line), $says, [], $line, refused: self::WRONG);
            }
        }

        return new Portion([...$this->items($months, $raw), ...$wrong]);
    }

    /**
     * @param  array<string, array<string, array<string, int>>>  $months  domain → function → month → heads
     * @param  array<string, string>  $raw
     * @return iterable<Found>
     */
    private function items(array $months, array $raw): iterable
    {
        foreach ($months as $domain => $functions) {
            foreach ($functions as $function => $heads) {
                ksort($heads);
                $functions[$function] = $heads;
            }
            yield new Found(
                (string) $domain, "Headcounts of $domain", ['domain' => (string) $domain, 'months' => $functions],
                $raw[$domain],
            );
        }
    }
}
