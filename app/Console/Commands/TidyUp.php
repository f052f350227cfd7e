<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Finder\Pasted;
use App\Models\FeedItem;
use App\Models\Intake;
use App\Support\LogBook;
use Illuminate\Console\Command;

/**
 * Removes what somebody began and did not go on with, and what feeds brought as it came long ago, since it holds what
 * people may ask to be erased.
 */
final class TidyUp extends Command
{
    /** Days after which pasted values that no list and no watch needs are forgotten. */
    private const PASTED_DAYS = 90;

    /** Seconds for which a file may be there before the row that names it. */
    private const FILE_SECONDS = 86_400;

    protected $signature = 'luftig:tidy';

    protected $description = 'Remove files and pasted lists that nobody went on with';

    public function handle(): int
    {
        $this->call('model:prune', ['--model' => [Intake::class]]);
        $known = Intake::query()->pluck('path')->flip();
        foreach (glob(config('luftig.intakes').'/*') ?: [] as $file) {
            if (
                is_file($file)
                && ! isset($known[basename($file)])
                && filemtime($file) < now()->getTimestamp() - self::FILE_SECONDS
            ) {
                @unlink($file);
            }
        }
        Pasted::forget(self::PASTED_DAYS);
        LogBook::forget(config()->integer('luftig.log_days'));
        FeedItem::forgetRaw(now()->subDays(config()->integer('luftig.raw_days')));

        return self::SUCCESS;
    }
}
