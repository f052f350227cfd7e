<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** How high somebody stands, as far as a title says it (rule 7). */
enum Seniority: string
{
    case Unknown = 'unknown';
    case Junior = 'junior';
    case Specialist = 'specialist';
    case Manager = 'manager';
    case Head = 'head';
    case Director = 'director';
    case VicePresident = 'vice_president';
    case Chief = 'chief';
    case Owner = 'owner';

    /** 0 (unknown) to 8 (owner). */
    public function rank(): int
    {
        static $ranks = [];

        return $ranks[$this->value] ??= (int) array_search($this, self::cases(), true);
    }

    public static function ofRank(int $rank): self
    {
        return self::cases()[$rank];
    }

    public function label(): string
    {
        return str_replace('_', ' ', $this->value);
    }
}
