<?php

declare(strict_types=1);

namespace Luftig\StandIns;

/** A register of funding rounds, a page at a time. */
final readonly class Register extends Source
{
    private const PAGE = 50;

    public function answer(array $path, array $query): ?Answer
    {
        $page = max(1, is_numeric($query['page'] ?? null) ? (int) $query['page'] : 1);

        return match ($path) {
            ['rounds.json'] => $this->rounds($page),
            ['headcounts.csv'] => $this->headcounts(),
            default => null,
        };
    }

    /** Heads by month and function, of months that have begun. */
    private function headcounts(): Answer
    {
        $lines = "domain,month,function,heads\n";
        foreach ($this->world->headcounts() as $one) {
            foreach ($one['months'] as $month => $heads) {
                foreach ($heads as $function => $many) {
                    $lines .= "{$one['domain']},$month,$function,$many\n";
                }
            }
        }

        return Answer::of('text/csv', $lines);
    }

    private function rounds(int $page): Answer
    {
        $all = $this->faults->within('register', $this->world->rounds());
        $rounds = array_map(static fn (array $one): array => array_filter([
            'id' => $one['id'], 'domain' => $one['domain'], 'date' => $one['at'], 'round' => $one['round'],
            'amount' => $one['amount'], 'currency' => $one['currency'],
        ], static fn (mixed $value): bool => $value !== null), array_slice($all, ($page - 1) * self::PAGE, self::PAGE));
        $goesOn = count($all) > $page * self::PAGE || $this->faults->of('register') === 'endless';

        return Answer::of('application/json', (string) json_encode([
            'rounds' => $rounds,
            'next' => $goesOn ? "{$this->root}/register/rounds.json?page=".($page + 1) : null,
        ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));
    }
}
