<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Offer;
use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Console\ManuallyFailedException;
use Symfony\Component\Console\Output\OutputInterface;

/** A command that somebody of the team gives, named by --by, for an offer, named by --offer. */
abstract class ForSomebody extends Command
{
    protected function by(): User
    {
        return User::query()->where('signs_in', true)->where('email', $this->option('by'))->first()
            ?? throw new ManuallyFailedException('Say who you are: --by= the address with which somebody signs in.');
    }

    protected function offer(): Offer
    {
        $asked = $this->option('offer');

        return Offer::query()->with('rules')->orderBy('id')
            ->when(is_string($asked), fn ($query) => $query->where('id', $asked)->orWhere('name', $asked))->first()
            ?? throw new ManuallyFailedException('There is no such offer.');
    }

    /** As it is: what looks like a mark of colour is text of somebody's. */
    protected function say(string $line): void
    {
        $this->output->writeln($line, OutputInterface::OUTPUT_RAW);
    }
}
