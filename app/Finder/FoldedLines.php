<?php

declare(strict_types=1);

namespace App\Finder;

use Luftig\Core\Text\Fold;

/** Texts as the index holds them; many a title and headline comes again and again. */
final class FoldedLines
{
    private const REMEMBERED = 50_000;

    /** @var array<string, string> */
    private array $known = [];

    public function line(string $text): string
    {
        if (count($this->known) > self::REMEMBERED) {
            $this->known = [];
        }

        return $this->known[$text] ??= Fold::line($text);
    }
}
