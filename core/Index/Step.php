<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

/** One condition as it falls out: who meets it, and of whom it is not known. */
final readonly class Step
{
    /**
     * @param  bool  $exclude  keeps those who do not meet it
     * @param  bool  $keepsUnknown  keeps those of whom it is not known
     */
    public function __construct(
        public Bitmap $meet,
        public Bitmap $unknown,
        public bool $exclude = false,
        public bool $keepsUnknown = false,
    ) {
    }

    /** Those who remain of all. */
    public function keeps(Bitmap $all): Bitmap
    {
        $known = $this->exclude ? $all->without($this->meet)->without($this->unknown) : $this->meet->and($all);

        return $this->keepsUnknown ? $known->or($this->unknown->and($all)) : $known;
    }
}
