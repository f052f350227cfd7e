<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;

/** What of the log somebody should look at: more of one deed by one person within a day than work asks for. */
final class Unusual
{
    /** As the log has it → from how many on, and what one of them is called. */
    private const DEEDS = [
        'sign-in failed' => [10, 'sign-in that failed', 'sign-ins that failed'],
        'sign-in failed at the second factor' => [5, 'code that did not count', 'codes that did not count'],
        'was refused' => [10, 'refusal', 'refusals'],
        'exported' => [25, 'export', 'exports'],
        'asked very often' => [1, 'hour of very many requests', 'hours of very many requests'],
    ];

    /** Whoever has not signed in, and programs of a source. */
    private const NOBODY = 'None of us';

    /** @return list<string> “Mira: 30 exports”, the most first */
    public static function ofDay(): array
    {
        $rows = DB::table('activity_log')->leftJoin('users', 'users.id', '=', 'causer_id')
            ->where('activity_log.created_at', '>=', CarbonImmutable::now()->subDay())
            ->whereIn('description', array_keys(self::DEEDS))->groupBy('users.id', 'users.name', 'description')
            ->orderByDesc('times')->get(['users.name', 'description', DB::raw('COUNT(*) AS times')]);
        $unusual = [];
        foreach ($rows as $row) {
            [$least, $one, $many] = self::DEEDS[$row->description];
            if ($row->times >= $least) {
                $unusual[] = ($row->name ?? self::NOBODY).': '.Format::count((int) $row->times, $one, $many);
            }
        }

        return $unusual;
    }
}
