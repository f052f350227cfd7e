<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

/** What is known of a company when it is compared with another. */
final readonly class CompanyFacts
{
    public ?string $domain;

    public ?string $country;

    /**
     * @param  string|null  $domain  any address of it; a free-mail domain says nothing
     * @param  string|null  $country  ISO 3166-1 alpha-2
     */
    public function __construct(
        public string $name,
        ?string $domain = null,
        ?string $country = null,
        public ?string $city = null,
    ) {
        $read = $domain === null ? null : Domain::from($domain);
        $this->domain = $read === null || $read->freeMail ? null : $read->name;
        $this->country = $country === null ? null : strtoupper($country);
    }
}
