<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Invariants;
use Illuminate\Console\Command;

final class Check extends Command
{
    protected $signature = 'luftig:check';

    protected $description = 'Says whether what must hold of the base holds';

    public function handle(): int
    {
        $broken = Invariants::broken();
        foreach ($broken as $what => [$many, $some]) {
            $this->error("It does not hold that $what: $many times, as of ".implode(', ', $some).'.');
        }
        $this->line((Invariants::count() - count($broken)).' of '.Invariants::count().' hold.');

        return $broken === [] ? self::SUCCESS : self::FAILURE;
    }
}
