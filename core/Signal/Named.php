<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

/** An account as a feed item may name it. */
final readonly class Named
{
    /**
     * @param  string|null  $domain  registrable
     * @param  list<string>  $products
     * @param  list<string>  $people  full names of its contacts
     */
    public function __construct(
        public int|string $id,
        public string $name,
        public ?string $domain = null,
        public ?string $profile = null,
        public ?string $city = null,
        public array $products = [],
        public array $people = [],
    ) {
    }
}
