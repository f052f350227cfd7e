<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

use Luftig\Core\Signal\Kind;

/** A signal as a draft may speak of it. */
final readonly class Evidence
{
    /**
     * @param  string  $title  what happened, as it was noted
     * @param  string|null  $person  first name of the person it happened to
     * @param  bool  $isAddressee  whether that is who is written to
     */
    public function __construct(
        public Kind $kind,
        public string $title,
        public ?string $person = null,
        public bool $isAddressee = false,
    ) {
    }
}
