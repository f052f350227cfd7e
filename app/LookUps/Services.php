<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Models\LookUpService;
use LogicException;

/** Which class speaks with a service, by its driver. */
final class Services
{
    /** @var array<string, class-string<FindsAddresses&ChecksAddresses&KnowsCompanies>> */
    private const DRIVERS = ['json' => JsonService::class];

    public static function of(LookUpService $service): FindsAddresses&ChecksAddresses&KnowsCompanies
    {
        $class = self::DRIVERS[$service->driver] ?? throw new LogicException("There is no driver {$service->driver}.");

        return new $class($service);
    }
}
