<?php

declare(strict_types=1);

namespace App\Standings;

use Luftig\Core\Fit\AccountFacts;
use Luftig\Core\Signal\Series;

/** What the core needs to know of one account. */
final readonly class StandingFacts
{
    /**
     * @param  string|null  $barred  why it is kept out, whatever the offer
     * @param  list<array{int, int, string, float, float}>  $contacts  id, reading of the title, title, access, strength
     *     of the best way through one of us; none that is kept out
     * @param  array<int, array<string, Series>>  $series  offer → its signals by kind; 0 for every offer that has none
     *     of its own
     * @param  array<int, array{int|null, int}>  $marks  signal → whose own it is, and which functions it concerns
     * @param  array<int, string>  $dropped  offer → who dropped it there
     * @param  array<int, array<int, true>>  $removed  offer → contacts who were taken out of the buying group by hand
     */
    public function __construct(
        public int $id,
        public ?string $barred,
        public AccountFacts $account,
        public array $contacts,
        private array $series,
        public array $marks,
        public array $dropped,
        private array $removed,
    ) {
    }

    /** The same, if other things were known of the account. */
    public function withAccount(AccountFacts $account): self
    {
        return new self(
            $this->id, $this->barred, $account, $this->contacts, $this->series, $this->marks, $this->dropped,
            $this->removed,
        );
    }

    /** @return array<string, Series> by kind */
    public function seriesFor(int $offer): array
    {
        return $this->series[$offer] ?? $this->series[0] ?? [];
    }

    /** @return list<array{int, int, string, float, float}> */
    public function contactsFor(int $offer): array
    {
        $removed = $this->removed[$offer] ?? [];

        return $removed === [] ? $this->contacts : array_values(
            array_filter($this->contacts, static fn (array $contact): bool => ! isset($removed[$contact[0]])),
        );
    }

    public function isAssociation(): bool
    {
        return str_starts_with($this->account->industries[0] ?? '', '94');
    }
}
