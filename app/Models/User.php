<?php

declare(strict_types=1);

namespace App\Models;

use App\Events\AddressChanged;
use App\Events\PasswordChanged;
use Carbon\CarbonImmutable;
use Database\Factories\UserFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Laravel\Sanctum\HasApiTokens;
use Laravel\Sanctum\PersonalAccessToken;
use Spatie\Activitylog\LogOptions;
use Spatie\Activitylog\Traits\LogsActivity;

/**
 * A person of the team; leaders and colleagues who never sign in are here too.
 *
 * @property int $id
 * @property string $name
 * @property string|null $email
 * @property string|null $password
 * @property CarbonImmutable|null $password_until for how long it lets in; null: they chose it themselves
 * @property Role $role
 * @property bool $signs_in
 * @property int $pace
 * @property list<string>|null $recent_conditions  in the Finder, the last first
 * @property string $time_zone where their day is
 * @property int $digest_hour of their day, at which their digest is mailed
 * @property string|null $digest_on the last day on which one was
 * @property string|null $second_factor what its codes follow from
 * @property int|null $second_factor_step of the last code that counted
 * @property CarbonImmutable|null $second_factor_at
 * @property list<string>|null $recovery_codes  hashed
 * @property array<int, array<string, string>>|null $narrowed  by offer: the list and the role that Today shows
 */
final class User extends Authenticatable
{
    /** @use HasApiTokens<PersonalAccessToken> */
    use HasApiTokens;

    /** @use HasFactory<UserFactory> */
    use HasFactory;

    use LogsActivity;
    use ReadsQuickly;

    private const DAYS_A_WEEK = 5;

    /** Days for which a password lets in that somebody else chose. */
    private const GIVEN = 7;

    protected $guarded = [];

    /** @var array<string, mixed> */
    protected $attributes = ['time_zone' => 'UTC'];

    protected $hidden = ['password', 'remember_token', 'second_factor', 'recovery_codes'];

    protected static function booted(): void
    {
        // With another password, or none, no browser that was told to remember is still signed in.
        self::updating(function (self $user): void {
            if ($user->isDirty(['password', 'signs_in'])) {
                $user->setRememberToken(Str::random(60));
            }
            if ($user->isDirty('password') && ! $user->isDirty('password_until')) {
                $user->password_until = null;
            }
        });
        self::updated(function (self $user): void {
            if ($user->wasChanged('signs_in') && ! $user->signs_in) {
                $user->tokens()->delete();
            }
            if ($user->wasChanged('password')) {
                PasswordChanged::dispatch($user, Auth::user());
            }
            if ($user->wasChanged('email') && $user->getOriginal('email') !== null) {
                AddressChanged::dispatch($user, (string) $user->getOriginal('email'));
            }
        });
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'password' => 'hashed', 'role' => Role::class, 'signs_in' => 'boolean', 'recent_conditions' => 'array',
            'narrowed' => 'array', 'second_factor' => 'encrypted', 'second_factor_at' => 'datetime',
            'password_until' => 'datetime',
            'recovery_codes' => 'array',
        ];
    }

    /**
     * With what follows from it: tokens that end, and the mail that tells of it.
     *
     * @param  array<string, mixed>  $options
     */
    public function save(array $options = []): bool
    {
        return $this->getConnection()->transaction(fn (): bool => parent::save($options));
    }

    /** @return array<string, mixed> a password that somebody else chose for them */
    public static function given(string $password): array
    {
        return ['password' => $password, 'password_until' => now()->addDays(self::GIVEN)];
    }

    /** The date where they are. */
    public function today(): CarbonImmutable
    {
        return CarbonImmutable::parse(CarbonImmutable::now($this->time_zone)->toDateString());
    }

    /** When their day began. */
    public function dayBegan(): CarbonImmutable
    {
        return CarbonImmutable::now($this->time_zone)->startOfDay()->utc();
    }

    /** When their week began, on Monday. */
    public function weekBegan(): CarbonImmutable
    {
        return CarbonImmutable::now($this->time_zone)->startOfWeek(CarbonImmutable::MONDAY)->utc();
    }

    /** So many approaches a week (rule 18). */
    public function paceOfWeek(): int
    {
        return self::DAYS_A_WEEK * $this->pace;
    }

    public function leads(): bool
    {
        return $this->role !== Role::Rep;
    }

    /**
     * Of whom one may say whom they know and where they were: oneself, and those of us who never sign in.
     *
     * @return array<int, string> id → name
     */
    public function speaksFor(): array
    {
        return [$this->id => $this->name]
            + self::query()->where('signs_in', false)->orderBy('name')->pluck('name', 'id')->all();
    }

    public function initials(): string
    {
        return collect(explode(' ', $this->name))->map(fn (string $part): string => mb_substr($part, 0, 1))->take(2)
            ->implode('');
    }

    public function getActivitylogOptions(): LogOptions
    {
        return LogOptions::defaults()->logOnly(['name', 'email', 'role', 'signs_in', 'pace'])->logOnlyDirty()
            ->dontSubmitEmptyLogs();
    }
}
