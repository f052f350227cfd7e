<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\CustomerPeriod;

/** When accounts were customers, looked up with the first position that is asked for. */
final class CustomerTimes
{
    /** @var array<int, list<array{int|null, int|null}>>|null account → since and until, in days since 1970 */
    private ?array $periods = null;

    /**
     * Whether a position was at an account while it was a customer.
     *
     * @param  list<mixed>  $position  account, company, title, reading, since and until in days since 1970
     */
    public function had(array $position): bool
    {
        $this->periods ??= $this->read();
        foreach ($position[0] === null ? [] : $this->periods[$position[0]] ?? [] as [$since, $until]) {
            if (
                ($since === null || $position[5] >= $since)
                && ($until === null || $position[4] === null || $position[4] <= $until)
            ) {
                return true;
            }
        }

        return false;
    }

    /** @return array<int, list<array{int|null, int|null}>> */
    private function read(): array
    {
        $periods = [];
        foreach (
            CustomerPeriod::query()->toBase()
                ->selectRaw('account_id, TO_DAYS(since) - 719528 AS since, TO_DAYS(until) - 719528 AS until')
                ->get() as $row
        ) {
            $periods[$row->account_id][] = [$row->since, $row->until];
        }

        return $periods;
    }
}
