<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

/** A set that is collected place by place. */
final class Bits
{
    private string $bytes = '';

    /** @param  int  $width  how many places there are, as far as is known */
    public function __construct(private readonly int $width)
    {
    }

    public function add(int $place): void
    {
        $byte = $place >> 3;
        if (! isset($this->bytes[$byte])) {
            $this->bytes = str_pad($this->bytes, max($this->width >> 3, 2 * $byte + 1), "\0");
        }
        $this->bytes[$byte] = chr(ord($this->bytes[$byte]) | 1 << ($place & 7));
    }

    public function set(): Bitmap
    {
        return Bitmap::ofBytes($this->bytes);
    }

    public function bytes(): string
    {
        return $this->bytes;
    }
}
