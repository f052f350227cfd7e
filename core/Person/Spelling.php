<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/**
 * Finds the word that somebody meant and misspelled by one letter: left out, doubled, another, or two of them swapped.
 *
 * Two words that differ so have a form in common that one gets by leaving a letter out of one or both (Garbe 2012), so
 * that a word is looked up and not compared with each of them. Short words are not guessed at: too many are one letter
 * apart.
 */
final class Spelling
{
    /** Letters that a word has at least. */
    private const LEAST = 7;

    /** @var array<string, list<string>>|null form with a letter left out → words; made when it is first asked */
    private ?array $forms = null;

    /** @param  list<string>  $words  folded */
    public function __construct(private readonly array $words)
    {
    }

    /** @return string|null null: no word, or several, are so near */
    public function nearest(string $word): ?string
    {
        if (strlen($word) < self::LEAST) {
            return null;
        }
        $this->forms ??= $this->forms();
        $near = [];
        foreach (self::without($word) as $form) {
            foreach ($this->forms[$form] ?? [] as $candidate) {
                if (self::isOneApart($word, $candidate)) {
                    $near[$candidate] = true;
                }
            }
        }

        return count($near) === 1 ? (string) array_key_first($near) : null;
    }

    /** @return array<string, list<string>> */
    private function forms(): array
    {
        $forms = [];
        foreach ($this->words as $word) {
            if (strlen($word) >= self::LEAST && ! str_contains($word, ' ')) {
                foreach (self::without($word) as $form) {
                    $forms[$form][] = $word;
                }
            }
        }

        return $forms;
    }

    /** @return list<string> the word, and the word without each of its letters but the first, which people get right */
    private static function without(string $word): array
    {
        $forms = [$word];
        for ($i = 1, $length = strlen($word); $i < $length; $i++) {
            $forms[] = substr($word, 0, $i).substr($word, $i + 1);
        }

        return array_values(array_unique($forms));
    }

    private static function isOneApart(string $a, string $b): bool
    {
        if ($a === $b) {
            return false;
        }
        $distance = levenshtein($a, $b);
        if ($distance !== 2 || strlen($a) !== strlen($b)) {
            return $distance === 1;
        }
        for ($i = 0; $a[$i] === $b[$i]; $i++);

        return substr($a, $i, 2) === strrev(substr($b, $i, 2)) && substr($a, $i + 2) === substr($b, $i + 2);
    }
}
