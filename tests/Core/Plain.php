<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Geo\Coordinates;
use Luftig\Core\Index\Record;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;

/** Rule 12 as it is written, record by record: slow, and easily seen to be right. */
final class Plain
{
    /**
     * @param  list<Record>  $accounts
     * @param  list<Condition>  $conditions
     * @param  array<string, array<int>>  $sets
     * @return list<int>
     */
    public static function found(int $today, array $accounts, Subject $subject, array $conditions, array $sets): array
    {
        $found = [];
        foreach ($accounts as $account) {
            foreach ($subject === Subject::Accounts ? [$account] : $account->contacts as $record) {
                foreach ($conditions as $condition) {
                    $meets = self::meets(
                        $today, $condition, $condition->field->isOfContact() ? $record : $account, $record, $sets,
                    );
                    if ($meets === null ? ! $condition->keepsUnknown : $meets === $condition->exclude) {
                        continue 2;
                    }
                }
                $found[] = $record->id;
            }
        }
        sort($found);

        return $found;
    }

    /**
     * @param  list<Record>  $accounts
     * @param  array<string, array<int>>  $sets
     */
    public static function ofId(
        int $today,
        array $accounts,
        Subject $subject,
        int $id,
        Condition $condition,
        array $sets,
    ): ?bool {
        foreach ($accounts as $account) {
            foreach ($subject === Subject::Accounts ? [$account] : $account->contacts as $record) {
                if ($record->id === $id) {
                    return self::meets(
                        $today, $condition, $condition->field->isOfContact() ? $record : $account, $record, $sets,
                    );
                }
            }
        }

        return null;
    }

    /** @param  array<string, array<int>>  $sets */
    private static function meets(int $today, Condition $condition, Record $of, Record $record, array $sets): ?bool
    {
        $field = $condition->field->value;
        if ($condition->field->test() === Comparison::Sets) {
            return array_filter(
                $condition->any,
                fn (string $name): bool => in_array(
                    str_starts_with(ltrim($name, '!'), 'contact:') ? $record->id : $of->id,
                    $sets[ltrim($name, '!')],
                    true,
                ) !== str_starts_with($name, '!'),
            )
                !== [];
        }
        if ($condition->field->test() === Comparison::Parts) {
            return self::together($today, $condition, $of, $record);
        }
        if ($condition->field === Field::Near) {
            $places = array_filter(
                $of->places ?? [],
                fn (array $place): bool => $condition->which === 'any' || $place[2],
            );

            return $places === [] ? null : array_filter(
                $places,
                fn (array $place): bool => (new Coordinates(...$condition->of))
                    ->distanceTo(new Coordinates($place[0], $place[1]))
                        <= $condition->km,
            ) !== [];
        }

        return self::one($today, $condition, $of);
    }

    /**
     * Of one and the same signal, opening or position: as many as are asked for, for sure or perhaps. What is a
     * contact's own counts for no other contact.
     */
    private static function together(int $today, Condition $condition, Record $of, Record $who): ?bool
    {
        $parts = $condition->field === Field::Opening ? $of->openings : $of->parts;
        if ($parts === null) {
            return null;
        }
        $sure = $maybe = 0;
        foreach ($parts as $record) {
            if ($record->id !== 0 && $who !== $of && $record->id !== $who->id) {
                continue;
            }
            if ($condition->which === ($record->id === 0 ? 'person' : 'account')) {
                continue;
            }
            $meets = array_map(fn (Condition $part): ?bool => self::one($today, $part, $record), $condition->parts);
            $maybe += in_array(false, $meets, true) ? 0 : 1;
            $sure += array_filter($meets, fn (?bool $one): bool => $one !== true) === [] ? 1 : 0;
        }

        return $sure >= $condition->times ? true : ($maybe >= $condition->times ? null : false);
    }

    private static function one(int $today, Condition $condition, Record $of): ?bool
    {
        $number = $of->numbers[$condition->key] ?? null;
        $number = $number !== null && $condition->field->countsBack() ? $today - $number : $number;
        $values = $of->values[$condition->key] ?? null;
        $values = $values === null ? null : array_unique(array_map($condition->field->spelled(...), $values));
        $asked = array_unique(array_map($condition->field->spelled(...), $condition->any));

        return match ($condition->field->test()) {
            Comparison::Any => $values === null
                ? null
                : count(array_intersect($asked, $values)) >= ($condition->all ? count($asked) : 1),
            Comparison::Range => $number === null ? null : ($condition->low === null || $number >= $condition->low) && (
                $condition->high === null || $number <= $condition->high
            ),
            default => self::reads($condition, $of->texts[$condition->field->value] ?? null),
        };
    }

    private static function reads(Condition $condition, ?string $line): ?bool
    {
        if ($line !== null && $condition->which !== '') {
            $passages = array_combine(['name', 'keywords', 'description', 'site'], explode("\x1F", $line));
            $line = implode('|', array_filter(
                array_map(fn (string $passage): string => $passages[$passage], explode(',', $condition->which)),
                fn (string $text): bool => trim($text) !== '',
            ));
        }

        return $line === null || $line === '' ? null : $condition->query?->matchesLine($line);
    }
}
