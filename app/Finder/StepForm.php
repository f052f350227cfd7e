<?php

declare(strict_types=1);

namespace App\Finder;

use App\Alike\AlikeTo;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;
use Luftig\Core\Search\Subject;
use Luftig\Core\Text\Query;

/** A step of a search as its address has it. */
final readonly class StepForm
{
    /** Characters of a query, and of all else: each stands in every link of the page. */
    private const LONG = 2000;

    private const SHORT = 200;

    /** What may be long, and is kept under a mark then. */
    public const PASTED = ['v', 'q', 'q2'];

    private const KEYS = [
        'f', 'v', 'w', 'all', 'lo', 'hi', 'cur', 'q', 'q2', 'km', 'st', 'slo', 'shi', 'rd', 'alo', 'ahi', 'n', 'new',
        'x', 'u', 'off', 'pl',
    ];

    /**
     * @param  array<string, string>  $given  f field; v values, all of them (all); w which: "any" site, passages, an
     *     attribute, a buyer role, a function or a span, whose relations, a share; lo, hi and their currency; q query
     *     or place, km; of a signal also st states, slo and shi strength, rd rounds, alo and ahi amount; of a position
     *     before q2 company; of an opening q2 words, pl place; n how many, or steps; new: without those known already;
     *     x exclude, u keep (1) or drop (0) unknowns, off
     */
    private function __construct(public Field $field, public array $given)
    {
    }

    /** @param  array<mixed>  $row */
    public static function from(array $row): ?self
    {
        $given = [];
        foreach (self::KEYS as $key) {
            if (is_array($row[$key] ?? null)) {
                $row[$key] = implode(',', array_filter($row[$key], is_scalar(...)));
            }
            if (is_scalar($row[$key] ?? null) && trim((string) $row[$key]) !== '') {
                $text = trim(str_replace("\r\n", "\n", (string) $row[$key]));
                $given[$key] = in_array($key, self::PASTED, true) && ($key === 'v' || str_contains($text, "\n"))
                    ? Pasted::short(mb_strcut($text, 0, Pasted::LONGEST))
                    : mb_substr($text, 0, in_array($key, self::PASTED, true) ? self::LONG : self::SHORT);
            }
        }
        $field = Field::tryFrom($given['f'] ?? '');

        return $field === null ? null : new self($field, $given);
    }

    /** @param  array<string, string>  $given */
    public static function of(Field $field, array $given): self
    {
        return new self($field, ['f' => $field->value] + $given);
    }

    public function excludes(): bool
    {
        return ($this->given['x'] ?? '') === '1';
    }

    public function isOff(): bool
    {
        return ($this->given['off'] ?? '') === '1';
    }

    public function keepsUnknown(): bool
    {
        return isset($this->given['u']) ? $this->given['u'] === '1' : $this->excludes();
    }

    /** @param  array<string, string|null>  $changes */
    public function with(array $changes): self
    {
        return new self(
            $this->field,
            array_filter([...$this->given, ...$changes], fn (?string $value): bool => $value !== null),
        );
    }

    /** @return list<string> values, as typed or pasted: parted by commas, semicolons or lines */
    public function values(string $key = 'v'): array
    {
        return array_values(array_unique(
            array_filter(
                array_map(trim(...), preg_split('/[,;\n]/', Pasted::text($this->given[$key] ?? '')) ?: []),
                fn (string $value): bool => $value !== '',
            ),
        ));
    }

    /** @return list<string> its values as the index has them */
    public function codes(): array
    {
        return array_values(array_unique(array_merge([], ...array_map(
            fn (string $value): array => ValueLabel::codes($this->field, $value),
            $this->values(),
        ))));
    }

    /** A query as it was typed, or phrases as they were pasted, a line each. */
    public function query(string $key = 'q'): string
    {
        return Pasted::text($this->given[$key] ?? '');
    }

    /** @return list<string> how its query is read in another way than it might have been meant */
    public function hints(): array
    {
        $keys = match (true) {
            $this->field === Field::Before => ['q', 'q2'],
            $this->field === Field::Opening => ['q', 'q2', 'pl'],
            $this->field === Field::Event, $this->field->test() === Comparison::Query => ['q'],
            default => [],
        };
        try {
            return array_merge([], ...array_map(
                fn (string $key): array => isset($this->given[$key]) ? Query::parse($this->query($key))->hints : [],
                $keys,
            ));
        } catch (Mistake) {
            return [];
        }
    }

    /** @throws Mistake with a sentence */
    public function condition(Subject $subject): Condition
    {
        return (new StepCondition($this))->of($subject);
    }

    /** What it asks, in words. */
    public function says(): string
    {
        return (new StepWords($this))->says();
    }

    /** Which of several things of its name is meant: a site, passages, an attribute, a buyer role. */
    public function which(): string
    {
        $which = mb_strtolower($this->given('w'));

        // In all of them is as good as in any.
        return $this->field === Field::Words && count(Passage::named($which)) === count(Passage::cases()) ? '' : $which;
    }

    public function reach(): Reachability
    {
        return Reachability::from(
            $this->given['w'] ?? 'anyone',
            $this->given['n'] ?? '1',
            ($this->given['new'] ?? '') === '1',
        );
    }

    /** @throws Mistake with a sentence */
    public function alike(): AlikeTo
    {
        $values = $this->values();
        $most = $this->given['n'] ?? (string) AlikeTo::USUAL;
        $known = ValueLabel::accounts([...$values, ...$this->values('q2')]);
        $unknown = array_values(array_filter($values, fn (string $one): bool => ! isset($known[$one])));
        if ($unknown !== []) {
            throw new Mistake("Nobody of the base has the domain “{$unknown[0]}”.");
        }
        $ids = fn (array $all): array => array_values(array_map(
            fn (string $one): string => (string) $known[$one],
            array_filter($all, fn (string $one): bool => isset($known[$one])),
        ));

        return AlikeTo::from($ids($values), $ids($this->values('q2')), ctype_digit($most) ? (int) $most : 0);
    }

    public function given(string $key): string
    {
        return $this->given[$key] ?? '';
    }
}
