<?php

declare(strict_types=1);

namespace Luftig\Core\Likeness;

/** A phrase that is frequent in some texts and rare in the others. */
final readonly class TypicalPhrase
{
    /**
     * @param  float  $z  how surely it is, in standard deviations
     * @param  int  $in  in how many of the texts it stands
     */
    public function __construct(public string $phrase, public float $z, public int $in)
    {
    }
}
