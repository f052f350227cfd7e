<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

use Luftig\Core\Text\Fold;

/**
 * The texts in which an account's words stand. One query is asked of all of them, or of some; a phrase lies within one.
 */
enum Passage: string
{
    case Name = 'name';
    case Keywords = 'keywords';
    case Description = 'description';
    case Site = 'site';

    private const BETWEEN = "\x1F";

    /** All texts as one line, in which each keeps its place. */
    public static function line(
        ?string $name,
        ?string $keywords,
        ?string $description,
        ?string $site = null,
    ): string {
        return implode(self::BETWEEN, array_map(
            static fn (?string $text): string => Fold::line((string) $text),
            [$name, $keywords, $description, $site],
        ));
    }

    /** In which of them a position of a text lies that has such lines. */
    public static function at(string $lines, int $position): self
    {
        $end = $position > 0 ? strrpos($lines, "\n", $position - strlen($lines)) : false;
        $start = $end === false ? 0 : $end + 1;

        return self::cases()[substr_count($lines, self::BETWEEN, $start, $position - $start)];
    }

    /**
     * Those in which anything stands.
     *
     * @return list<self>
     */
    public static function filled(string $line): array
    {
        return array_map(self::from(...), array_keys(
            array_filter(self::parts($line), static fn (string $part): bool => trim($part) !== ''),
        ));
    }

    /**
     * As a condition names them.
     *
     * @return list<self>
     */
    public static function named(string $names): array
    {
        return array_values(array_filter(array_map(self::tryFrom(...), explode(',', $names))));
    }

    public function label(): string
    {
        return match ($this) {
            self::Name => 'name',
            self::Keywords => 'keywords',
            self::Description => 'description',
            self::Site => 'what their pages say',
        };
    }

    /** @return array<string, string> */
    private static function parts(string $line): array
    {
        return array_combine(
            array_column(self::cases(), 'value'),
            array_pad(explode(self::BETWEEN, $line), count(self::cases()), ''),
        );
    }
}
