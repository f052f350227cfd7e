<?php

declare(strict_types=1);

namespace App\Feeds;

/** How far a feed was read; kept with what was read, so that a run that ends early goes on where it was. */
final class Cursor
{
    /**
     * @param  list<string>  $queue  addresses that a run has still to ask
     * @param  string|null  $since  from which time on the next run asks
     * @param  string|null  $began  when the run began that the queue is of
     * @param  array<string, string>  $conditions  what the source says of the state in which it was read last
     * @param  array<string, string>  $pending  the same of the run under way
     */
    public function __construct(
        public array $queue = [],
        public ?string $since = null,
        public ?string $began = null,
        public array $conditions = [],
        public array $pending = [],
    ) {
    }

    /** @param  array<string, mixed>|null  $stored */
    public static function from(?array $stored): self
    {
        return new self(
            $stored['queue'] ?? [],
            $stored['since'] ?? null,
            $stored['began'] ?? null,
            $stored['conditions'] ?? [],
            $stored['pending'] ?? [],
        );
    }

    /** @return array<string, mixed> */
    public function stored(): array
    {
        return array_filter(get_object_vars($this), static fn (mixed $value): bool => $value !== null && $value !== []);
    }
}
