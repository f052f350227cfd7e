<?php

declare(strict_types=1);

namespace App\Feeds;

use Carbon\CarbonImmutable;

/** One item of a feed, as its format reads it. */
final readonly class Found
{
    /** Where it stands on the web; no other address is one that a page may lead to. */
    public ?string $link;

    /**
     * @param  string  $id  by which the source tells it from its others
     * @param  array<string, mixed>  $facts
     * @param  string  $raw  as it came
     * @param  string|null  $refused  why it cannot be used, in a sentence
     */
    public function __construct(
        public string $id,
        public string $title,
        public array $facts,
        public string $raw,
        ?string $link = null,
        public ?CarbonImmutable $at = null,
        public ?string $refused = null,
    ) {
        $this->link = self::isOfTheWeb($link) ? $link : null;
    }

    public static function isOfTheWeb(?string $address): bool
    {
        return $address !== null && preg_match('~^https?://~i', $address) === 1;
    }
}
