<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Offer;
use App\Models\Role;
use App\Models\User;
use App\Standings\FirstSteps;
use App\Support\Gazetteer;
use App\Support\KeyStatistics;
use Database\Demo\Scenario;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

final class LoadDemo extends Command
{
    protected $signature = 'luftig:demo {--if-empty : Do nothing where there is data already}';

    protected $description = 'Fills an empty base with the demo data';

    public function handle(): int
    {
        Gazetteer::load();
        if (config('luftig.demo') !== true) {
            if (! User::query()->exists()) {
                $this->begin();
            }

            return self::SUCCESS;
        }
        if (User::query()->exists()) {
            if ($this->option('if-empty') !== true) {
                $this->warn('There is data already; ./luftig reset makes room.');
            }

            return $this->option('if-empty') === true ? self::SUCCESS : self::FAILURE;
        }
        // All of it or nothing: the next start begins anew after an interruption.
        DB::transaction(fn () => (new Scenario)->load(fn (string $line) => $this->line($line)));
        KeyStatistics::refresh();

        return self::SUCCESS;
    }

    /** Without the demo: somebody who can sign in, and an offer to set rules for. */
    private function begin(): void
    {
        $password = Str::password(16, symbols: false);
        $admin = User::query()->create([
            'name' => 'Admin', 'email' => 'admin@luftig.example', 'role' => Role::Admin, ...User::given($password),
        ]);
        $offer = Offer::query()->create(['name' => FirstSteps::UNNAMED]);
        $offer->ruleSets()->create([
            'version' => 1, 'criteria' => [], 'kinds' => [], 'author_id' => $admin->id,
            'note' => 'begun with the standard catalogue',
        ]);
        $this->line("Sign in as {$admin->email} with the password {$password} (it is not shown again, and lets "
            .'in for a week: choose one of your own under My pace).');
    }
}
