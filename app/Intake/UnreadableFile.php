<?php

declare(strict_types=1);

namespace App\Intake;

use RuntimeException;

/** A file that cannot be taken; the message is a sentence for the person who brought it. */
final class UnreadableFile extends RuntimeException
{
    public static function empty(): self
    {
        return new self('The file is empty.');
    }

    public static function workbook(): self
    {
        return new self(
            'This is a workbook of an old kind. In your spreadsheet choose “Save as” and XLSX or CSV, and bring that '
                .'file.',
        );
    }

    public static function archive(): self
    {
        return new self('This is an archive, or a workbook that was cut off. Bring an XLSX, ODS or CSV file.');
    }

    public static function largeWorkbook(): self
    {
        return new self(
            'This workbook holds more than can be unpacked. Choose “Save as” and CSV, and bring that file.',
        );
    }

    public static function binary(): self
    {
        return new self('This is not a text file. Bring a CSV file with a line of column names at its top.');
    }

    public static function encoding(string $encoding): self
    {
        return new self("The file is written in $encoding, and has characters that are none. Save it as UTF-8, and "
            .'bring '
            .'that file.');
    }

    public static function oneColumn(): self
    {
        return new self(
            'Only one column was found, and its first line names none that is known. Columns are separated by a '
                .'comma, a semicolon or a tab, and the first line names them; over a list of one column stands what '
                .'it lists, such as “domain”.',
        );
    }

    public static function manyColumns(int $columns): self
    {
        return new self('The first line names '.number_format($columns).' columns; at most '
            .number_format(Limits::COLUMNS).' are read. Leave out what is not needed, and bring it again.');
    }

    public static function manyRows(): self
    {
        return new self('The file has more than '.number_format(Limits::ROWS).' lines. Split it into parts.');
    }

    public static function heading(string $why): self
    {
        return new self("The line of column names cannot be read. $why");
    }

    public static function largeCard(int $number): self
    {
        return new self(
            "Card number $number is larger than 1 MB. Take pictures out of the cards, and bring them again.",
        );
    }

    public static function manyDrafts(int $drafts): self
    {
        return new self("$drafts files of yours wait to be checked. Bring some of them in, or put them aside, first.");
    }

    public static function noRows(): self
    {
        return new self('The file has a line of column names and nothing under it.');
    }

    public static function card(int $number, string $why): self
    {
        return new self("Card number $number cannot be read: $why");
    }

    public static function line(int $number): self
    {
        return new self("Line $number is no whole JSON object. In JSON Lines each line is one.");
    }

    public static function gone(): self
    {
        return new self('The file is no longer on this machine; bring it again.');
    }
}
