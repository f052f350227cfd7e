<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Feeds\TechnologiesOf;
use App\Models\Account;
use App\Models\Offer;
use App\Models\Technology as Known;
use App\Standings\RuleBook;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Luftig\Core\Company\Technology;
use Luftig\Core\Company\Usage;
use Luftig\Core\Signal\TechnologyStance;

/** What an account runs: what it says to the offer, since when it is seen there, and how sure that is. */
final readonly class Technologies
{
    /** @param  array<string, Usage>  $usages  by key */
    private function __construct(private Account $account, private TechnologyStance $stance, private array $usages)
    {
    }

    public static function of(Account $account, Offer $offer): self
    {
        $usages = [];
        foreach (TechnologiesOf::accounts([$account->id])[$account->id] ?? [] as $usage) {
            $usages[Technology::key($usage->name)] = $usage;
        }

        return new self(
            $account,
            $offer->rules === null ? new TechnologyStance : RuleBook::of($offer->rules)->technologies,
            $usages,
        );
    }

    /** @return list<array{name: string, says: string, seen: string}> what says something first */
    public function lines(): array
    {
        $lines = $this->account->technologies->map(fn (Known $one): array => [
            'name' => $one->name,
            'says' => match (true) {
                $this->stance->completes($one->name) => 'completes us',
                $this->stance->replaces($one->name) => 'replaced by us',
                default => '',
            },
            'seen' => $this->seen($this->usages[Technology::key($one->name)] ?? null),
        ])->sortBy(fn (array $one): array => [$one['says'] === '', $one['name']]);

        return array_values($lines->all());
    }

    private function seen(?Usage $usage): string
    {
        if ($usage?->since === null || $usage->lastSeen === null) {
            return '';
        }
        $day = fn (float $at): string => Format::date(CarbonImmutable::createFromTimestampUTC((int) $at));

        return Format::line(
            "since {$day($usage->since)}",
            $day($usage->since) === $day($usage->lastSeen) ? null : "last seen {$day($usage->lastSeen)}",
            Format::percent($usage->confidence()).' sure',
        );
    }
}
