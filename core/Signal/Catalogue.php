<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** The kinds of signal with their weights and lives (rule 2), as one offer sees them. */
final readonly class Catalogue
{
    /** @param  array<string, KindRule>  $rules by kind, complete */
    private function __construct(public array $rules)
    {
    }

    /** The catalogue of rule 2. */
    public static function standard(): self
    {
        $rules = [];
        foreach ([
            [Kind::Funding, .50, 0, 14, 60],
            [Kind::Hiring, .45, 0, 21, 30],
            [Kind::Growth, .35, 0, 30, 60],
            [Kind::Decline, .35, 0, 30, 60, Counts::Against],
            [Kind::NewLeader, .55, 14, 46, 45],
            [Kind::Promotion, .35, 14, 46, 45],
            [Kind::CustomerAlum, .65, 7, 53, 60],
            [Kind::LeadershipChange, .30, 0, 21, 45],
            [Kind::TechAdopted, .40, 0, 30, 90],
            [Kind::TechDropped, .50, 0, 30, 60],
            [Kind::PostEngagement, .50, 0, 2, 4],
            [Kind::OwnEngagement, .50, 0, 2, 7],
            [Kind::TopicInterest, .30, 0, 7, 14],
            [Kind::News, .25, 0, 3, 14],
            [Kind::Expansion, .40, 0, 30, 60],
            [Kind::HiringFreeze, .30, 0, 30, 60, Counts::Against],
            [Kind::RivalSigned, .60, 0, 90, 180, Counts::Against],
        ] as $row) {
            [$kind, $weight, $ramp, $hold, $halfLife] = $row;
            $rules[$kind->value] = new KindRule($kind, $weight, $ramp, $hold, $halfLife, $row[5] ?? Counts::For);
        }

        return new self($rules);
    }

    public function with(KindRule ...$changed): self
    {
        $rules = $this->rules;
        foreach ($changed as $rule) {
            $rules[$rule->kind->value] = $rule;
        }

        return new self($rules);
    }

    public function of(Kind $kind): KindRule
    {
        return $this->rules[$kind->value];
    }
}
