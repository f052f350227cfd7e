<?php

declare(strict_types=1);

namespace Luftig\Core\Likeness;

use Luftig\Core\Mistake;
use Luftig\Core\Text\Grams;

/**
 * How alike companies are to examples (rule 14): .6 · cosine of their texts to the mean of the examples less a quarter
 * of the mean of the counter-examples, .25 · closeness in the tree of industries, .15 · closeness in log headcount,
 * each in the mean over the examples.
 *
 * The cosine is taken with the length of the examples' mean alone, so that a counter-example only ever takes away:
 * with the length of the difference, a second counter-example could raise what it speaks against.
 */
final readonly class Lookalikes
{
    private const TEXT = .6;

    private const INDUSTRY = .25;

    private const SIZE = .15;

    private const COUNTER = .25;

    private const PHRASES = 5;

    /**
     * @param  list<Profile>  $examples
     * @param  list<array<string, float>>  $vectors  of the examples
     * @param  array<string, float>  $query  phrase → weight; below 0 what only counter-examples say
     */
    private function __construct(
        private array $examples,
        private array $vectors,
        public array $query,
        private Frequencies $frequencies,
    ) {
    }

    /**
     * @param  list<Profile>  $examples  a handful
     * @param  list<Profile>  $counterExamples
     *
     * @throws Mistake without an example
     */
    public static function to(array $examples, array $counterExamples, Frequencies $frequencies): self
    {
        if ($examples === []) {
            throw Mistake::at('examples', 'Name at least one example.');
        }
        // In an order of its own, so that sums are the same to the last digit whatever the order they came in.
        $inOrder = static function (array $profiles): array {
            usort($profiles, static fn (Profile $a, Profile $b): int => (string) $a->id <=> (string) $b->id);

            return $profiles;
        };
        $examples = $inOrder($examples);
        $vectors = array_map(static fn (Profile $one): array => $frequencies->vector($one->grams), $examples);
        $query = self::mean($vectors);
        $length = sqrt(array_sum(array_map(static fn (float $weight): float => $weight ** 2, $query)));
        $counter = self::mean(array_map(
            static fn (Profile $one): array => $frequencies->vector($one->grams), $inOrder($counterExamples),
        ));
        foreach ($counter as $phrase => $weight) {
            $query[$phrase] = ($query[$phrase] ?? 0.0) - self::COUNTER * $weight;
        }

        return new self($examples, $vectors, $length > 0.0 ? array_map(
            static fn (float $weight): float => $weight / $length, $query,
        ) : [], $frequencies);
    }

    public function of(Profile $company): Alike
    {
        $vector = $this->frequencies->vector($company->grams);
        $shared = [];
        $cosine = 0.0;
        foreach (count($vector) < count($this->query) ? $vector : $this->query as $phrase => $_) {
            $part = ($vector[$phrase] ?? 0.0) * ($this->query[$phrase] ?? 0.0);
            $cosine += $part;
            if ($part > 0) {
                $shared[$phrase] = $part;
            }
        }
        $industry = $size = 0.0;
        foreach ($this->examples as $example) {
            $industry += Closeness::inTree($example->industries, $company->industries) / count($this->examples);
            $size += Closeness::inHeads($example->headcount, $company->headcount) / count($this->examples);
        }
        $text = max(0.0, min(1.0, $cosine));

        return new Alike(
            $company->id,
            self::TEXT * $text + self::INDUSTRY * $industry + self::SIZE * $size,
            $text,
            $industry,
            $size,
            self::telling($shared, $company),
        );
    }

    /** Mean cosine of the examples to each other, 0–1; of a single one 1. */
    public function coherence(): float
    {
        return self::among($this->vectors);
    }

    /** The example without which the others are most alike; null where none stands apart, or there are only two. */
    public function oddOne(): int|string|null
    {
        $most = $this->coherence();
        $odd = null;
        foreach (count($this->vectors) > 2 ? $this->examples : [] as $i => $example) {
            $without = $this->coherenceWithout($i);
            if ($without > $most + 1e-12) {
                [$most, $odd] = [$without, $example->id];
            }
        }

        return $odd;
    }

    private function coherenceWithout(int $i): float
    {
        $others = $this->vectors;
        unset($others[$i]);

        return self::among(array_values($others));
    }

    /**
     * @param  array<string, float>  $shared
     * @return list<string>
     */
    private static function telling(array $shared, Profile $company): array
    {
        arsort($shared);
        $best = array_slice($shared, 0, 4 * self::PHRASES, true);

        $telling = array_map(strval(...), array_keys(Grams::withoutParts($best, $company->grams)));

        return array_slice($telling, 0, self::PHRASES);
    }

    /**
     * @param  list<array<string, float>>  $vectors
     * @return array<string, float>
     */
    private static function mean(array $vectors): array
    {
        $mean = [];
        foreach ($vectors as $vector) {
            foreach ($vector as $phrase => $weight) {
                $mean[$phrase] = ($mean[$phrase] ?? 0.0) + $weight / count($vectors);
            }
        }

        return $mean;
    }

    /** @param  list<array<string, float>>  $vectors */
    private static function among(array $vectors): float
    {
        $sum = 0.0;
        $pairs = 0;
        foreach ($vectors as $i => $one) {
            for ($j = $i + 1; isset($vectors[$j]); $j++) {
                $pairs++;
                foreach ($one as $phrase => $weight) {
                    $sum += $weight * ($vectors[$j][$phrase] ?? 0.0);
                }
            }
        }

        return $pairs === 0 ? 1.0 : max(0.0, min(1.0, $sum / $pairs));
    }
}
