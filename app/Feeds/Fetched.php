<?php

declare(strict_types=1);

namespace App\Feeds;

/** An answer of a source, in a file that goes with it. */
final class Fetched
{
    private const SNIFFED = 1024;

    /** @param  array<string, string>  $headers  in lower case */
    public function __construct(
        public readonly string $address,
        public readonly string $path,
        public readonly array $headers = [],
        public readonly bool $isUnchanged = false,
    ) {
    }

    public function __destruct()
    {
        @unlink($this->path);
    }

    /** The whole of it, in UTF-8 whatever it says of itself. */
    public function text(): string
    {
        return self::utf8((string) file_get_contents($this->path), $this->headers['content-type'] ?? '');
    }

    /**
     * Line by line, in UTF-8; of one that is longer only the beginning.
     *
     * @param  int<1, max>  $longest  bytes
     * @return iterable<string>
     */
    public function lines(int $longest): iterable
    {
        $file = fopen($this->path, 'rb');
        while ($file !== false && ($line = fgets($file, $longest + 2)) !== false) {
            $isWhole = str_ends_with($line, "\n") || feof($file);
            while (! $isWhole && ($rest = fgets($file, 65_536)) !== false) {
                $isWhole = str_ends_with($rest, "\n");
            }
            yield self::utf8($line, $this->headers['content-type'] ?? '');
        }
        $file === false ?: fclose($file);
    }

    /** How it begins, to tell what it is. */
    public function beginning(): string
    {
        return ltrim((string) file_get_contents($this->path, false, null, 0, self::SNIFFED), "\xEF\xBB\xBF \t\r\n");
    }

    /** What claims to be UTF-8 and is not was most likely written by an old program of western Europe. */
    private static function utf8(string $bytes, string $type): string
    {
        $bytes = str_starts_with($bytes, "\xEF\xBB\xBF") ? substr($bytes, 3) : $bytes;
        if (mb_check_encoding($bytes, 'UTF-8')) {
            return $bytes;
        }
        $said = preg_match('~charset="?([\w-]+)~i', $type, $found) === 1 ? strtolower($found[1]) : '';
        $known = array_map(strtolower(...), mb_list_encodings());

        return (string) mb_convert_encoding(
            $bytes,
            'UTF-8',
            $said !== '' && $said !== 'utf-8' && in_array($said, $known, true) ? $said : 'Windows-1252',
        );
    }
}
