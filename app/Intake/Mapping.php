<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Reading\CellSort;
use App\Intake\Reading\DateOrder;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Support\FileColumn;
use Luftig\Core\Text\Fold;

/** Which column of a file fills which field. */
final class Mapping
{
    /**
     * What kind of rows a file most likely holds, by its headings and name.
     *
     * @param  list<string>  $headings
     * @param  array<int, string>  $sorts  position → what its cells seem to hold (CellSort)
     */
    public static function kind(array $headings, string $fileName, array $sorts = []): IntakeKind
    {
        $best = IntakeKind::Accounts;
        $most = -1;
        foreach (IntakeKind::cases() as $kind) {
            // What cells seem to hold makes up for a heading that is missing, but says nothing of the kind by itself.
            $told = count(self::guess($kind, $headings))
                + (str_contains(mb_strtolower($fileName), rtrim($kind->value, 's')) ? 5 : 0);
            $score = $told - 3 * count(self::missing($kind, self::guess($kind, $headings, $sorts)));
            if ($told > 0 && $score > $most) {
                [$best, $most] = [$kind, $score];
            }
        }

        return $best;
    }

    /**
     * @param  list<string>  $headings
     * @return int how many of them are known in the kind of file that knows most
     */
    public static function known(array $headings): int
    {
        return max(array_map(
            fn (IntakeKind $kind): int => count(self::guess($kind, $headings)),
            IntakeKind::cases(),
        ));
    }

    /**
     * @param  list<string>  $headings
     * @param  array<int, string>  $sorts  position → what its cells seem to hold, for columns whose heading says
     *     nothing
     * @return array<int, string> column position → field
     */
    public static function guess(IntakeKind $kind, array $headings, array $sorts = []): array
    {
        // The nearer a heading stands to a column's own name, the more it tells: Titel is one where nothing else is.
        $told = [];
        foreach ($headings as $position => $heading) {
            $words = implode(' ', Fold::words($heading));
            foreach (RowReaders::columns($kind) as $field => $column) {
                $rank = $words === str_replace('_', ' ', $field)
                    ? -1
                    : array_search($words, $column->names, true);
                if ($rank !== false) {
                    $told[] = [$rank, $position, $field];
                }
            }
        }
        sort($told);
        $mapping = [];
        foreach ($told as [, $position, $field]) {
            if (! isset($mapping[$position]) && ! in_array($field, $mapping, true)) {
                $mapping[$position] = $field;
            }
        }
        foreach ($sorts as $position => $sort) {
            $field = CellSort::tryFrom($sort)?->field($kind);
            if ($field !== null && ! isset($mapping[$position]) && ! in_array($field, $mapping, true)) {
                $mapping[$position] = $field;
            }
        }
        ksort($mapping);

        return $mapping;
    }

    /** What keeps a file from being brought in as it is mapped, in a sentence; null where nothing does. */
    public static function problem(Intake $intake): ?string
    {
        $kind = $intake->kind;
        $mapping = $intake->mapping ?? [];
        $columns = RowReaders::columns($kind);
        $names = fn (array $fields): string => implode(
            ', ',
            array_map(fn (string $field): string => lcfirst($columns[$field]->label), $fields),
        );
        // Whoever is there already needs no name, and no account; an account without a website waits for a decision.
        $missing = array_diff(self::missing($kind, $mapping), match (true) {
            $kind === IntakeKind::Accounts => in_array('name', $mapping, true) ? ['domain'] : ['name'],
            $kind === IntakeKind::Contacts && array_intersect(['email', 'profile'], $mapping) !== [] => [
                'name', 'domain',
            ],
            default => [],
        });
        if ($missing !== []) {
            return "No column is chosen for: {$names($missing)}.";
        }
        $twice = array_keys(array_filter(array_count_values($mapping), fn (int $count): bool => $count > 1));
        $twice = array_filter($twice, fn (string $field): bool => ! str_starts_with($field, 'extras'));
        if ($twice !== []) {
            return "Two columns are chosen for: {$names($twice)}.";
        }
        $open = array_filter(
            self::days($intake),
            fn (int $position): bool => DateOrder::of($intake, $position) === DateOrder::Open,
            ARRAY_FILTER_USE_KEY,
        );

        return $open === [] ? null : 'Say whether days are written day first or month first under: '
            .implode(', ', $open).'.';
    }

    /** @return array<int, string> position → heading of the columns of days */
    public static function days(Intake $intake): array
    {
        $columns = RowReaders::columns($intake->kind);
        $days = array_filter($intake->mapping ?? [], fn (string $field): bool => $columns[$field]->isDay ?? false);

        return array_intersect_key($intake->format['columns'], $days);
    }

    /**
     * @param  array<int, string>  $mapping
     * @return list<string> fields that are needed and that no column fills
     */
    private static function missing(IntakeKind $kind, array $mapping): array
    {
        $needed = array_keys(
            array_filter(RowReaders::columns($kind), fn (FileColumn $column): bool => $column->required),
        );

        if ($kind === IntakeKind::Contacts && array_intersect(['first_name', 'last_name', 'name'], $mapping) === []) {
            $needed[] = 'name';
        }

        // An address tells a contact's domain.
        return array_values(array_diff(
            $needed,
            $mapping,
            $kind === IntakeKind::Contacts && in_array('email', $mapping, true) ? ['domain'] : [],
        ));
    }

    /**
     * @param  array<int, string>  $mapping
     * @param  list<string>  $headings
     * @param  list<string>  $cells
     * @return array<string, string> by field, without what is blank
     */
    public static function apply(array $mapping, array $headings, array $cells): array
    {
        $named = [];
        foreach ($mapping as $position => $field) {
            $text = trim($cells[$position] ?? '');
            if ($text !== '') {
                $named[$field === 'extras' ? 'extras:'.$headings[$position] : $field] = $text;
            }
        }

        return $named;
    }
}
