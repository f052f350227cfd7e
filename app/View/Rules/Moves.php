<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Models\Account;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Support\Format;

/** What other rules would move: the ten biggest moves, and how many accounts change their state. */
final readonly class Moves
{
    private const SHOWN = 10;

    /**
     * @param  list<array{name: string, id: int, before: float|null, after: float|null, was: StandingState|null,
     *     becomes: StandingState}>  $biggest
     * @param  array<string, int>  $states  state → how many there would be
     */
    private function __construct(public array $biggest, public array $states, public int $moved, public int $of)
    {
    }

    /** @param  iterable<int, array<string, mixed>>  $rows account → a standing's columns under the other rules */
    public static function of(Offer $offer, iterable $rows): self
    {
        $now = Standing::query()->where('offer_id', $offer->id)->toBase()->get(['account_id', 'state', 'priority'])
            ->keyBy('account_id');
        $moves = [];
        $states = [];
        $of = $moved = 0;
        foreach ($rows as $id => $row) {
            $of++;
            $states[$row['state']] = ($states[$row['state']] ?? 0) + 1;
            $before = $now[$id] ?? null;
            $by = abs(($row['priority'] ?? 0.0) - ($before->priority ?? 0.0));
            if ($by >= .05 || $before?->state !== $row['state']) {
                $moved++;
                $moves[] = [$by, $id, $before?->priority, $row['priority'], $before?->state, $row['state']];
            }
            if (count($moves) > 5000) {
                $moves = self::top($moves);
            }
        }
        $moves = self::top($moves);
        $names = Account::query()->whereIn('id', array_column($moves, 1))->pluck('name', 'id');

        return new self(array_map(fn (array $move): array => [
            'name' => $names[$move[1]] ?? '', 'id' => $move[1], 'before' => $move[2], 'after' => $move[3],
            'was' => StandingState::tryFrom((string) $move[4]), 'becomes' => StandingState::from($move[5]),
        ], $moves), $states, $moved, $of);
    }

    public function summary(): string
    {
        $states = array_map(
            fn (StandingState $state): string => mb_strtolower($state->label()).' '
                .Format::number($this->states[$state->value] ?? 0),
            StandingState::cases(),
        );

        return Format::number($this->moved).' of '.Format::count($this->of, 'account').' would move. '
            .ucfirst(implode(', ', $states)).'.';
    }

    /** @return list<array{name: string, before: string, after: string}> */
    public function lines(): array
    {
        return array_map(fn (array $move): array => [
            'name' => $move['name'],
            'before' => $move['before'] === null
                ? lcfirst($move['was']?->label() ?? 'new')
                : Format::priority($move['before']),
            'after' => $move['after'] === null ? lcfirst($move['becomes']->label()) : Format::priority($move['after']),
        ], $this->biggest);
    }

    /**
     * @param  list<array{float, int, float|null, float|null, string|null, string}>  $moves
     * @return list<array{float, int, float|null, float|null, string|null, string}>
     */
    private static function top(array $moves): array
    {
        usort($moves, fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_slice($moves, 0, self::SHOWN);
    }
}
