<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Offer;
use App\Standings\RuleBook;

/** For which offers something from outside is a signal. */
final class Caring
{
    /** @var array<int, RuleBook>|null by offer */
    private ?array $books = null;

    /**
     * @param  callable(RuleBook): bool  $cares
     * @return list<int|null> the offers that care; null alone: all alike do
     */
    public function offers(callable $cares): array
    {
        $books = $this->books();
        $caring = array_keys(array_filter($books, $cares));

        return count($caring) === count($books) ? [null] : $caring;
    }

    /** @return array<int, RuleBook> */
    private function books(): array
    {
        return $this->books ??= Offer::query()->with('rules')->orderBy('id')->get()
            ->filter(fn (Offer $offer): bool => $offer->rules !== null)
            ->mapWithKeys(fn (Offer $offer): array => [
                $offer->id => RuleBook::of($offer->rules ?? throw new \LogicException('filtered above')),
            ])->all();
    }
}
