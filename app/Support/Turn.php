<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Sleep;
use Illuminate\Support\Str;
use RuntimeException;

/**
 * Whose turn something is, that only one may do at a time on however many machines. It stands in the base, and so
 * wherever the base is; whoever has it gives a sign now and then, and loses it by being silent. The time is that of the
 * database.
 */
final readonly class Turn
{
    private const PAUSE = 250;

    private function __construct(private string $of, private string $owner, private int $seconds)
    {
    }

    /** @param  int  $seconds  of silence after which it is another's; null: somebody else has it */
    public static function take(string $of, int $seconds): ?self
    {
        $owner = Str::random(24);
        try {
            DB::statement(
                'INSERT INTO turns (of, owner, until) VALUES (?, ?, UNIX_TIMESTAMP() + ?) ON DUPLICATE KEY UPDATE '
                    .'owner = IF(until < UNIX_TIMESTAMP(), VALUES(owner), owner), '
                    .'until = IF(owner = VALUES(owner), VALUES(until), until)',
                [$of, $owner, $seconds],
            );
        } catch (QueryException $e) {
            // Two took it at once, on two machines; the other was quicker.
            if (! in_array($e->errorInfo[1] ?? null, [1213, 1205], true)) {
                throw $e;
            }
        }

        return DB::table('turns')->where('of', $of)->value('owner') === $owner
            ? new self($of, $owner, $seconds) : null;
    }

    /** Waits for it. */
    public static function await(string $of, int $seconds, int $most): self
    {
        for ($waited = 0; $waited < 1000 * $most; $waited += self::PAUSE) {
            $turn = self::take($of, $seconds);
            if ($turn !== null) {
                return $turn;
            }
            Sleep::for(self::PAUSE)->milliseconds();
        }
        throw new RuntimeException("Somebody else has had the turn of $of for $most seconds.");
    }

    public static function isTaken(string $of): bool
    {
        return DB::table('turns')->where('of', $of)->whereRaw('until >= UNIX_TIMESTAMP()')->exists();
    }

    /**
     * A sign of it. Given in a transaction, nobody takes the turn until that has ended.
     *
     * @throws RuntimeException where it is another's by now; what was begun must not be kept
     */
    public function keep(): void
    {
        $mine = DB::table('turns')->where('of', $this->of)->where('owner', $this->owner);
        if (! (clone $mine)->lockForUpdate()->exists()) {
            throw new RuntimeException("The turn of {$this->of} is another's by now; what was begun is not kept.");
        }
        $mine->update(['until' => DB::raw("UNIX_TIMESTAMP() + {$this->seconds}")]);
    }

    public function end(): void
    {
        DB::table('turns')->where('of', $this->of)->where('owner', $this->owner)->delete();
    }
}
