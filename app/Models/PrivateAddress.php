<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * An address that needs no sign-in, since whoever has it reads what is somebody's: it is shown once, and only its hash
 * is kept.
 *
 * @property int $user_id
 * @property string $what
 * @property string $hash
 * @property CarbonImmutable $made_at
 * @property-read User $user
 */
final class PrivateAddress extends Model
{
    public const ALERTS = 'alerts';

    public const STEPS = 'steps';

    private const LENGTH = 40;

    public $timestamps = false;

    public $incrementing = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['made_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** A new one; the one before holds no more. */
    public static function renew(User $user, string $what): string
    {
        $key = Str::random(self::LENGTH);
        DB::table('private_addresses')->updateOrInsert(
            ['user_id' => $user->id, 'what' => $what],
            ['hash' => hash('sha256', $key), 'made_at' => now()],
        );

        return $key;
    }

    public static function end(User $user, string $what): void
    {
        DB::table('private_addresses')->where('user_id', $user->id)->where('what', $what)->delete();
    }

    public static function of(User $user, string $what): ?self
    {
        return self::query()->where('user_id', $user->id)->where('what', $what)->first();
    }

    /** Whose it is, where they sign in still. */
    public static function owner(string $key, string $what): ?User
    {
        $user = self::query()->with('user')->where('hash', hash('sha256', $key))->where('what', $what)->first()?->user;

        return $user?->signs_in === true ? $user : null;
    }
}
