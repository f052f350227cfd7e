<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** Cuts a text query into its pieces. */
final readonly class Tokens
{
    /**
     * @param  list<Token>  $list
     * @param  list<string>  $hints
     */
    private function __construct(public array $list, public array $hints)
    {
    }

    /** @throws QueryMistake */
    public static function of(string $query): self
    {
        $query = mb_scrub($query);
        $list = [];
        $hints = [];
        preg_match_all('~\s+|[()]|-(?=[\p{L}\p{N}.(“”„"])|[“”„"]|[^\s()“”„"]+~u', $query, $pieces, PREG_OFFSET_CAPTURE);
        $pieces = $pieces[0];
        for ($i = 0, $count = count($pieces); $i < $count; $i++) {
            [$piece, $byte] = $pieces[$i];
            $at = mb_strlen(substr($query, 0, $byte));
            if (trim($piece) === '') {
                continue;
            }
            if ($piece === '(' || $piece === ')' || $piece === '-' && self::opens($query, $byte)) {
                $list[] = new Token($piece, $at);

                continue;
            }
            if (preg_match('~^[“”„"]$~u', $piece)) {
                $start = $byte + strlen($piece);
                if (! preg_match('~[“”„"]~u', $query, $end, PREG_OFFSET_CAPTURE, $start)) {
                    throw QueryMistake::unclosedQuote($at);
                }
                $words = Fold::words(substr($query, $start, $end[0][1] - $start));
                $after = $end[0][1] + strlen($end[0][0]);
                $open = substr($query, $after, 1) === '*';
                if ($words === []) {
                    $hints[] = self::dropped(substr($query, $byte, $after - $byte));
                } else {
                    $list[] = new Token('words', $at, $words, $open);
                }
                $after += $open ? 1 : 0;
                while ($i + 1 < $count && $pieces[$i + 1][1] < $after) {
                    $i++;
                }
                // What follows a quote or a star without a space is a piece of its own.
                if ($pieces[$i][1] < $after && $pieces[$i][1] + strlen($pieces[$i][0]) > $after) {
                    $pieces[$i] = [substr($query, $after, $pieces[$i][1] + strlen($pieces[$i][0]) - $after), $after];
                    $i--;
                }

                continue;
            }
            if ($piece === 'AND' || $piece === 'OR' || $piece === 'NOT') {
                $list[] = new Token($piece, $at);

                continue;
            }
            $words = Fold::words($piece);
            if ($words === []) {
                $hints[] = self::dropped($piece);

                continue;
            }
            if (in_array($piece, ['and', 'or', 'not'], true) && $list !== [] && trim(substr($query, $byte + strlen($piece))) !== '') {
                $hints[] = "“{$piece}” is read as a word; write ".strtoupper($piece).' to join or exclude.';
            }
            $list[] = new Token('words', $at, $words, str_ends_with($piece, '*'));
        }

        return new self($list, $hints);
    }

    /** Why a piece is not looked for. */
    public static function dropped(string $piece): string
    {
        return "“{$piece}” has no letter or digit in it and is left out.";
    }

    /** Whether a minus stands before a piece, and not within a word. */
    private static function opens(string $query, int $byte): bool
    {
        return ($byte === 0 || preg_match('~[\s(]$~', substr($query, 0, $byte)) === 1)
            && preg_match('~^-[\p{L}\p{N}.(“”„"]~u', substr($query, $byte)) === 1;
    }
}
