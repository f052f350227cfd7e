<?php

declare(strict_types=1);

namespace App\View;

use BackedEnum;

/** What can be chosen of a closed set, as a select shows it. */
final class Choices
{
    /**
     * @param  class-string<BackedEnum>  $set  whose cases have a label
     * @return array<int|string, string> value → label
     */
    public static function of(string $set): array
    {
        return self::among($set::cases());
    }

    /**
     * @param  list<BackedEnum>  $cases
     * @return array<int|string, string>
     */
    public static function among(array $cases): array
    {
        $choices = [];
        foreach ($cases as $case) {
            $choices[$case->value] = method_exists($case, 'label')
                ? $case->label()
                : str_replace('_', ' ', (string) $case->value);
        }

        return $choices;
    }
}
