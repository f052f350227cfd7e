<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;

/** What the team once said of a file holds for the next one with the same headings. */
final class Remembered
{
    /** Files that are looked through. */
    private const RECENT = 200;

    /** @param  list<string>  $headings */
    public static function like(IntakeKind $kind, array $headings): ?Intake
    {
        return Intake::query()->where('kind', $kind)->where('state', IntakeState::Done)->latest('id')
            ->limit(self::RECENT)->get()
            ->first(fn (Intake $intake): bool => $intake->format['columns'] === $headings);
    }
}
