<?php

declare(strict_types=1);

namespace App\Intake\Workbook;

use App\Intake\Limits;
use App\Intake\UnreadableFile;
use Generator;
use XMLReader;
use ZipArchive;

/** The parts of a workbook, read as streams. */
final readonly class Archive
{
    /** @param  array<string, int>  $sizes  bytes of each part, unpacked */
    private function __construct(private string $path, private array $sizes)
    {
    }

    /** @throws UnreadableFile where it is none, or larger than can be unpacked */
    public static function open(string $path): self
    {
        $archive = new ZipArchive;
        if ($archive->open($path, ZipArchive::RDONLY) !== true) {
            throw UnreadableFile::archive();
        }
        $sizes = [];
        for ($at = 0; $at < $archive->numFiles; $at++) {
            $part = $archive->statIndex($at) ?: throw UnreadableFile::archive();
            if ($part['size'] > Limits::PART) {
                throw UnreadableFile::largeWorkbook();
            }
            $sizes[$part['name']] = $part['size'];
        }
        $archive->close();

        return new self($path, $sizes);
    }

    public function has(string $part): bool
    {
        return isset($this->sizes[$part]);
    }

    /** Bytes, unpacked; 0 where there is none. */
    public function size(string $part): int
    {
        return $this->sizes[$part] ?? 0;
    }

    public function reader(string $part): XMLReader
    {
        $reader = XMLReader::open("zip://{$this->path}#$part", null, LIBXML_NONET | LIBXML_NOERROR | LIBXML_NOWARNING);

        return $reader instanceof XMLReader ? $reader : throw UnreadableFile::archive();
    }

    /** @return Generator<int, XMLReader> at each element of a name */
    public function elements(string $part, string $name): Generator
    {
        $reader = $this->reader($part);
        while ($reader->read()) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === $name) {
                yield $reader;
            }
        }
        $reader->close();
    }
}
