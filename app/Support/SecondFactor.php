<?php

declare(strict_types=1);

namespace App\Support;

use App\Events\SecondFactorChanged;
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
            // They are random enough not to be guessed, and need no slow hash.
            'recovery_codes' => array_map(Keys::hash(...), $codes),
        ]);
        activity()->performedOn($user)->log('second factor set up');
        SecondFactorChanged::dispatch($user, true);

        return $codes;
    }

    public static function end(User $user): void
    {
        $user->update([
            'second_factor' => null, 'second_factor_step' => null, 'second_factor_at' => null, 'recovery_codes' => null,
        ]);
        activity()->performedOn($user)->log('second factor taken away');
        SecondFactorChanged::dispatch($user, false);
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
            // On paper they stay what they were, whatever key they were kept with.
            $kept = Keys::hashes(Str::lower(trim($code)));
            $left = array_diff($user->recovery_codes ?? [], $kept);
            if (count($left) === count($user->recovery_codes ?? [])) {
                return false;
            }
            $user->update(['recovery_codes' => array_values($left)]);
            activity()->performedOn($user)->causedBy($user)->log('signed in with a code kept on paper');

            return true;
        });
    }
}
