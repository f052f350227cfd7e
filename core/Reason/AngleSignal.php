<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

use Luftig\Core\Signal\Kind;

/** A signal as it is seen from one contact. */
final readonly class AngleSignal
{
    public const WHOSE = ['own', 'colleague', 'account'];

    /**
     * @param  string  $whose  own, colleague or account
     * @param  string|null  $role  of interest, of an opening
     * @param  float  $push  for the contact (rule 8)
     */
    public function __construct(
        public int|string $id,
        public Kind $kind,
        public string $whose,
        public string $text,
        public ?string $role,
        public bool $live,
        public float $push,
    ) {
    }
}
