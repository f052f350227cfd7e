<?php

declare(strict_types=1);

namespace App\View\Finder;

use App\Finder\Search;
use App\Models\User;
use Luftig\Core\Search\Field;

/** The conditions that can be added to a search, those that somebody added last first. */
final class Conditions
{
    private const RECENT = 'Added last';

    private const REMEMBERED = 6;

    /** @return array<string, list<Field>> */
    public static function of(Search $search, User $user): array
    {
        $groups = $search->menu();
        $all = array_merge(...array_values($groups));
        $recent = array_filter(
            array_map(fn (string $value): ?Field => Field::tryFrom($value), $user->recent_conditions ?? []),
            fn (?Field $field): bool => $field !== null && in_array($field, $all, true),
        );

        return $recent === [] ? $groups : [self::RECENT => array_values($recent)] + $groups;
    }

    /** A condition by its name in an address, or as it is called. */
    public static function named(string $text, Search $search): ?Field
    {
        $text = mb_strtolower(trim($text));
        foreach ($search->menu() as $fields) {
            foreach ($fields as $field) {
                if ($text === $field->value || $text === mb_strtolower($field->label())) {
                    return $field;
                }
            }
        }

        return null;
    }

    public static function remember(User $user, ?Field $field): void
    {
        if ($field === null) {
            return;
        }
        $recent = array_values(array_unique([$field->value, ...$user->recent_conditions ?? []]));
        $user->forceFill(['recent_conditions' => array_slice($recent, 0, self::REMEMBERED)])->save();
    }
}
