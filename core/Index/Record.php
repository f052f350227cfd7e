<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

/**
 * What the Finder knows of one account or contact, or of one of their signals, positions or openings. A field that is
 * absent is unknown; a list of values that is empty is known to be empty. A field that stands for several is named as
 * Condition::named does.
 *
 * Values that lie in others (a class of industry in its division) are given with all they lie in.
 */
final readonly class Record
{
    /**
     * @param  array<string, list<string>>  $values  field → values
     * @param  array<string, float|int>  $numbers  field → number; days since 1970-01-01 for fields that count back
     * @param  array<string, string>  $texts  field → folded line (Fold::line)
     * @param  list<array{float, float, bool}>|null  $places  latitude, longitude, and whether it is the headquarters
     * @param  list<self>  $contacts  of an account
     * @param  float  $order  −2,000 to 20,000; the higher, the sooner it is shown
     * @param  list<self>|null  $parts  signals of an account, each with the id of the contact whose own it is, or 0;
     *     positions that a contact had before; null: unknown
     * @param  list<self>|null  $openings  of an account; null: it is not known whom they seek
     */
    public function __construct(
        public int $id,
        public array $values,
        public array $numbers,
        public array $texts,
        public ?array $places = null,
        public array $contacts = [],
        public float $order = 0.0,
        public ?array $parts = null,
        public ?array $openings = null,
    ) {
    }
}
