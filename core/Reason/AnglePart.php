<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

use Luftig\Core\Mistake;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Text\Fold;
use Luftig\Core\Text\Query;

/** One thing that an angle rests on: a signal, or a fact (rule 21). */
final readonly class AnglePart
{
    /** The fact of being in a position for less than so many days. */
    public const NEW = 'new_in_position';

    private function __construct(
        public ?Kind $kind,
        public ?string $whose,
        public ?string $role,
        public ?Query $query,
        public bool $live,
        public ?string $fact,
        public ?string $value,
    ) {
    }

    /**
     * @param  string|null  $whose  own, colleague or account; null: whoever's
     * @param  string|null  $role  of interest
     * @param  bool  $live  whether it has to be; a spent one is never spoken of by itself
     *
     * @throws Mistake where nothing is said of the signal
     */
    public static function signal(
        ?Kind $kind,
        ?string $whose = null,
        ?string $role = null,
        ?Query $query = null,
        bool $live = true,
    ): self {
        if ($kind === null && $role === null && $query === null) {
            throw Mistake::at('kind', 'A part names a kind of signal, a role of interest, or words.');
        }
        if ($whose !== null && ! in_array($whose, AngleSignal::WHOSE, true)) {
            throw Mistake::at('whose', 'A signal is own, of a colleague, or of the account.');
        }

        return new self($kind, $whose, $role, $query, $live, null, null);
    }

    /** @throws Mistake where a number of days is needed and not given */
    public static function fact(string $type, ?string $value = null): self
    {
        if ($type === self::NEW && preg_match('/^\d+$/', (string) $value) !== 1) {
            throw Mistake::at('value', 'Say for less than how many days somebody is in the position.');
        }

        return new self(null, null, null, null, false, $type, $value);
    }

    public function isMetBy(AngleSignal $signal): bool
    {
        return $this->fact === null
            && ($this->kind === null || $signal->kind === $this->kind)
            && ($this->whose === null || $signal->whose === $this->whose)
            && ($this->role === null || Fold::words($signal->role ?? '') === Fold::words($this->role))
            && ($this->query === null || $this->query->matches($signal->text))
            && ($signal->live || ! $this->live);
    }

    /** Whether a fact of a contact is the one: its type, and its value where one is asked for. */
    public function isFact(string $type, string $value): bool
    {
        return $this->fact === $type && $type !== self::NEW
            && ($this->value === null || Fold::words($this->value) === Fold::words($value));
    }

    /** Whether somebody has been in their position for less than the part says. */
    public function isNewIn(?float $days): bool
    {
        return $this->fact === self::NEW && $days !== null && $days >= 0 && $days < (int) $this->value;
    }
}
