<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Finder\ResultRows;
use App\Models\Account;
use App\Models\Contact;
use App\Support\Format;
use Luftig\Core\Company\Industries;
use Luftig\Core\Signal\Kind;

/** An account or a contact of a list, as one decides on it. */
final readonly class RecordCard
{
    private Account $account;

    public int $id;

    public string $name;

    public string $url;

    private function __construct(private ResultRows $rows, private Account|Contact $record)
    {
        $this->account = $record instanceof Contact ? $record->account : $record;
        $this->id = $record->id;
        $this->name = $record instanceof Contact ? $record->name() : $record->name;
        $this->url = $record instanceof Contact ? route('contacts.show', $record) : route('accounts.show', $record);
    }

    public static function of(ResultRows $rows): ?self
    {
        return $rows->records === [] ? null : new self($rows, $rows->records[0]);
    }

    public function account(): int
    {
        return $this->account->id;
    }

    /** Of a list of contacts, the one whose card it is. */
    public function contact(): ?int
    {
        return $this->record instanceof Contact ? $this->record->id : null;
    }

    public function about(): string
    {
        $industry = $this->account->industries->first()?->code;

        return Format::line(
            $this->record instanceof Contact ? $this->record->title : null,
            $this->record instanceof Contact ? $this->account->name : null,
            $industry === null ? 'industry unknown' : lcfirst(Industries::name($industry)),
            $this->account->headquarters()?->city,
            Format::heads($this->account->headcount),
        );
    }

    public function description(): ?string
    {
        return $this->account->description;
    }

    public function standing(): string
    {
        $priority = $this->rows->priority($this->record);
        $kinds = collect($this->rows->standing($this->record)?->lines)->pluck(1)->unique()
            ->map(fn (string $kind): string => Kind::from($kind)->label());

        return Format::line(
            $priority === null ? 'no priority' : 'priority '.Format::priority($priority),
            $kinds->isEmpty() ? 'no live signal' : 'live: '.$kinds->implode(', '),
        );
    }
}
