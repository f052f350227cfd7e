<?php

declare(strict_types=1);

namespace App\Feeds;

use Carbon\CarbonImmutable;
use Closure;
use Luftig\Core\Signal\Kind;
use stdClass;

/** A signal that sources tell of, before it is known whether it is there already. */
final readonly class Wanted
{
    private const TITLE = 255;

    public string $title;

    /**
     * @param  string  $mark  by which the signal is found again
     * @param  array<int, array{float, string}>  $sources  item → how sure it is, and what by
     * @param  array<string, mixed>  $facts
     * @param  Closure(stdClass): bool|null  $isSame  whether one that came another way tells the same
     * @param  int  $days  how far apart the two may be
     * @param  float|null  $confidence  null: as the sources make it together
     */
    public function __construct(
        public string $mark,
        public int $account,
        public Kind $kind,
        string $title,
        public CarbonImmutable $at,
        public float $strength,
        public array $sources,
        public string $source,
        public ?string $link = null,
        public ?string $quote = null,
        public array $facts = [],
        public ?CarbonImmutable $since = null,
        public int $concerns = 0,
        public ?int $offer = null,
        public ?int $contact = null,
        public ?Closure $isSame = null,
        public int $days = 0,
        public ?float $confidence = null,
    ) {
        $this->title = mb_strimwidth($title, 0, self::TITLE, '…');
    }
}
