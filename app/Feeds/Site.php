<?php

declare(strict_types=1);

namespace App\Feeds;

use Luftig\Core\Company\Domain;

/** Where an address leads, and whether it may be asked: no machine of the own network is, but the stand-ins. */
final readonly class Site
{
    /** Letters of a name of a machine (RFC 1035). */
    private const LONGEST = 253;

    private function __construct(
        public string $scheme,
        public string $host,
        public int $port,
        public string $ip,
    ) {
    }

    /** @throws Unreachable where the address is none, leads nowhere, or into the own network */
    public static function of(string $address): self
    {
        $parts = parse_url(trim($address));
        $scheme = strtolower($parts['scheme'] ?? '');
        $host = strtolower(trim($parts['host'] ?? '', '[]'));
        if (! in_array($scheme, ['http', 'https'], true) || $host === '' || isset($parts['user'])) {
            throw new Unreachable('The address is none of the web: it begins with http:// or https://.');
        }
        $port = $parts['port'] ?? ($scheme === 'https' ? 443 : 80);
        $isNamed = filter_var($host, FILTER_VALIDATE_IP) === false && strlen($host) <= self::LONGEST;
        $ip = $isNamed ? gethostbyname($host) : $host;
        if (filter_var($ip, FILTER_VALIDATE_IP) === false) {
            throw new Unreachable("There is no site {$host}.");
        }
        $public = filter_var($ip, FILTER_VALIDATE_IP, FILTER_FLAG_NO_PRIV_RANGE | FILTER_FLAG_NO_RES_RANGE);
        if ($public === false && ! in_array("$host:$port", config()->array('luftig.standins'), true)) {
            throw new Unreachable("{$host} is an address of a private network, which is not asked.");
        }

        return new self($scheme, $host, $port, $ip);
    }

    /** The same machine and port, or two of one company; never from a secret way to an open one. */
    public function isSame(self $other): bool
    {
        $domain = Domain::from($this->host)?->name;

        return ($this->scheme === $other->scheme || $other->scheme === 'https') && (
            [$this->host, $this->port] === [$other->host, $other->port]
            || $domain !== null && $domain === Domain::from($other->host)?->name
        );
    }
}
