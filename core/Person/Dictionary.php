<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

use Luftig\Core\Mistake;
use Luftig\Core\Text\Fold;

/**
 * The words of titles in one language.
 *
 * A line is `meaning: words, parted by commas`. `word*` may begin a longer word, `*word` may end one; several words are
 * a phrase, and the longest phrase counts. `may end in` lists endings that a word may have and mean the same.
 */
final readonly class Dictionary
{
    /** A piece of a compound that stands inside it rather than at its beginning has at least so many letters. */
    private const INNER = 5;

    private const UMLAUTS = [
        'ä' => 'ae', 'ö' => 'oe', 'ü' => 'ue', 'ø' => 'oe', 'å' => 'aa', 'Ä' => 'Ae', 'Ö' => 'Oe', 'Ü' => 'Ue',
        'Ø' => 'Oe', 'Å' => 'Aa',
    ];

    /**
     * @param  array<string, Meaning>  $phrases  folded words, parted by spaces
     * @param  array<string, Meaning>  $beginnings
     * @param  array<string, Meaning>  $endings
     * @param  list<string>  $inflections
     */
    private function __construct(
        private array $phrases,
        private array $beginnings,
        private array $endings,
        private array $inflections,
        private int $longest,
        private Spelling $wholeWords,
        private Spelling $firstPieces,
        private Spelling $lastPieces,
    ) {
    }

    /**
     * @param  self|null  $base  what counts as well, where this one says nothing else
     *
     * @throws Mistake naming the line
     */
    public static function parse(string $text, ?self $base = null): self
    {
        $phrases = $beginnings = $endings = $inflections = [];
        foreach (explode("\n", $text) as $number => $line) {
            $line = trim($line);
            if ($line === '' || $line[0] === '#') {
                continue;
            }
            [$left, $right] = explode(':', $line, 2) + [1 => ''];
            $words = array_map(trim(...), explode(',', $right));
            if (trim($left) === 'may end in') {
                $inflections = [...$inflections, ...$words];

                continue;
            }
            try {
                $meaning = Meaning::read($left);
            } catch (Mistake $mistake) {
                throw Mistake::at('line '.($number + 1), $mistake->getMessage());
            }
            foreach ($words as $word) {
                foreach (array_unique([$word, strtr($word, self::UMLAUTS)]) as $written) {
                    $folded = implode(' ', Fold::words(trim($written, '*')));
                    if ($folded === '') {
                        continue;
                    }
                    if (str_starts_with($written, '*')) {
                        $endings[$folded] = $meaning->and($endings[$folded] ?? null);
                    } else {
                        $phrases[$folded] = $meaning->and($phrases[$folded] ?? null);
                    }
                    if (str_ends_with($written, '*')) {
                        $beginnings[$folded] = $meaning->and($beginnings[$folded] ?? null);
                    }
                }
            }
        }
        $phrases += $base === null ? [] : $base->phrases;
        $longest = $phrases === []
            ? 1
            : max(array_map(static fn (string $phrase): int => substr_count($phrase, ' ') + 1, array_keys($phrases)));

        $beginnings += $base === null ? [] : $base->beginnings;
        $endings += $base === null ? [] : $base->endings;
        $spelling = static fn (array $words): Spelling => new Spelling(array_map(strval(...), array_keys($words)));

        return new self(
            $phrases, $beginnings, $endings, $inflections, $longest, $spelling($phrases), $spelling($beginnings),
            $spelling($endings),
        );
    }

    /**
     * What the words of a part of a title mean, one after another.
     *
     * @param  list<string>  $words  folded
     * @return array{list<array{Meaning, int}>, int} meanings, each with the position of its first word; and how many
     *     letters were understood
     */
    public function read(array $words): array
    {
        $found = [];
        $letters = 0;
        for ($i = 0, $count = count($words); $i < $count;) {
            for ($length = min($this->longest, $count - $i); $length > 1; $length--) {
                $phrase = implode(' ', array_slice($words, $i, $length));
                if (isset($this->phrases[$phrase])) {
                    $found[] = [$this->phrases[$phrase], $i];
                    $letters += strlen($phrase) - $length + 1;
                    $i += $length;

                    continue 2;
                }
            }
            [$meanings, $understood] = $this->word($words[$i]);
            foreach ($meanings as $meaning) {
                $found[] = [$meaning, $i];
            }
            $letters += $understood;
            $i++;
        }

        return [$found, $letters];
    }

    /** @return array{list<Meaning>, int} */
    private function word(string $word): array
    {
        foreach ($this->forms($word) as $form) {
            if (isset($this->phrases[$form])) {
                return [[$this->phrases[$form]], strlen($word)];
            }
        }
        $best = [[], 0];
        foreach ($this->forms($word) as $form) {
            $read = $this->compound($form);
            if ($read[1] > $best[1]) {
                $best = $read;
            }
        }

        return $best[1] < strlen($word) ? $this->misspelled($word, $best) : $best;
    }

    /**
     * A word that is not understood, or not as a whole, may be one that is known, with a letter wrong.
     *
     * @param  array{list<Meaning>, int}  $best  what is understood of it as it stands
     * @return array{list<Meaning>, int}
     */
    private function misspelled(string $word, array $best): array
    {
        $meant = $this->wholeWords->nearest($word);
        if ($meant !== null) {
            return [[$this->phrases[$meant]], strlen($word)];
        }
        for ($length = strlen($word) - 3; $length > 3; $length--) {
            $ending = substr($word, -$length);
            $last = isset($this->endings[$ending]) ? $ending : $this->lastPieces->nearest($ending);
            if ($last === null) {
                continue;
            }
            $rest = rtrim(substr($word, 0, -$length), 's');
            $first = $this->beginning($rest) ?? $this->firstPieces->nearest($rest);
            if ($first !== null) {
                return [[$this->endings[$last], $this->beginnings[$first]], strlen($word)];
            }
        }
        $meant = $best[0] === [] ? $this->firstPieces->nearest($word) : null;

        return $meant === null ? $best : [[$this->beginnings[$meant]], strlen($word)];
    }

    /** @return list<string> the word, and what is left without an ending that says nothing */
    private function forms(string $word): array
    {
        $forms = [$word];
        foreach ($this->inflections as $ending) {
            if (strlen($word) > strlen($ending) + 3 && str_ends_with($word, $ending)) {
                $forms[] = substr($word, 0, -strlen($ending));
            }
        }

        return $forms;
    }

    /**
     * A word put together of others: Instandhaltungs·leiter, produktions·chef, kunnossapito·päällikkö.
     *
     * @return array{list<Meaning>, int}
     */
    private function compound(string $word): array
    {
        $meanings = [];
        $letters = 0;
        $rest = $word;
        for ($length = strlen($word) - 2; $length > 1; $length--) {
            $ending = substr($word, -$length);
            if (isset($this->endings[$ending])) {
                $meanings[] = $this->endings[$ending];
                $letters += $length;
                $rest = substr($word, 0, -$length);
                break;
            }
        }
        while (strlen($rest) > 1) {
            $part = $this->beginning($rest) ?? $this->inner($rest);
            if ($part === null) {
                break;
            }
            $meanings[] = $this->beginnings[$part];
            $letters += strlen($part);
            $rest = ltrim(substr($rest, (int) strpos($rest, $part) + strlen($part)), 's');
        }

        return [$meanings, $letters];
    }

    private function beginning(string $word): ?string
    {
        for ($length = strlen($word); $length > 1; $length--) {
            $part = substr($word, 0, $length);
            if (isset($this->beginnings[$part])) {
                return $part;
            }
        }

        return null;
    }

    /** A known piece at the end of what is not known: Glas·produktion. */
    private function inner(string $word): ?string
    {
        $word = rtrim($word, 's');
        for ($start = 2, $most = strlen($word) - self::INNER; $start <= $most; $start++) {
            $part = substr($word, $start);
            if (isset($this->beginnings[$part])) {
                return $part;
            }
        }

        return null;
    }
}
