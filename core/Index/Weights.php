<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

/** As how many accounts, and as how many contacts, the places of an index count. */
final readonly class Weights
{
    /**
     * @param  Bitmap|null  $contacts  where there is a contact; null: places are those of contacts, each of which
     *     counts as one
     * @param  array<int, int>  $at  first page of an account → how many contacts it has
     */
    private function __construct(
        private ?Bitmap $contacts,
        private Bitmap $first,
        private array $at,
        private int $pages,
    ) {
    }

    public static function ofContacts(): self
    {
        return new self(null, Bitmap::none(), [], 0);
    }

    /**
     * @param  array<int, int>  $at  first page of an account → how many contacts it has
     * @param  Bitmap  $first  the first pages
     * @param  Bitmap  $contacts  where there is a contact
     */
    public static function ofPages(array $at, Bitmap $first, Bitmap $contacts, int $pages): self
    {
        return new self($contacts, $first, $at, $pages);
    }

    /** @return array{int, int} accounts, contacts */
    public function ofSet(Bitmap $places): array
    {
        return $this->contacts === null ? [0, $places->count()] : [
            $places->countWith($this->first),
            $places->repeated(Piece::LEVELS, $this->pages)->countWith($this->contacts),
        ];
    }

    /**
     * @param  string  $places  four bytes each
     * @return array{int, int} accounts, contacts
     */
    public function ofPlaces(string $places): array
    {
        if ($this->contacts === null) {
            return [0, intdiv(strlen($places), 4)];
        }
        $accounts = $contacts = 0;
        foreach (unpack('V*', $places) ?: [] as $page) {
            if (isset($this->at[$page])) {
                $accounts++;
                $contacts += $this->at[$page];
            }
        }

        return [$accounts, $contacts];
    }
}
