<?php

declare(strict_types=1);

namespace App\Feeds;

/** Looks at a few pages of a site, as far as it lets programs look at them, and tells them as one visit. */
final class VisitSite
{
    /** Pages of a site besides the one that it begins with. */
    private const MORE = 4;

    /** @var array<string, Robots|null> root → what it allows; null: it does not answer */
    private array $robots = [];

    public function __construct(private readonly Fetcher $fetcher, private readonly Visits $format)
    {
    }

    public function at(string $address): Found
    {
        try {
            $robots = $this->robots($address);
            if (! $robots->allow($address)) {
                return $this->format->missed($address, 'It does not want to be looked at by programs.');
            }
            $first = $this->format->read($this->fetcher->get($address), new Cursor);
        } catch (Unreachable $e) {
            return $this->format->missed($address, $e->getMessage());
        }
        $pages = [];
        foreach ($first->items as $page) {
            $pages[] = $page;
        }
        $more = array_filter($first->more, fn (string $one): bool => $robots->allow($one));
        foreach (array_slice(array_values($more), 0, self::MORE) as $one) {
            try {
                array_push($pages, ...$this->format->read($this->fetcher->get($one), new Cursor)->items);
            } catch (Unreachable) {
                // A page that is missing among others says nothing of them.
            }
        }

        return $pages === [] ? $this->format->missed($address, 'It is no page.') : $this->format->together($pages);
    }

    /** @throws Unreachable where the site does not answer */
    private function robots(string $address): Robots
    {
        $root = Fetcher::absolute('/robots.txt', $address);
        if (! array_key_exists($root, $this->robots)) {
            try {
                $this->robots[$root] = Robots::of($this->fetcher->get($root)->text());
            } catch (Unreachable $e) {
                if (! $e->isMissing) {
                    throw $e;
                }
                $this->robots[$root] = Robots::open();
            }
        }

        return $this->robots[$root] ?? Robots::open();
    }
}
