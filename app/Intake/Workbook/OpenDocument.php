<?php

declare(strict_types=1);

namespace App\Intake\Workbook;

use App\Intake\Limits;
use App\Intake\UnreadableFile;
use Generator;
use XMLReader;

/**
 * Sheets of OpenDocument (ISO/IEC 26300). They stand one behind the other in one part; what is the same in several rows
 * or cells side by side is written once, with how often.
 */
final readonly class OpenDocument implements Sheets
{
    public const PART = 'content.xml';

    private const NAMESPACE = 'urn:oasis:names:tc:opendocument:xmlns:%s:1.0';

    private const CELLS = ['table-cell', 'covered-table-cell'];

    /** @var list<string> */
    private array $names;

    public function __construct(private Archive $archive)
    {
        $names = [];
        foreach ($archive->elements(self::PART, 'table') as $reader) {
            $names[] = self::given($reader, 'table', 'name');
        }
        $this->names = array_values(array_unique($names));
    }

    public function names(): array
    {
        return $this->names;
    }

    public function isFrom1904(): bool
    {
        return false;
    }

    public function rows(string $sheet): Generator
    {
        foreach ($this->archive->elements(self::PART, 'table') as $reader) {
            if (self::given($reader, 'table', 'name') === $sheet) {
                yield from $reader->isEmptyElement ? [] : $this->rowsOf($reader);

                return;
            }
        }
    }

    /** @return Generator<int, list<string>> */
    private function rowsOf(XMLReader $reader): Generator
    {
        $number = 1;
        while ($reader->read() && ! self::isEndOf($reader, 'table')) {
            if ($reader->nodeType !== XMLReader::ELEMENT || $reader->localName !== 'table-row') {
                continue;
            }
            $times = max(1, (int) self::given($reader, 'table', 'number-rows-repeated'));
            $row = $reader->isEmptyElement ? [] : $this->row($reader);
            // A sheet is filled up to its end with empty rows.
            for ($i = 0; $row !== [] && $i < $times; $i++) {
                yield $number + $i => $row;
            }
            $number += $times;
        }
    }

    /** @return list<string> */
    private function row(XMLReader $reader): array
    {
        $cells = [];
        $at = 0;
        while ($reader->read() && ! self::isEndOf($reader, 'table-row')) {
            if ($reader->nodeType !== XMLReader::ELEMENT || ! in_array($reader->localName, self::CELLS, true)) {
                continue;
            }
            $times = max(1, (int) self::given($reader, 'table', 'number-columns-repeated'));
            $text = $this->cell($reader);
            if ($text !== '') {
                if ($at + $times > Limits::COLUMNS) {
                    throw UnreadableFile::manyColumns($at + $times);
                }
                $cells += array_fill($at, $times, $text);
            }
            $at += $times;
        }

        return $cells === [] ? [] : array_map(
            fn (int $place): string => $cells[$place] ?? '',
            range(0, (int) max(array_keys($cells))),
        );
    }

    /** As it is shown, but days, shares and numbers as a person would type them in any country. */
    private function cell(XMLReader $reader): string
    {
        $is = fn (string $name): string => self::given($reader, 'office', $name);
        [$type, $value, $currency] = [$is('value-type'), $is('value'), $is('currency')];
        [$day, $isTrue] = [$is('date-value'), $is('boolean-value') === 'true'];
        $shown = self::shown($reader);

        return match (true) {
            $type === 'date' && $day !== '' => str_replace(['T00:00:00', 'T'], ['', ' '], substr($day, 0, 19)),
            $type === 'boolean' => $isTrue ? 'TRUE' : 'FALSE',
            ! is_numeric($value) => $shown,
            $type === 'percentage' => Cell::plain((float) $value * 100).' %',
            $type === 'currency' => trim(Cell::plain((float) $value)." $currency"),
            // A postal code with its zeros.
            $type === 'float' && preg_match('/^0\d+$/', $shown) === 1 => $shown,
            $type === 'float' => Cell::plain((float) $value),
            default => $shown,
        };
    }

    /** The paragraphs of a cell, of all their parts but not of remarks about it. */
    private static function shown(XMLReader $reader): string
    {
        $text = '';
        $remarks = 0;
        $name = $reader->localName;
        if ($reader->isEmptyElement) {
            return '';
        }
        while ($reader->read() && ! self::isEndOf($reader, $name)) {
            $begins = $reader->nodeType === XMLReader::ELEMENT;
            if ($reader->localName === 'annotation') {
                $remarks += $reader->isEmptyElement ? 0 : ($begins ? 1 : -1);
            } elseif ($remarks === 0) {
                $text .= match (true) {
                    $begins && $reader->localName === 's' => str_repeat(
                        ' ', min(100, max(1, (int) self::given($reader, 'text', 'c'))),
                    ),
                    $begins && $reader->localName === 'tab' => ' ',
                    $begins && $reader->localName === 'line-break', $reader->localName === 'p' => "\n",
                    Cell::isText($reader) => $reader->value,
                    default => '',
                };
            }
        }

        return Cell::oneLine($text);
    }

    private static function given(XMLReader $reader, string $of, string $name): string
    {
        return (string) $reader->getAttributeNs($name, sprintf(self::NAMESPACE, $of));
    }

    private static function isEndOf(XMLReader $reader, string $name): bool
    {
        return $reader->nodeType === XMLReader::END_ELEMENT && $reader->localName === $name;
    }
}
