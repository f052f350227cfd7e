<?php

declare(strict_types=1);

namespace App\Intake\Reading;

use App\Models\Intake;

/** How the cells of one file are meant, where cells alone do not say it. */
final readonly class Sense
{
    /**
     * @param  list<string>  $monthFirst  fields whose days are written month first
     * @param  array<string, array<string, string>>  $words  field → word, as word() gives it → what it means
     */
    public function __construct(private array $monthFirst = [], private array $words = [])
    {
    }

    public static function of(Intake $intake): self
    {
        $monthFirst = [];
        foreach ($intake->mapping ?? [] as $position => $field) {
            if (DateOrder::of($intake, $position) === DateOrder::Month) {
                $monthFirst[] = $field;
            }
        }

        return new self($monthFirst, $intake->answers['words'] ?? []);
    }

    public static function word(string $text): string
    {
        return trim(str_replace(['_', '-'], ' ', mb_strtolower($text)));
    }

    public function isMonthFirst(string $field): bool
    {
        return in_array($field, $this->monthFirst, true);
    }

    public function meaning(string $field, string $word): ?string
    {
        return $this->words[$field][$word] ?? null;
    }
}
