<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A second thing, beside the password, that somebody has: a program that shows codes, or a code kept on paper. */
final class SecondFactor
{
    private const ON_PAPER = 8;

    /** @return list<string> codes for whoever loses the program, each good for once; they are shown this once */
    public static function begin(User $user, string $secret, int $step): array
    {
        $codes = array_map(
            fn (): string => Str::lower(Str::random(5).'-'.Str::random(5)), range(1, self::ON_PAPER),
        );
        $user->update([
            'second_factor' => $secret, 'second_factor_step' => $step, 'second_factor_at' => now(),
            'recovery_codes' => array_map(self::kept(...), $codes),
        ]);
        activity()->performedOn($user)->log('second factor set up');

        return $codes;
    }

    public static function end(User $user): void
    {
        $user->update([
            'second_factor' => null, 'second_factor_step' => null, 'second_factor_at' => null, 'recovery_codes' => null,
        ]);
        activity()->performedOn($user)->log('second factor taken away');
    }

    /** Whether a code counts; it does so once. */
    public static function accepts(User $user, string $code): bool
    {
        return DB::transaction(function () use ($user, $code): bool {
            // Two who type the same code at once: one of them.
            $user = User::query()->lockForUpdate()->findOrFail($user->id);
            $step = $user->second_factor === null ? null
                : OneTimeCode::step($user->second_factor, $code, now()->getTimestamp(), $user->second_factor_step);
            if ($step !== null) {
                $user->update(['second_factor_step' => $step]);

                return true;
            }
            $kept = self::kept(Str::lower(trim($code)));
            if (! in_array($kept, $user->recovery_codes ?? [], true)) {
                return false;
            }
            $user->update(['recovery_codes' => array_values(array_diff($user->recovery_codes ?? [], [$kept]))]);
            activity()->performedOn($user)->causedBy($user)->log('signed in with a code kept on paper');

            return true;
        });
    }

    /** They are random enough not to be guessed, and need no slow hash. */
    private static function kept(string $code): string
    {
        return hash_hmac('sha256', $code, config()->string('app.key'));
    }
}
