<?php

declare(strict_types=1);

namespace Luftig\Core\Rules;

use Luftig\Core\Buying\BuyerRole;
use Luftig\Core\Mistake;
use Luftig\Core\Signal\RoleOfInterest;

/** Buyer roles (rule 8) and roles of interest (rule 2) as they are written down. */
final class Roles
{
    /** @throws Mistake naming the field that cannot be used */
    public static function buyer(Input $input): BuyerRole
    {
        $variants = [];
        $given = $input->optionalObject('variants');
        foreach ($given?->names() ?? [] as $country) {
            $query = $given?->optionalQuery($country);
            if ($query !== null) {
                $variants[strtoupper($country)] = $query;
            }
        }
        $role = $input->make(static fn (): BuyerRole => new BuyerRole(
            $input->string('name'),
            $input->functions('functions'),
            $input->functions('neighbours'),
            $input->optionalQuery('include'),
            $input->optionalQuery('exclude'),
            $input->optionalNumber('weight') ?? 1.0,
            $variants,
        ));
        $input->done();

        return $role;
    }

    /** @throws Mistake naming the field that cannot be used */
    public static function ofInterest(Input $input): RoleOfInterest
    {
        $role = new RoleOfInterest(
            $input->string('name'),
            $input->optionalQuery('title_query') ?? throw Mistake::at(
                $input->place('title_query'),
                'A role of interest needs a query that finds its titles.',
            ),
            $input->optionalQuery('text_query'),
            $input->functions('functions'),
            $input->strings('employment_types'),
        );
        $input->done();

        return $role;
    }
}
