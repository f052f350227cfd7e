<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** What a title says (rule 7). */
final readonly class Title
{
    private const STATUS_BITS = 3;

    private const SENIORITY_BITS = 4;

    /** @param  int  $functions  a set (BusinessFunction::set) */
    public function __construct(public Status $status, public Seniority $seniority, public int $functions)
    {
    }

    public static function unknown(): self
    {
        return new self(Status::Current, Seniority::Unknown, 0);
    }

    public function isUnknown(): bool
    {
        return $this->packed() === 0;
    }

    public function has(BusinessFunction $function): bool
    {
        return ($this->functions & $function->bit()) !== 0;
    }

    /** @return list<BusinessFunction> */
    public function functions(): array
    {
        return BusinessFunction::in($this->functions);
    }

    /** All of it in one number of 35 bits, so that a million can be kept and compared; 0 is what cannot be read. */
    public function packed(): int
    {
        return (int) array_search($this->status, Status::cases(), true)
            | $this->seniority->rank() << self::STATUS_BITS
            | $this->functions << self::STATUS_BITS + self::SENIORITY_BITS;
    }

    public static function unpacked(int $packed): self
    {
        return new self(
            Status::cases()[$packed & (1 << self::STATUS_BITS) - 1] ?? Status::Current,
            Seniority::ofRank(min(8, $packed >> self::STATUS_BITS & (1 << self::SENIORITY_BITS) - 1)),
            $packed >> self::STATUS_BITS + self::SENIORITY_BITS,
        );
    }

    /**
     * In words: "head, maintenance and engineering".
     *
     * @param  callable(BusinessFunction): string|null  $name  what a function is called, where some have names of
     *     their own
     */
    public function inWords(?callable $name = null): string
    {
        $functions = array_map(
            $name ?? static fn (BusinessFunction $function): string => $function->label(),
            $this->functions(),
        );
        $words = $this->seniority === Seniority::Unknown ? [] : [$this->seniority->label()];
        if ($functions !== []) {
            $words[] = implode(' and ', $functions);
        }
        if ($this->status !== Status::Current) {
            array_unshift($words, $this->status->value);
        }

        return $words === [] ? 'cannot be read' : implode(', ', $words);
    }
}
