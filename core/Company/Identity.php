<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

use Luftig\Core\Text\Fold;
use Luftig\Core\Text\JaroWinkler;

/** Whether two records are of one company (rule 15): by domain, never by name alone. */
final readonly class Identity
{
    private const ALIKE = .93;

    /**
     * @param  float  $score  likeness of the names (Jaro–Winkler), 0–1
     * @param  list<string>  $because  what speaks for it and against it, in sentences
     */
    private function __construct(public Verdict $verdict, public float $score, public array $because)
    {
    }

    public static function of(CompanyFacts $a, CompanyFacts $b): self
    {
        $nameA = CompanyName::of($a->name);
        $nameB = CompanyName::of($b->name);
        $score = self::likeness($nameA, $nameB);
        if ($a->domain !== null && $a->domain === $b->domain) {
            return new self(Verdict::Same, $score, ["Both have the domain {$a->domain}."]);
        }
        $equal = $nameA->equals($nameB);
        $because = [match (true) {
            $equal => 'The names are equal without legal forms.',
            $score >= self::ALIKE => 'The names are alike.',
            default => 'The names differ.',
        }];
        $against = [];
        if ($a->domain !== null && $b->domain !== null) {
            $against[] = "The domains {$a->domain} and {$b->domain} differ.";
        }
        $otherCountry = $a->country !== null && $b->country !== null && $a->country !== $b->country;
        if ($otherCountry) {
            $against[] = "The countries {$a->country} and {$b->country} differ.";
        }
        $otherNumber = $nameA->numbers !== $nameB->numbers;
        if ($otherNumber) {
            $against[] = 'The numbers in the names differ.';
        }
        if ($a->city !== null && $b->city !== null) {
            if (Fold::words($a->city) === Fold::words($b->city)) {
                $because[] = "Both are in {$a->city}.";
            } else {
                $against[] = "One is in {$a->city}, the other in {$b->city}.";
            }
        }
        $alike = $a->domain !== null && $b->domain !== null ? $equal : $score >= self::ALIKE;

        return new self(
            $alike && ! $otherCountry && ! $otherNumber ? Verdict::Unsure : Verdict::Separate,
            $score,
            [...$because, ...$against],
        );
    }

    private static function likeness(CompanyName $a, CompanyName $b): float
    {
        $best = 0.0;
        foreach ($a->forms as $one) {
            foreach ($b->forms as $other) {
                $best = max($best, JaroWinkler::of($one, $other));
            }
        }

        return $best;
    }
}
