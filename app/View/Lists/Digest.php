<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Finder\ResultRows;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Watch;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Luftig\Core\Search\Subject;

/** Who is new on a watch, as a mail tells it: the first of them by name. */
final readonly class Digest
{
    /** So many are told by name. */
    public const NAMED = 20;

    /**
     * @param  array<int, string>  $why  of those told by name, by their ids
     * @param  int  $count  of all
     */
    public function __construct(
        public Watch $watch,
        private array $why,
        private int $count,
        private CarbonImmutable $since,
    ) {
    }

    public function subject(): string
    {
        return "{$this->watch->name}: ".Format::number($this->count).' new';
    }

    public function about(): string
    {
        $since = Format::weekday($this->since->setTimezone($this->watch->time_zone));

        return $this->subject()." since $since, ".$this->since->setTimezone($this->watch->time_zone)->format('H:i')
            .'.';
    }

    /** @return list<string> */
    public function lines(): array
    {
        $ids = array_keys($this->why);
        $records = ResultRows::of($this->watch->offer, Subject::from($this->watch->subject), $ids)->records;

        return array_map(
            fn (Account|Contact $record): string => self::name($record).": {$this->why[$record->id]}",
            $records,
        );
    }

    public function more(): int
    {
        return max(0, $this->count - count($this->why));
    }

    private static function name(Account|Contact $record): string
    {
        return $record instanceof Account ? $record->name
            : implode(', ', array_filter([$record->name(), $record->title, $record->account->name]));
    }
}
