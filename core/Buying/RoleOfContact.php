<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Person\Title;

/**
 * How far a contact takes part in buying: Role = weight · function match · √(authority · accessibility), 0–1 (rule 8).
 */
final readonly class RoleOfContact
{
    /** From this match on somebody is in a buyer role (rules 5 and 8). */
    public const IN_ROLE = .8;

    private const LARGE = 1000;

    private const KNOWN_WELL = .3;

    private function __construct(
        public BuyerRole $buyerRole,
        public Title $title,
        public float $match,
        public float $authority,
        public float $accessibility,
        public float $value,
    ) {
    }

    /**
     * The buyer role in which somebody weighs most.
     *
     * @param  list<BuyerRole>  $roles
     * @param  string  $text  the title as it is written
     * @return self|null null: not eligible for any
     */
    public static function best(
        array $roles,
        Title $title,
        string $text,
        ?string $country,
        ?int $headcount,
        bool $association = false,
    ): ?self {
        $best = null;
        foreach ($roles as $role) {
            $found = $role->finds($text, $country);
            if ($found === false) {
                continue;
            }
            $authority = Authority::of($title, $headcount, $association, $found === true);
            if ($authority === null) {
                return null;
            }
            $match = $found === true ? 1.0 : $role->match($title, $headcount);
            $value = $role->weight * $match * sqrt($authority->authority * $authority->accessibility);
            if ($value > 0 && ($best === null || $value > $best->value)) {
                $best = new self($role, $title, $match, $authority->authority, $authority->accessibility, $value);
            }
        }

        return $best;
    }

    public function isInRole(): bool
    {
        return $this->match >= self::IN_ROLE;
    }

    /**
     * The first part that applies.
     *
     * @param  bool  $live  has a live signal of their own
     * @param  float  $intro  strength of the best intro path
     */
    public function part(?int $headcount, bool $live, float $intro = 0.0): Part
    {
        $heads = $this->title->seniority === Seniority::Owner
            || $this->title->seniority === Seniority::Chief && $this->title->has(BusinessFunction::GeneralManagement);

        return match (true) {
            $this->authority >= .7 && $this->match >= .5,
            $heads && ($headcount ?? 0) < self::LARGE => Part::SignsOff,
            $this->authority >= .4 && $this->isInRole() => Part::Shapes,
            $this->isInRole() && $this->accessibility >= .8 && ($live || $intro >= self::KNOWN_WELL) => Part::Champion,
            $this->match >= 1.0 => Part::User,
            default => Part::NextDoor,
        };
    }
}
