<?php

declare(strict_types=1);

namespace App\View\UnderWay;

/** A piece of work that takes a while, in one form wherever it is told of: how far it is, and how it is stopped. */
final readonly class Work
{
    /**
     * @param  string  $says  how it is
     * @param  float|null  $share  0–1; null: how much there is to do is not known, or it has ended
     * @param  string|null  $stop  address that stops it; what was done stays
     * @param  string|null  $goOn  address that goes on with it
     * @param  string|null  $url  where one looks at it
     * @param  string  $method  by which the addresses are asked
     * @param  string  $done  what was done so far, in figures
     */
    public function __construct(
        public string $name,
        public string $says,
        public bool $isMoving,
        public ?float $share = null,
        public ?string $stop = null,
        public ?string $goOn = null,
        public ?string $url = null,
        public string $method = 'post',
        public string $done = '',
    ) {
    }
}
