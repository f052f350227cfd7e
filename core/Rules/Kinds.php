<?php

declare(strict_types=1);

namespace Luftig\Core\Rules;

use Luftig\Core\Mistake;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Counts;
use Luftig\Core\Signal\Kind;

/** What a team changes in the standard catalogue (rule 2), as it is written down. */
final class Kinds
{
    /**
     * @param  array<string, Input>  $changes  by kind
     * @param  string  $place  where they stand, for mistakes
     *
     * @throws Mistake naming the kind or field that cannot be used
     */
    public static function read(array $changes, string $place): Catalogue
    {
        $catalogue = Catalogue::standard();
        foreach ($changes as $name => $change) {
            $kind = Kind::tryFrom($name)
                ?? throw Mistake::at("$place.$name", 'A kind is one of: '.Input::values(Kind::class).'.');
            $catalogue = $catalogue->with($change->make(static fn () => $catalogue->of($kind)->with(
                $change->optionalNumber('weight'),
                $change->optionalNumber('ramp'),
                $change->optionalNumber('hold'),
                $change->optionalNumber('half_life'),
                $change->optionalChoice('counts', Counts::class),
            )));
            $change->done();
        }

        return $catalogue;
    }
}
