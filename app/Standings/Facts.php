<?php

declare(strict_types=1);

namespace App\Standings;

use Luftig\Core\Profile\AccountFacts;
use Luftig\Core\Signal\Series;

/** What the core needs to know of one account. */
final readonly class Facts
{
    /**
     * @param  string|null  $barred  why it is kept out, whatever the offer
     * @param  array<string, Series>  $series  its signals by kind
     * @param  array<int, string>  $dropped  offer → who dropped it there
     */
    public function __construct(
        public int $id,
        public ?string $barred,
        public AccountFacts $account,
        public float $access,
        public array $series,
        public array $dropped,
    ) {
    }
}
