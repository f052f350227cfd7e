<?php

declare(strict_types=1);

namespace App\Standings;

use App\Events\StandingsFellBehind;
use App\Support\LostRows;
use Illuminate\Support\Facades\DB;
use PDOException;

/**
 * The accounts that a request of a person changed. They, and no others, are computed before the person sees the next
 * page; what cannot be computed just now keeps its mark and is computed by the worker, since what was saved is saved.
 */
final class ChangedAccounts
{
    /** So many are computed while somebody waits. */
    private const MOST = 200;

    /** So long one waits for a lock while somebody waits. */
    private const SECONDS = 3;

    /** @var array<int, true>|null null: nobody waits */
    private ?array $accounts = null;

    public function __construct(private readonly Standings $standings)
    {
    }

    /** From now on somebody waits for what changes. */
    public function begin(): void
    {
        $this->accounts = [];
    }

    /** @param  list<int>  $accounts */
    public function add(array $accounts): void
    {
        if ($this->accounts !== null) {
            $this->accounts += array_fill_keys($accounts, true);
        }
    }

    public function settle(): void
    {
        $accounts = array_keys($this->accounts ?? []);
        $this->accounts = $this->accounts === null ? null : [];
        if ($accounts === []) {
            return;
        }
        if (count($accounts) > self::MOST) {
            StandingsFellBehind::dispatch();

            return;
        }
        try {
            DB::statement('SET SESSION innodb_lock_wait_timeout = '.self::SECONDS);
            $this->standings->only($accounts);
        } catch (PDOException|LostRows $e) {
            report($e);
            StandingsFellBehind::dispatch();
        } finally {
            DB::statement('SET SESSION innodb_lock_wait_timeout = DEFAULT');
        }
    }
}
