<?php

declare(strict_types=1);

namespace Luftig\Core\Fit;

use Luftig\Core\Mistake;
use Luftig\Core\Text\Fold;

/** A fact that the team defined for itself, such as the number of shifts: one of several values, or any at all. */
final readonly class OwnFact implements Question
{
    /** Whatever is said of it is enough. */
    public const ANY = '*';

    private string $name;

    /** @var array<string, true> folded */
    private array $values;

    /**
     * @param  non-empty-list<string>  $values
     *
     * @throws Mistake where the fact has no name, or a value is empty
     */
    public function __construct(string $name, array $values)
    {
        $this->name = self::named($name);
        $keys = array_map(fn (string $value): string => $value === self::ANY ? $value : self::key($value), $values);
        $empty = array_search('', $keys, true);
        if ($empty !== false) {
            throw Mistake::at("any[$empty]", 'A value is empty; it would say nothing.');
        }
        $this->values = array_fill_keys($keys, true);
    }

    public function membership(AccountFacts $account, bool $gate): ?float
    {
        $value = $account->facts[$this->name] ?? null;

        return $value === null
            ? null
            : (float) (isset($this->values[self::ANY]) || isset($this->values[self::key($value)]));
    }

    /** @throws Mistake where it has no name */
    public static function named(string $name): string
    {
        $key = self::key($name);

        return $key !== '' ? $key : throw Mistake::at('fact', 'Say which fact of your own is meant.');
    }

    /** As names and values are compared: without case, accents, and spaces around. */
    public static function key(string $text): string
    {
        return trim(Fold::letters($text));
    }
}
