<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

use Luftig\Core\Company\IndustryTree;
use Luftig\Core\Company\Technology;
use Luftig\Core\Mistake;
use Luftig\Core\Text\Fold;

/** One of several values. An industry matches through the tree, a side industry for .6 (rule 4). */
final readonly class AnyOf implements Question
{
    private const SIDE_INDUSTRY = .6;

    /** @var array<string, true> folded */
    private array $values;

    /**
     * @param  non-empty-list<string>  $values
     *
     * @throws Mistake where the field is not tested so, or a value is empty
     */
    public function __construct(private CriterionField $field, array $values)
    {
        if ($field->test() !== 'any') {
            throw Mistake::at('any', "A list of values does not suit {$field->value}.");
        }
        $folded = array_map(fn (string $value): string => $this->key($value), $values);
        $empty = array_search('', $folded, true);
        if ($empty !== false) {
            throw Mistake::at("any[$empty]", 'A value is empty; it would say nothing.');
        }
        $this->values = array_fill_keys($folded, true);
    }

    public function membership(AccountFacts $account, bool $gate): ?float
    {
        return match ($this->field) {
            CriterionField::Industries => $this->ofIndustries($account->industries),
            CriterionField::Technologies => $this->ofTechnologies($account->technologies),
            CriterionField::PostalCode => $this->ofPostalCode($account->postalCode),
            CriterionField::Country => $this->ofValue($account->country),
            default => $this->ofValue($account->region),
        };
    }

    /**
     * Known only more coarsely than what is asked, it is unknown: whether a maker of metal goods makes pumps.
     *
     * @param  list<string>  $codes
     */
    private function ofIndustries(array $codes): ?float
    {
        $best = 0.0;
        $isCoarse = false;
        foreach ($codes as $place => $code) {
            foreach ($this->values as $wanted => $_) {
                if (IndustryTree::holds((string) $wanted, $code)) {
                    $best = max($best, $place === 0 ? 1.0 : self::SIDE_INDUSTRY);
                } elseif (IndustryTree::holds($code, (string) $wanted)) {
                    $isCoarse = true;
                }
            }
        }

        return $codes === [] || $best === 0.0 && $isCoarse ? null : $best;
    }

    /** @param  list<string>  $names */
    private function ofTechnologies(array $names): ?float
    {
        foreach ($names as $name) {
            if (isset($this->values[$this->key($name)])) {
                return 1.0;
            }
        }

        return $names === [] ? null : 0.0;
    }

    /** A postal area is the beginning of a postal code, as 41 of 41103. */
    private function ofPostalCode(?string $code): ?float
    {
        if ($code === null) {
            return null;
        }
        $code = str_replace(' ', '', self::fold($code));
        foreach ($this->values as $area => $_) {
            if (str_starts_with($code, str_replace(' ', '', (string) $area))) {
                return 1.0;
            }
        }

        return 0.0;
    }

    private function ofValue(?string $value): ?float
    {
        return $value === null ? null : (float) isset($this->values[self::fold($value)]);
    }

    /** As values are compared; of technologies all variants of a name are one, as in the Finder. */
    private function key(string $value): string
    {
        $folded = trim(Fold::letters($value));

        return $this->field === CriterionField::Technologies ? Technology::key($value) ?: $folded : $folded;
    }

    private static function fold(string $value): string
    {
        return trim(Fold::letters($value));
    }
}
