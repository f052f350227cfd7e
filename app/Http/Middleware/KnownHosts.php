<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Http\Middleware\TrustHosts;

/**
 * Answers under its own name and on this machine only: a page of another name that leads here is refused, everywhere
 * and always.
 */
final class KnownHosts extends TrustHosts
{
    /** @return list<string> patterns */
    public function hosts(): array
    {
        $own = parse_url(config()->string('app.url'), PHP_URL_HOST);

        return ['^127\.0\.0\.1$', '^localhost$', ...(is_string($own) ? ['^'.preg_quote($own).'$'] : [])];
    }

    protected function shouldSpecifyTrustedHosts(): bool
    {
        return true;
    }
}
