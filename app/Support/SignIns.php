<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Where somebody is signed in, and ending it. What opens a session is never shown; a mark stands for it. */
final readonly class SignIns
{
    private const BROWSERS = ['Firefox' => 'Firefox', 'Edg' => 'Edge', 'OPR' => 'Opera', 'Chrom' => 'Chrome',
        'Safari' => 'Safari'];

    private const SYSTEMS = ['Android' => 'Android', 'iPhone' => 'iPhone', 'iPad' => 'iPad', 'Windows' => 'Windows',
        'Mac OS' => 'a Mac', 'Linux' => 'Linux'];

    /** @param  array<string, array{mark: string, what: string, when: string, isThis: bool}>  $all  by session */
    private function __construct(public array $all)
    {
    }

    public static function of(User $user, string $here): self
    {
        $all = [];
        foreach (
            DB::table('sessions')->where('user_id', $user->id)->orderByDesc('last_activity')
                ->get(['id', 'ip_address', 'user_agent', 'last_activity']) as $one
        ) {
            $all[(string) $one->id] = [
                'mark' => substr(hash('sha256', (string) $one->id), 0, 16),
                'what' => Format::line(self::named((string) $one->user_agent), $one->ip_address),
                'when' => Format::ago(CarbonImmutable::createFromTimestampUTC((int) $one->last_activity)),
                'isThis' => $one->id === $here,
            ];
        }

        return new self($all);
    }

    /** @param  string  $mark  one of them, or “others” for all but this one */
    public function end(User $user, string $mark): int
    {
        $ended = array_keys(array_filter(
            $this->others(), fn (array $one): bool => $mark === 'others' || $mark === $one['mark'],
        ));
        $user->setRememberToken(Str::random(60));
        $user->save();

        return DB::table('sessions')->where('user_id', $user->id)->whereIn('id', array_map(strval(...), $ended))
            ->delete();
    }

    /** @return array<string, array{mark: string, what: string, when: string, isThis: bool}> */
    public function others(): array
    {
        return array_filter($this->all, fn (array $one): bool => ! $one['isThis']);
    }

    /** As far as a browser says what it is. */
    private static function named(string $agent): string
    {
        $of = fn (array $known): ?string => array_values(array_filter(
            $known, fn (string $word): bool => str_contains($agent, $word), ARRAY_FILTER_USE_KEY,
        ))[0] ?? null;
        $browser = $of(self::BROWSERS) ?? 'a browser';
        $system = $of(self::SYSTEMS);

        return $system === null ? $browser : "$browser on $system";
    }
}
