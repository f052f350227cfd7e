<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Models\Account;
use App\Models\Signal;
use App\Models\Standing;
use App\Standings\RuleBook;
use Carbon\CarbonImmutable;
use Luftig\Core\Signal\Counts;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Series;
use Luftig\Core\Signal\Signal as Fact;
use Luftig\Core\Signal\Timing;

/** An account's time: 90 days back, today, 120 days ahead; what the core says of each day. */
final readonly class Ribbon
{
    public const BACK = 90;

    public const AHEAD = 120;

    private const WEDGES = 6;

    /**
     * @param  array<int, float>  $timing  day relative to today → Timing 0–1
     * @param  list<array{signal: Signal, kind: Kind, against: bool, thickness: array<int, float>}>  $wedges  thickness
     *     by day, 0–1 (push against the strongest)
     */
    private function __construct(public array $timing, public array $wedges, public ?int $actBy, public int $more)
    {
    }

    public static function of(Account $account, Standing $standing, RuleBook $book): self
    {
        $signals = $account->signals->keyBy('id');
        $series = Series::group($signals->map(
            fn (Signal $s): Fact => new Fact(
                $s->id,
                $s->kind,
                $s->occurred_at->getTimestamp(),
                $s->strength,
                $s->confidence,
                $s->since?->getTimestamp(),
            ),
        ));
        $now = CarbonImmutable::now()->getTimestamp();
        $timing = [];
        $pushes = [];
        for ($day = -self::BACK; $day <= self::AHEAD; $day++) {
            $then = Timing::of($book->catalogue, $series, $now + 86400 * $day);
            $timing[$day] = $then->value();
            foreach ($then->signals as $weighed) {
                $pushes[$weighed->id][$day] = abs($weighed->push);
            }
        }
        // Those that weigh today first, then those that weighed most.
        $today = array_flip(array_column($standing->lines, 0));
        uksort(
            $pushes,
            fn ($a, $b): int => [isset($today[$a]) ? 0 : 1, $today[$a] ?? -max($pushes[$a])] <=> [
                isset($today[$b]) ? 0 : 1,
                $today[$b] ?? -max($pushes[$b]),
            ],
        );
        $most = $pushes === [] ? 1.0 : max(array_map(fn (array $byDay): float => max($byDay), $pushes));
        $wedges = [];
        foreach (array_slice($pushes, 0, self::WEDGES, true) as $id => $byDay) {
            $signal = $signals[$id] ?? null;
            if ($signal === null) {
                continue;
            }
            $wedges[] = [
                'signal' => $signal,
                'kind' => $signal->kind,
                'against' => $book->catalogue->of($signal->kind)->counts === Counts::Against,
                'thickness' => array_map(fn (float $push): float => $push / max($most, 1e-9), $byDay),
            ];
        }
        $actBy = $standing->act_by === null ? null : (int) CarbonImmutable::today()->diffInDays($standing->act_by);

        return new self($timing, $wedges, $actBy, count($pushes) - count($wedges));
    }
}
