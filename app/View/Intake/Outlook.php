<?php

declare(strict_types=1);

namespace App\View\Intake;

use App\Intake\LookThrough;
use App\Intake\Mapping;
use App\Models\Intake;
use App\Support\Format;

/** What would become of all rows of a file: how many of each, and why some would not come in. */
final readonly class Outlook
{
    private const SHOWN = 8;

    private const TALLY = [
        'new' => 'new', 'changed' => 'changed', 'same' => 'as they are', 'waiting' => 'would wait',
        'refused' => 'would be refused', 'later' => 'tell once more of the same', 'short' => 'end early',
        'cleaned' => 'have control characters, which are removed',
    ];

    /** Said only where there are some. */
    private const RARE = ['later', 'short', 'cleaned'];

    /** @param  array<string, mixed>|null  $found  as it holds for what is said of the file now */
    private function __construct(public Intake $intake, private ?array $found)
    {
    }

    public static function of(Intake $intake): self
    {
        $found = $intake->outlook;

        return new self($intake, ($found['for'] ?? null) === LookThrough::print($intake) ? $found : null);
    }

    public function isDone(): bool
    {
        return ($this->found['done'] ?? false) === true;
    }

    public function hasFailed(): bool
    {
        return ($this->found['failed'] ?? false) === true;
    }

    /** Whether it is being found out; a file with an open question is not looked through yet. */
    public function isMoving(): bool
    {
        return ! $this->isDone() && Mapping::problem($this->intake) === null;
    }

    /** 0–1 */
    public function progress(): float
    {
        return min(1.0, ($this->found['offset'] ?? 0) / max(1, $this->intake->bytes));
    }

    public function rows(): string
    {
        return Format::count((int) ($this->found['rows'] ?? 0), 'row');
    }

    /** @return list<array{field: string, number: string, label: string}> */
    public function tally(): array
    {
        $tally = array_filter(
            self::TALLY,
            fn (string $what): bool => ! in_array($what, self::RARE, true) || ($this->found[$what] ?? 0) > 0,
            ARRAY_FILTER_USE_KEY,
        );

        return array_map(fn (string $what, string $label): array => [
            'field' => $what, 'number' => Format::number((int) ($this->found[$what] ?? 0)), 'label' => $label,
        ], array_keys($tally), $tally);
    }

    /** @return array<string, string> why rows would not come in → how many, the most frequent first */
    public function reasons(): array
    {
        return self::most($this->found['reasons'] ?? [], 'row');
    }

    /** @return array<string, string> column → how many of its cells cannot be read */
    public function unread(): array
    {
        return self::most($this->found['unread'] ?? [], 'cell');
    }

    /** @return array<string, array<string, int>> field → word that nobody explained → how many cells have it */
    public function unknown(): array
    {
        return $this->found['unknown'] ?? [];
    }

    /**
     * @param  array<string, int>  $counts
     * @return array<string, string>
     */
    private static function most(array $counts, string $thing): array
    {
        arsort($counts);
        $shown = array_slice($counts, 0, self::SHOWN, true);
        $more = array_sum($counts) - array_sum($shown);

        return array_map(fn (int $count): string => Format::count($count, $thing), $shown)
            + ($more > 0 ? ['other reasons' => Format::count($more, $thing)] : []);
    }
}
