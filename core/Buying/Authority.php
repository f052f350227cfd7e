<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

use Luftig\Core\Person\Seniority;
use Luftig\Core\Person\Status;
use Luftig\Core\Person\Title;

/** How much somebody decides, and how well they can be reached, by the size of the company; both 0–1 (rule 8). */
final readonly class Authority
{
    /** Size classes of the EU: heads up to and without this number. */
    private const CLASSES = [50, 250, 1000, PHP_INT_MAX];

    /** Which class an unknown headcount is taken for: 50–249. */
    private const UNKNOWN = 1;

    /** Rank of seniority → [authority, accessibility] for each size class. */
    private const TABLE = [
        8 => [[1, .9], [.95, .75], [.6, .4], [.3, .15]],
        7 => [[.95, .9], [1, .75], [.95, .4], [.75, .15]],
        6 => [[.7, .9], [.85, .8], [1, .6], [1, .35]],
        5 => [[.7, .9], [.75, .85], [.85, .75], [.9, .55]],
        4 => [[.55, .95], [.65, .9], [.75, .85], [.8, .7]],
        3 => [[.35, 1], [.45, 1], [.5, .95], [.55, .9]],
        2 => [[.1, 1], [.15, 1], [.15, 1], [.2, 1]],
    ];

    private function __construct(public float $authority, public float $accessibility)
    {
    }

    /**
     * @param  bool  $association  the account is an association (ISIC 94), where boards decide
     * @param  bool  $known  that the title is read as a specialist where it names no rank: a function, or a query found
     *     it
     * @return self|null null: not eligible, as former positions and assistants are
     */
    public static function of(Title $title, ?int $headcount, bool $association = false, bool $known = false): ?self
    {
        if ($title->status === Status::Board) {
            return $association ? new self(.7, .5) : null;
        }
        if (! $title->status->holds()) {
            return null;
        }
        $seniority = $title->seniority === Seniority::Unknown && ($known || $title->functions !== 0)
            ? Seniority::Specialist
            : $title->seniority;
        [$authority, $accessibility] = self::TABLE[$seniority->rank()][self::sizeClass($headcount)] ?? [0, 1];

        return new self($authority, $accessibility);
    }

    /** 0–3: under 50, 50–249, 250–999, from 1,000 heads; unknown is 50–249. */
    public static function sizeClass(?int $headcount): int
    {
        if ($headcount === null) {
            return self::UNKNOWN;
        }
        for ($class = 0; $headcount >= self::CLASSES[$class]; $class++);

        return $class;
    }
}
