<?php

declare(strict_types=1);

namespace App\LookUps;

use Illuminate\Support\Facades\DB;
use Luftig\Core\Buying\Authority;
use stdClass;

/** Of many accounts what decides whether a service knows them: the domain, the country and how large they are. */
final readonly class Companies
{
    /** @param  array<int, stdClass>  $rows  by account */
    private function __construct(private array $rows)
    {
    }

    /** @param  array<int>  $accounts */
    public static function of(array $accounts): self
    {
        return new self(DB::table('accounts')->leftJoin('places', fn ($join) => $join
            ->on('places.account_id', '=', 'accounts.id')->where('headquarters', true))
            ->whereIn('accounts.id', $accounts)->orderByDesc('places.id')
            ->get(['accounts.id', 'domain', 'headcount', 'country'])->keyBy('id')->all());
    }

    public function hasDomain(int $account): bool
    {
        return isset($this->rows[$account]->domain);
    }

    /** Where its headquarters is. */
    public function country(int $account): ?string
    {
        return $this->rows[$account]->country ?? null;
    }

    /** The class of size that records tell apart. */
    public function size(int $account): int
    {
        return Authority::sizeClass($this->rows[$account]->headcount ?? null);
    }
}
