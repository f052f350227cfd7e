<?php

declare(strict_types=1);

namespace App\Intake\Workbook;

use XMLReader;

/** A cell of a sheet as it is shown there: a day as a day, a share as per cent, a postal code with its zeros. */
final readonly class Cell
{
    /** Forms that a workbook names by number only; months and days may stand the other way round there. */
    public const BUILT_IN = [
        '9' => '0%', '10' => '0.00%', '14' => 'yyyy-mm-dd', '15' => 'd-mmm-yy', '16' => 'd-mmm', '17' => 'mmm-yy',
        '22' => 'yyyy-mm-dd h:mm', '27' => 'yyyy-mm', '30' => 'm-d-yy', '31' => 'yyyy-mm-dd', '36' => 'yyyy-mm',
        '50' => 'yyyy-mm', '57' => 'yyyy-mm',
    ];

    /** Days from the first day of a count to 1 January 1970. */
    private const EPOCH = 25_569;

    private const EPOCH_1904 = 24_107;

    /** Digits of a number that a spreadsheet keeps. */
    private const DIGITS = 15;

    /**
     * @param  list<string>  $strings  that cells share
     * @param  list<string>  $formats  the form of numbers of each style
     * @param  bool  $from1904  whether days are counted from 1904
     */
    public function __construct(private array $strings, private array $formats, public bool $from1904)
    {
    }

    /** @return int|null from 0; null where the reference names none */
    public static function column(string $reference): ?int
    {
        if (preg_match('/^([A-Z]{1,3})\d*$/', $reference, $letters) !== 1) {
            return null;
        }
        $column = 0;
        foreach (str_split($letters[1]) as $letter) {
            $column = 26 * $column + ord($letter) - 64;
        }

        return $column - 1;
    }

    /** What the reader stands at, which is left behind it. */
    public function text(XMLReader $reader): string
    {
        $type = (string) $reader->getAttribute('t');
        $style = (int) $reader->getAttribute('s');
        if ($type === 'inlineStr') {
            return self::oneLine(self::runs($reader));
        }
        $value = self::value($reader);

        return match (true) {
            $value === '' => '',
            $type === 's' => self::oneLine($this->strings[(int) $value] ?? ''),
            $type === 'b' => $value === '1' ? 'TRUE' : 'FALSE',
            in_array($type, ['str', 'e', 'd'], true), ! is_numeric($value) => self::oneLine($value),
            default => $this->number($value, $this->formats[$style] ?? ''),
        };
    }

    /** The text of an element, of all its runs but not of how it is spoken. */
    public static function runs(XMLReader $reader): string
    {
        $text = '';
        $spoken = false;
        $name = $reader->localName;
        if ($reader->isEmptyElement) {
            return '';
        }
        while ($reader->read() && ! ($reader->nodeType === XMLReader::END_ELEMENT && $reader->localName === $name)) {
            if ($reader->localName === 'rPh') {
                $spoken = $reader->nodeType === XMLReader::ELEMENT;
            } elseif (! $spoken && self::isText($reader)) {
                $text .= $reader->value;
            }
        }

        return $text;
    }

    /** What stands in <v>, and not the formula that made it. */
    private static function value(XMLReader $reader): string
    {
        $value = '';
        $within = false;
        if ($reader->isEmptyElement) {
            return '';
        }
        while ($reader->read() && ! ($reader->nodeType === XMLReader::END_ELEMENT && $reader->localName === 'c')) {
            if ($reader->localName === 'v') {
                $within = $reader->nodeType === XMLReader::ELEMENT && ! $reader->isEmptyElement;
            } elseif ($within && self::isText($reader)) {
                $value .= $reader->value;
            }
        }

        return $value;
    }

    public static function isText(XMLReader $reader): bool
    {
        return in_array(
            $reader->nodeType,
            [XMLReader::TEXT, XMLReader::CDATA, XMLReader::SIGNIFICANT_WHITESPACE, XMLReader::WHITESPACE],
            true,
        );
    }

    private function number(string $value, string $format): string
    {
        // Without what is quoted, escaped or a colour.
        $plain = strtolower((string) preg_replace('/"[^"]*"|\\\\.|\[[^\]]*\]/', '', $format));
        $number = (float) $value;

        return match (true) {
            preg_match('/[dy]|mmm/', $plain) === 1 => $this->day($number),
            str_contains($plain, '%') => self::plain($number * 100).' %',
            preg_match('/^0{2,}$/', $plain) === 1 => str_pad(self::plain($number), strlen($plain), '0', STR_PAD_LEFT),
            default => self::plain($number),
        };
    }

    private function day(float $number): string
    {
        $time = (int) round(($number - ($this->from1904 ? self::EPOCH_1904 : self::EPOCH)) * 86_400);

        return gmdate($time % 86_400 === 0 ? 'Y-m-d' : 'Y-m-d H:i:s', $time);
    }

    /** As a person would type it: no power of ten, and no digits that reckoning left behind. */
    public static function plain(float $number): string
    {
        $rounded = (float) sprintf('%.'.(self::DIGITS - 1).'e', $number);
        if (floor($rounded) === $rounded && abs($rounded) < 10 ** self::DIGITS) {
            return number_format($rounded, 0, '', '');
        }

        return str_contains((string) $rounded, 'E') ? sprintf('%.10F', $rounded) : (string) $rounded;
    }

    /** A line of a file is a row of the sheet: what stood in several lines is parted by slashes. */
    public static function oneLine(string $text): string
    {
        return (string) preg_replace('/\s*[\r\n]+\s*/', ' / ', trim($text));
    }
}
