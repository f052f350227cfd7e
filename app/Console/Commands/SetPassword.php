<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\Support\SecondFactor;
use Illuminate\Console\Command;
use Illuminate\Support\Str;

final class SetPassword extends Command
{
    protected $signature = 'luftig:password {email : Whose it is}';

    protected $description = 'Gives somebody who lost a password a new one, and shows it once';

    public function handle(): int
    {
        $email = $this->argument('email');
        $user = User::query()->where('signs_in', true)->where('email', mb_strtolower((string) $email))
            ->first();
        if ($user === null) {
            $this->error('Nobody who signs in has that address. Those who do: '
                .User::query()->where('signs_in', true)->orderBy('email')->pluck('email')->implode(', ').'.');

            return self::FAILURE;
        }
        $password = Str::password(16, symbols: false);
        $user->update(User::given($password));
        if ($user->second_factor !== null) {
            SecondFactor::end($user);
            $this->line('The second factor is taken away, too; it can be set up again.');
        }
        activity()->performedOn($user)->log('password of '.$user->name.' set from the command line');
        $this->line("{$user->email} signs in with the password {$password} now (it is not shown again,"
            .' and lets in for a week).');

        return self::SUCCESS;
    }
}
