<?php

declare(strict_types=1);

namespace App\Feeds;

/** What one answer of a source holds. */
final readonly class Portion
{
    /**
     * @param  iterable<Found>  $items
     * @param  list<string>  $more  addresses to go on with
     * @param  list<string>|null  $alive  ids of all that the source has now, where it says so
     * @param  array<string, string>  $changed  address of an item to go on with → when it changed last; what is known
     *     since then is not asked again
     */
    public function __construct(
        public iterable $items,
        public array $more = [],
        public ?array $alive = null,
        public array $changed = [],
    ) {
    }
}
