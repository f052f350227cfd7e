<?php

declare(strict_types=1);

namespace Database\Demo;

/** Invents what people did before, for up to thirty years, at companies that are nobody's accounts. */
final class Careers
{
    /** Who has been in the position for longer than this is no news; nothing follows from what they did before. */
    private const SETTLED_DAYS = 740;

    private const LONGEST_DAYS = 10_950;

    /** What one was before, from the first step on. */
    private const STEPS = [
        ['Trainee', 'Apprentice', 'Technician', 'Clerk'],
        ['Process Technician', 'Production Planner', 'Shift Lead', 'Project Engineer', 'Accountant', 'Buyer'],
        ['Production Supervisor', 'Technical Manager', 'Project Manager', 'Quality Manager', 'Sales Manager'],
    ];

    public function __construct(private readonly Dice $dice, private readonly int $now)
    {
    }

    /** @return string as a file of contacts has it, the latest first; empty: nothing is known */
    public function before(string $country, int $daysInPosition): string
    {
        if ($daysInPosition < self::SETTLED_DAYS || ! $this->dice->chance(.45)) {
            return '';
        }
        $positions = [];
        $until = $daysInPosition;
        for ($step = $this->dice->int(0, 2); $step >= 0; $step--) {
            $since = $until + $this->dice->int(500, 3600);
            if ($since > self::LONGEST_DAYS) {
                break;
            }
            $positions[] = $this->dice->pick(self::STEPS[$step]).', '.$this->company($country).', '
                .$this->month($since).'–'.$this->month($until);
            $until = $since + $this->dice->int(0, 120);
        }

        return implode(' | ', $positions);
    }

    private function company(string $country): string
    {
        [$first, $last] = Words::STEMS[$country] ?? Words::STEMS['SE'];

        return $this->dice->pick($first).$this->dice->pick($last).' Industri';
    }

    private function month(int $daysAgo): string
    {
        return gmdate('n/Y', $this->now - 86_400 * $daysAgo);
    }
}
