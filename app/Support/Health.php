<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What a Luftig at work is known by: what waits, what fails, and when what has to happen happened last. */
final readonly class Health
{
    private const BEAT = 'scheduler';

    /**
     * @param  int|null  $oldestJob  seconds for which the oldest waits to be begun
     * @param  int|null  $beat  seconds since the scheduler ran; null: it never did
     * @param  int|null  $backup  seconds since the last backup; null: there is none
     * @param  int|null  $computed  seconds since a standing was computed; null: there is none
     * @param  list<string>  $unusual  what somebody did more often within a day than work asks for
     */
    private function __construct(
        public int $jobs,
        public ?int $oldestJob,
        public int $failedJobs,
        public ?int $beat,
        public int $stale,
        public ?int $computed,
        public int $unindexed,
        public int $feeds,
        public int $failingFeeds,
        public int $openIntakes,
        public int $openLookUps,
        public ?int $backup,
        public float $freeBytes,
        public array $unusual,
    ) {
    }

    public static function now(): self
    {
        $count = fn (string $table, string $which = '1'): int => DB::table($table)->whereRaw($which)->count();
        $since = fn (?string $time): ?int => $time === null ? null
            : max(0, now()->getTimestamp() - CarbonImmutable::parse($time, 'UTC')->getTimestamp());
        $oldest = DB::table('jobs')->whereNull('reserved_at')->min('available_at');
        $backup = config()->string('luftig.backed_up');

        return new self(
            $count('jobs'),
            $oldest === null ? null : max(0, now()->getTimestamp() - (int) $oldest),
            $count('failed_jobs'),
            $since(Cache::get(self::BEAT)),
            $count('accounts', 'stale = 1'),
            $since(DB::table('standings')->max('computed_at')),
            $count('finder_changes'),
            $count('feeds', 'deleted_at IS NULL AND NOT paused'),
            $count('feeds', 'deleted_at IS NULL AND NOT paused AND problem IS NOT NULL'),
            $count('intakes', "state IN ('queued', 'running', 'undoing')"),
            $count('look_up_runs', "state IN ('queued', 'running')"),
            is_file($backup) ? $since(trim((string) file_get_contents($backup))) : null,
            (float) (disk_free_space(storage_path()) ?: 0),
            Unusual::ofDay(),
        );
    }

    /** The scheduler is at work. */
    public static function beat(): void
    {
        Cache::forever(self::BEAT, now()->toDateTimeString());
    }

    /** @return array<string, array{float|int|null, string}> name → value and what it is, as programs that watch ask */
    public function metrics(): array
    {
        return [
            'luftig_jobs' => [$this->jobs, 'Jobs that wait or run'],
            'luftig_oldest_job_seconds' => [$this->oldestJob ?? 0, 'How long the oldest job waits to be begun'],
            'luftig_failed_jobs' => [$this->failedJobs, 'Jobs that failed for good'],
            'luftig_scheduler_age_seconds' => [$this->beat, 'Since the scheduler ran last'],
            'luftig_stale_accounts' => [$this->stale, 'Accounts that wait to be computed anew'],
            'luftig_unindexed_changes' => [$this->unindexed, 'Changes beside the Finder’s index'],
            'luftig_feeds' => [$this->feeds, 'Feeds that are asked'],
            'luftig_failing_feeds' => [$this->failingFeeds, 'Feeds whose last run failed'],
            'luftig_open_intakes' => [$this->openIntakes, 'Files that come in'],
            'luftig_open_look_ups' => [$this->openLookUps, 'Runs of look-ups under way'],
            'luftig_backup_age_seconds' => [$this->backup, 'Since the last backup'],
            'luftig_unusual' => [count($this->unusual), 'What people did more often within a day than work asks for'],
            'luftig_free_bytes' => [$this->freeBytes, 'Free on the disk of the storage folder'],
        ];
    }
}
