<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

/** What a page lets one see of how it is made. */
final readonly class PageTraces
{
    /**
     * @param  list<string>  $scripts  addresses
     * @param  array<string, string>  $headers  in lower case
     * @param  array<string, string>  $metas  name → content
     * @param  list<string>  $cookies  names
     * @param  string  $text  the words of the page
     */
    public function __construct(
        public array $scripts = [],
        public array $headers = [],
        public array $metas = [],
        public array $cookies = [],
        public string $text = '',
    ) {
    }
}
