<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** Cuts a text query into its pieces, in one pass (rule 11). */
final readonly class Tokens
{
    private const QUOTES = '“”„"«»';

    /**
     * A quoted phrase with its star; what parts alternatives; spaces; parentheses; a minus; a quote that is left open;
     * a word.
     */
    private const PIECE = '~['.self::QUOTES.'][^'.self::QUOTES.']*['.self::QUOTES.']\*?(*:quoted)'
        .'|(?:\n|,(?!\d)|(?<!\d),)(*:parts)'
        .'|[^\S\n]+(*:space)'
        .'|[()](*:parenthesis)'
        .'|-(?=[\p{L}\p{N}.('.self::QUOTES.'])(*:minus)'
        .'|['.self::QUOTES.'](*:open)'
        .'|(?:[^\s(),'.self::QUOTES.']|(?<=\d),(?=\d))+(*:word)~u';

    private const OPERATORS = ['AND', 'OR', 'NOT'];

    /**
     * @param  list<Token>  $list
     * @param  list<string>  $hints
     */
    private function __construct(public array $list, public array $hints)
    {
    }

    /** @throws QueryMistake where a quote is left open */
    public static function of(string $query): self
    {
        preg_match_all(self::PIECE, mb_scrub($query), $pieces, PREG_SET_ORDER);
        $last = self::last($pieces);
        $list = $hints = [];
        $at = 0;
        $before = 'space';
        foreach ($pieces as $i => $piece) {
            [$text, $kind] = [$piece[0], $piece['MARK'] ?? 'word'];
            $token = match ($kind) {
                'quoted' => self::quoted($text, $at),
                'parts' => new Token(',', $at),
                'parenthesis' => new Token($text === '(' ? '(' : ')', $at),
                // Right after a quote it belongs to nothing.
                'minus' => $before === 'quoted' ? null : new Token('-', $at),
                'word' => self::word($text, $at),
                'open' => throw QueryMistake::unclosedQuote($at),
                default => null,
            };
            if ($token !== null) {
                array_push($hints, ...self::hints($text, $kind, $list !== [] && $i < $last));
                $list[] = $token;
            } elseif ($kind !== 'space') {
                $hints[] = self::dropped($text);
            }
            $at += mb_strlen($text);
            $before = $kind;
        }

        return new self($list, $hints);
    }

    /** Why a piece is not looked for. */
    public static function dropped(string $piece): string
    {
        return "“{$piece}” has no letter or digit in it and is left out.";
    }

    /** @param  list<array<string>>  $pieces */
    private static function last(array $pieces): int
    {
        for ($i = count($pieces) - 1; $i > 0 && trim($pieces[$i][0]) === ''; $i--);

        return $i;
    }

    private static function quoted(string $text, int $at): ?Token
    {
        $words = Fold::words($text);

        return $words === [] ? null : new Token('words', $at, $words, str_ends_with($text, '*'), true);
    }

    private static function word(string $text, int $at): ?Token
    {
        if ($text === 'AND' || $text === 'OR' || $text === 'NOT') {
            return new Token($text, $at);
        }
        $words = Fold::words($text);

        return $words === [] ? null : new Token('words', $at, $words, str_ends_with($text, '*'));
    }

    /**
     * What is read in another way than it might have been meant.
     *
     * @param  bool  $between  other terms
     * @return list<string>
     */
    private static function hints(string $text, string $kind, bool $between): array
    {
        $hints = [];
        if ($kind === 'quoted' && preg_match('~[«»]~u', $text) === 1) {
            $hints[] = '« and » are read as quotes.';
        }
        if ($kind !== 'word') {
            return $hints;
        }
        if ($between && in_array(strtoupper($text), self::OPERATORS, true) && $text === strtolower($text)) {
            $hints[] = "“{$text}” is read as a word; write ".strtoupper($text).' to join or exclude.';
        }
        if (preg_match('~^[-‐‑‒–—―−]+(?=[\p{L}\p{N}])~u', $text, $dash) === 1) {
            $word = mb_substr($text, mb_strlen($dash[0]));
            $hints[] = "“{$dash[0]}” before “{$word}” is no minus and is left out; write -$word to exclude.";
        }
        if (preg_match('~\*(?=.*[\p{L}\p{N}])~u', $text) === 1) {
            $hints[] = "A star counts only at the end of a word; in “{$text}” it is read as a space.";
        }

        return $hints;
    }
}
