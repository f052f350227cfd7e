<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Account;
use App\Models\Note;
use App\Models\User;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A note on an account.
 *
 * @extends Factory<Note>
 */
final class NoteFactory extends Factory
{
    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'account_id' => Account::factory(),
            'user_id' => User::factory(),
            'text' => 'Call in spring.',
        ];
    }
}
