<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Models\Account;
use App\Support\Format;
use App\Support\FunctionNames;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Signal\Headcounts;
use Luftig\Core\Signal\Trend;

/** How an account grows: heads by month, all and by function, and how far they went over 3, 6 and 12 months. */
final readonly class Growth
{
    public const WIDTH = 220;

    public const HEIGHT = 40;

    /** @param  array<string, array<string, int>>  $months  function → month → heads */
    private function __construct(private array $months)
    {
    }

    public static function of(Account $account): self
    {
        $months = [];
        foreach (
            DB::table('headcounts')->where('account_id', $account->id)->orderBy('month')->get() as $row
        ) {
            $months[$row->function][$row->month] = (int) $row->heads;
        }

        return new self($months);
    }

    public function isEmpty(): bool
    {
        return $this->months === [];
    }

    /** @return list<array{name: string, heads: string, says: string, points: string, label: string}> the whole first */
    public function lines(): array
    {
        $lines = [];
        foreach ($this->months as $function => $months) {
            $counts = new Headcounts($months);
            $is = BusinessFunction::tryFrom((string) $function);
            $name = $is === null ? 'all' : FunctionNames::of($is);
            $says = implode(' · ', array_map(fn (int $span): string => $this->change($counts, $span), Trend::SPANS));
            $lines[] = [
                'name' => $name, 'heads' => Format::number($months[(string) $counts->latest()] ?? 0), 'says' => $says,
                'points' => self::points(array_values($months)), 'label' => "Heads, $name, by month: $says",
            ];
        }
        usort($lines, fn (array $a, array $b): int => [$a['name'] !== 'all', $a['name']]
            <=> [$b['name'] !== 'all', $b['name']]);

        return $lines;
    }

    private function change(Headcounts $counts, int $months): string
    {
        $change = $counts->change($months);

        return $change === null ? "$months months: not known" : "$months months: ".Format::growth($change);
    }

    /** @param  list<int>  $heads */
    private static function points(array $heads): string
    {
        if ($heads === []) {
            return '';
        }
        [$low, $high] = [min($heads), max($heads)];
        $points = [];
        foreach ($heads as $i => $one) {
            $x = count($heads) === 1 ? 0 : self::WIDTH * $i / (count($heads) - 1);
            $y = $high === $low ? self::HEIGHT / 2 : 2 + (self::HEIGHT - 4) * ($high - $one) / ($high - $low);
            $points[] = sprintf('%.1f,%.1f', $x, $y);
        }

        return implode(' ', $points);
    }
}
