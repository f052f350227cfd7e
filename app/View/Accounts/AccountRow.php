<?php

declare(strict_types=1);

namespace App\View\Accounts;

use App\Models\Standing;
use App\Models\StandingState;
use App\Standings\SignalLine;
use App\Support\Format;
use Carbon\CarbonImmutable;

/** An account in the ranking. */
final readonly class AccountRow
{
    private const BARBS = 2;

    /** A move of less is none. */
    private const STILL = .5;

    /** @param  list<SignalLine>  $lines */
    public function __construct(public Standing $standing, private array $lines, public string $url)
    {
    }

    public function score(): string
    {
        return $this->standing->priority === null
            ? Format::points($this->standing->points)
            : Format::priority($this->standing->priority);
    }

    public function about(): string
    {
        $account = $this->standing->account;

        return Format::line(
            $account->headquarters()?->city,
            Format::heads($account->headcount, $account->headcount_given),
        );
    }

    /** @return list<SignalLine> */
    public function barbs(): array
    {
        $shown = $this->standing->state === StandingState::Ranked || $this->standing->isDragged();

        return $shown ? array_slice($this->lines, 0, self::BARBS) : [];
    }

    public function more(): int
    {
        return $this->barbs() === [] ? 0 : max(0, count($this->lines) - self::BARBS);
    }

    public function fit(): string
    {
        return Format::part($this->standing->fit).($this->standing->coverage < 1 ? ' ?' : '');
    }

    /** Between which bounds the fit lies, where something is unknown. */
    public function bounds(): ?string
    {
        return $this->standing->coverage < 1
            ? 'Between '.Format::part($this->standing->fit_low).' and '.Format::part($this->standing->fit_high)
            .': '.Format::percent(1 - $this->standing->coverage).' of the weight is unknown' : null;
    }

    public function owner(): string
    {
        return (string) strtok((string) $this->standing->account->owner?->name, ' ');
    }

    public function approached(): ?CarbonImmutable
    {
        $at = $this->standing->account->getAttribute('approaches_max_made_at');

        return $at === null ? null : CarbonImmutable::parse((string) $at, 'UTC');
    }

    public function moved(): string
    {
        $moved = $this->standing->moved;

        return match (true) {
            $moved === null => 'new',
            abs($moved) < self::STILL => 'same',
            default => ($moved > 0 ? '+' : '−').(int) round(abs($moved)),
        };
    }
}
