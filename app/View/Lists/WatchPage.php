<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Finder\ResultRows;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Watch;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Luftig\Core\Search\Subject;

/** A search that runs by itself, with whom it found since it began. */
final readonly class WatchPage
{
    public const RHYTHMS = ['daily' => 'daily', 'weekly' => 'weekly', 'monthly' => 'monthly, on the first'];

    public const WEEKDAYS = [
        1 => 'Monday', 2 => 'Tuesday', 3 => 'Wednesday', 4 => 'Thursday', 5 => 'Friday', 6 => 'Saturday',
        7 => 'Sunday',
    ];

    private const SHOWN = 100;

    /** @param  Collection<int, \stdClass>  $found  by record */
    private function __construct(
        public Watch $watch,
        private Search $search,
        private Collection $found,
        private ResultRows $rows,
        public int $unread,
    ) {
    }

    public static function of(Watch $watch): self
    {
        $found = $watch->newcomers()->limit(self::SHOWN)->get();
        parse_str($watch->search, $query);

        return new self(
            $watch,
            Search::from($watch->offer, $query),
            $found->keyBy('record_id'),
            ResultRows::of($watch->offer, Subject::from($watch->subject), array_values(
                $found->pluck('record_id')->all(),
            )),
            $watch->newcomers()->where('unread', true)->count(),
        );
    }

    public function about(): string
    {
        $next = $this->watch->next_at->setTimezone($this->watch->time_zone)->format('l j F, H:i');

        return "{$this->watch->rhythm->value}, ran ".Format::ago($this->watch->ran_at)
            .", next $next {$this->watch->time_zone}";
    }

    /** @return array<int|string, string> */
    public function lists(): array
    {
        return ListChoices::of($this->watch->offer, Subject::from($this->watch->subject));
    }

    /** @return array<int, array{string, bool}> newcomer → name, and whether unread, which are chosen first */
    public function choices(): array
    {
        $choices = [];
        foreach ($this->rows->records as $record) {
            $choices[$record->id] = [
                $record instanceof Contact
                    ? Format::line($record->name(), $record->account->name)
                    : $record->name,
                (bool) $this->found[$record->id]?->unread,
            ];
        }

        return $choices;
    }

    public function today(): string
    {
        return route('finder', $this->search->parameters());
    }

    /** @return list<array{string, string}> */
    public function steps(): array
    {
        return Steps::of($this->search);
    }

    /**
     * @return list<array{name: string, about: string, url: string, isUnread: bool, why: string, at: CarbonImmutable,
     *     priority: string}>
     */
    public function newcomers(): array
    {
        return array_map(function (Account|Contact $record): array {
            $find = $this->found[$record->id];
            $isContact = $record instanceof Contact;

            return [
                'name' => $isContact ? $record->name() : $record->name, 'isUnread' => (bool) $find?->unread,
                'about' => $isContact ? Format::line($record->title, $record->account->name) : (string) $record->domain,
                'url' => $isContact ? route('contacts.show', $record) : route('accounts.show', $record),
                'why' => (string) $find?->why, 'at' => CarbonImmutable::parse($find?->found_at, 'UTC'),
                'priority' => Format::priority($this->rows->priority($record)),
            ];
        }, $this->rows->records);
    }
}
