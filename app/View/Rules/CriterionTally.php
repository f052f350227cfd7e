<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Finder\Computed;
use App\Models\Offer;
use App\Models\Standing;
use App\Support\Format;
use Generator;
use Luftig\Core\Fit\Mode;

/** How many accounts each criterion lets in, keeps as unknown and puts out. */
final class CriterionTally
{
    /** @var array<int, array{int, int, int}> criterion → met, unknown, not met */
    private array $counts = [];

    /** Of the standings as they are stored. */
    public static function of(Offer $offer): self
    {
        $tally = new self;
        $tally->counts = Computed::of('criteria', $offer, [], function () use ($offer): array {
            $all = new self;
            foreach (Standing::query()->where('offer_id', $offer->id)->toBase()->select('criteria')->cursor() as $row) {
                $all->add((string) $row->criteria);
            }

            return $all->counts;
        });

        return $tally;
    }

    /**
     * Counts what goes through.
     *
     * @param  iterable<int, array<string, mixed>>  $rows  account → a standing's columns
     * @return Generator<int, array<string, mixed>>
     */
    public function through(iterable $rows): Generator
    {
        foreach ($rows as $id => $row) {
            $this->add(is_string($row['criteria'] ?? null) ? $row['criteria'] : '[]');
            yield $id => $row;
        }
    }

    public function says(int $criterion, Mode $mode): string
    {
        [$met, $unknown, $not] = $this->counts[$criterion] ?? [0, 0, 0];
        $says = match ($mode) {
            Mode::Must => [[$met, 'in'], [$unknown, 'unknown, kept'], [$not, 'out']],
            Mode::MustNot => [[$not, 'in'], [$unknown, 'unknown, kept'], [$met, 'out']],
            Mode::Prefer => [[$met, 'met'], [$unknown, 'unknown, half'], [$not, 'not met']],
        };

        return implode(' · ', array_map(fn (array $one): string => Format::number($one[0])." $one[1]", $says));
    }

    /** @param  string  $memberships  JSON */
    private function add(string $memberships): void
    {
        foreach ((array) json_decode($memberships, true) as $i => $membership) {
            $this->counts[$i] ??= [0, 0, 0];
            $this->counts[$i][$membership === null ? 1 : ($membership > 0 ? 0 : 2)]++;
        }
    }
}
