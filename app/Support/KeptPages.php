<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\Cache;

/**
 * Pages as they were sent, for as long as no table was written that they were made from; for a minute at most, since
 * pages tell the time.
 */
final readonly class KeptPages
{
    private const SECONDS = 60;

    /** Where only pages are, which may be emptied. */
    private const FOLDER = 'pages';

    private const QUICK = 1;

    public function __construct(private TableMarks $marks)
    {
    }

    /**
     * @param  string  $of  what was asked, by whom, and what else a page hangs on beside the database
     * @return array{type: string, token: string, text: string}|null
     */
    public static function find(string $of): ?array
    {
        /** @var array{of: string, marks: array<string, string>, type: string, token: string, text: string}|null */
        $kept = self::store()->get(self::key($of));
        if ($kept === null || $kept['of'] !== $of || $kept['marks'] !== TableMarks::of(array_keys($kept['marks']))) {
            return null;
        }

        return [
            'type' => $kept['type'], 'token' => $kept['token'], 'text' => (string) gzinflate($kept['text']),
        ];
    }

    /**
     * What is written while the page is made may be in it or not; such a page is not kept.
     *
     * @param  array{type: string, token: string, text: string}  $page
     * @param  string  $since  all() before it was made
     */
    public function keep(string $of, array $page, string $since): void
    {
        // First those of the tables: whoever writes changes the mark of all before theirs.
        $marks = TableMarks::of([TableMarks::CASCADE, ...$this->marks->read()]);
        if (self::all() === $since) {
            self::store()->put(
                self::key($of),
                ['of' => $of, 'marks' => $marks, 'text' => gzdeflate($page['text'], self::QUICK)] + $page,
                self::SECONDS,
            );
        }
    }

    /** The mark of all tables together. */
    public static function all(): string
    {
        return TableMarks::of([TableMarks::ALL])[TableMarks::ALL];
    }

    /** On disk pages lie on when their minute is over; every hour, and where somebody is erased, they go. */
    public static function forget(): void
    {
        config()->string('cache.pages') !== self::FOLDER || self::store()->clear();
    }

    private static function key(string $of): string
    {
        return 'page '.hash('xxh128', $of);
    }

    private static function store(): Repository
    {
        return Cache::store(config()->string('cache.pages'));
    }
}
