<?php

declare(strict_types=1);

namespace App\Intake;

/** How large what is brought may be, so that nothing of it can take the memory of those who work. */
final class Limits
{
    public const COLUMNS = 500;

    /** In a row; a few more than there are headings are told apart from a row that has gone wrong altogether. */
    public const CELLS = 2_000;

    public const ROWS = 2_000_000;

    /** Bytes of a row, or of a card. */
    public const ROW = 1 << 20;

    /** Files of one person that wait to be checked. */
    public const DRAFTS = 20;

    /** Bytes of one part of a workbook, unpacked. */
    public const PART = 1 << 30;

    /** Bytes of the texts that the cells of a workbook share; they are kept in memory. */
    public const STRINGS = 32 << 20;
}
