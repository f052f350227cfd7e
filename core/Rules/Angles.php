<?php

declare(strict_types=1);

namespace Luftig\Core\Rules;

use Luftig\Core\Mistake;
use Luftig\Core\Reason\Angle;
use Luftig\Core\Reason\AnglePart;
use Luftig\Core\Signal\Kind;

/** Angles (rule 21) as they are written down. */
final class Angles
{
    /** @throws Mistake naming the field that cannot be used */
    public static function read(Input $input): Angle
    {
        $id = $input->id('id');
        $needed = array_map(self::part(...), $input->objects('needed'));
        $welcome = $input->has('welcome') ? array_map(self::part(...), $input->objects('welcome')) : [];
        $angle = $input->make(static fn (): Angle => new Angle($id, $needed, $welcome));
        $input->done();

        return $angle;
    }

    /** @throws Mistake naming the field that cannot be used */
    public static function part(Input $input): AnglePart
    {
        $part = $input->make(static fn (): AnglePart => $input->has('fact')
            ? AnglePart::fact($input->string('fact'), $input->optionalString('value'))
            : AnglePart::signal(
                $input->optionalChoice('kind', Kind::class),
                $input->optionalString('whose'),
                $input->optionalString('role'),
                $input->optionalQuery('query'),
                $input->has('live') ? $input->boolean('live') : true,
            ));
        $input->done();

        return $part;
    }
}
