<?php

declare(strict_types=1);

namespace App\View\Team;

use App\Support\Format;
use App\Support\Health;
use Carbon\CarbonImmutable;

/** Whether all is well: what waits, what fails, and what has not happened for too long. */
final readonly class StatusPage
{
    /** Seconds. */
    private const MINUTE = 60;

    private const DAY = 86_400;

    /** Jobs begin within seconds where a worker lives. */
    private const SLOW = 5 * self::MINUTE;

    private const WEEK = 7 * self::DAY;

    private const LITTLE_ROOM = 2_000_000_000;

    private const GIGABYTE = 1_000_000_000;

    private function __construct(private Health $health)
    {
    }

    public static function now(): self
    {
        return new self(Health::now());
    }

    public function about(): string
    {
        $wrong = count(array_filter($this->rows(), fn (array $row): bool => ! $row['isWell']));

        return $wrong === 0 ? 'all is well' : Format::count($wrong, 'thing needs', 'things need').' a look';
    }

    /** @return list<array{name: string, says: string, isWell: bool, then: string, url: string|null}> */
    public function rows(): array
    {
        $health = $this->health;
        $ago = fn (?int $seconds): string => $seconds === null ? 'never'
            : Format::ago(CarbonImmutable::now()->subSeconds($seconds));

        return [
            $this->row('Worker', $health->jobs === 0 ? 'nothing waits'
                : Format::count($health->jobs, 'job waits or runs', 'jobs wait or run'),
                ($health->oldestJob ?? 0) < self::SLOW, 'One waits for more than five minutes: is a worker running?'),
            $this->row('Failed work', $health->failedJobs === 0 ? 'none' : Format::count($health->failedJobs, 'job'),
                $health->failedJobs === 0, 'storage/logs says why; php artisan queue:retry all tries them again.'),
            $this->row('Scheduler', $health->beat === null ? 'has not run yet' : 'ran last '.$ago($health->beat),
                $health->beat !== null && $health->beat < self::SLOW, 'It should run each minute: is it running?'),
            $this->row('Ranking', $health->stale === 0 ? 'all is computed, the last '.$ago($health->computed)
                : Format::count($health->stale, 'account waits', 'accounts wait').' to be computed anew',
                ($health->computed ?? 0) < 2 * self::DAY, 'Nothing was computed for two days.'),
            $this->row('Finder', Format::count($health->unindexed, 'change stands', 'changes stand')
                .' beside the index', true),
            $this->row('Feeds', Format::count($health->feeds, 'is asked', 'are asked').', '
                .($health->failingFeeds === 0 ? 'none fails' : Format::count($health->failingFeeds, 'fails', 'fail')),
                $health->failingFeeds === 0, 'Intake says of each what went wrong.', route('intake.index')),
            $this->row('Files and look-ups', Format::count($health->openIntakes, 'file comes', 'files come').' in, '
                .Format::count($health->openLookUps, 'run', 'runs').' of look-ups under way', true,
                url: route('under-way')),
            $this->row('People', $health->unusual === [] ? 'nothing unusual within a day'
                : implode('; ', $health->unusual).', within a day',
                $health->unusual === [], 'The log says when and what of: is it they, and is it their work?',
                route('log')),
            $this->row('Backup', $health->backup === null ? 'none was made' : 'made '.$ago($health->backup),
                $health->backup !== null && $health->backup < self::WEEK,
                './luftig backup makes one; once a day is usual.'),
            $this->row('Room on the disk', Format::number((int) round($health->freeBytes / self::GIGABYTE)).' GB free',
                $health->freeBytes > self::LITTLE_ROOM, 'Make room before files or feeds stop.'),
        ];
    }

    /** @return array{name: string, says: string, isWell: bool, then: string, url: string|null} */
    private function row(string $name, string $says, bool $isWell, string $then = '', ?string $url = null): array
    {
        return ['name' => $name, 'says' => $says, 'isWell' => $isWell, 'then' => $isWell ? '' : $then, 'url' => $url];
    }
}
