<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

use Luftig\Core\Mistake;

/**
 * What a word or phrase of a dictionary stands for. What is weak (marked with ? there) holds only where nothing
 * stronger stands in the same part of a title: an *engineer* is of engineering, a *maintenance engineer* is not.
 */
final readonly class Meaning
{
    private function __construct(
        public Seniority $seniority = Seniority::Unknown,
        public Seniority $weakSeniority = Seniority::Unknown,
        public int $functions = 0,
        public int $weakFunctions = 0,
        public ?Status $status = null,
        public ?Mark $mark = null,
    ) {
    }

    /**
     * @param  string  $text  the left side of a dictionary's line: "chief + general_management", "specialist +
     *     engineering?"
     *
     * @throws Mistake where a part of it is not known
     */
    public static function read(string $text): self
    {
        $seniority = $weakSeniority = Seniority::Unknown;
        $functions = $weakFunctions = 0;
        $status = $mark = null;
        foreach (explode('+', $text) as $part) {
            $name = rtrim(trim($part), '?');
            $weak = str_ends_with(trim($part), '?');
            $function = BusinessFunction::named($name);
            if ($function !== null) {
                $weak ? $weakFunctions |= $function->bit() : $functions |= $function->bit();
            } elseif (($rank = Seniority::tryFrom($name)) !== null) {
                $weak ? $weakSeniority = $rank : $seniority = $rank;
            } else {
                $status = Status::tryFrom($name) ?? $status;
                $mark = Mark::tryFrom($name) ?? $mark;
                if (Status::tryFrom($name) === null && Mark::tryFrom($name) === null) {
                    throw new Mistake("“{$name}” is no seniority, function, status or mark.");
                }
            }
        }

        return new self($seniority, $weakSeniority, $functions, $weakFunctions, $status, $mark);
    }

    /** What a word means that stands in two lines of a dictionary. */
    public function and(?self $other): self
    {
        return $other === null ? $this : new self(
            $this->seniority === Seniority::Unknown ? $other->seniority : $this->seniority,
            $this->weakSeniority === Seniority::Unknown ? $other->weakSeniority : $this->weakSeniority,
            $this->functions | $other->functions,
            $this->weakFunctions | $other->weakFunctions,
            $this->status ?? $other->status,
            $this->mark ?? $other->mark,
        );
    }
}
