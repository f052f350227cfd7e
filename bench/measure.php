<?php

declare(strict_types=1);

/* Figures, and the limits they keep or miss. */

/** @return float seconds */
function seconds(callable $work): float
{
    $begin = hrtime(true);
    $work();

    return (hrtime(true) - $begin) / 1e9;
}

/** @return list<string> limits that were missed */
function missed(?string $more = null): array
{
    static $missed = [];
    if ($more !== null) {
        $missed[] = $more;
    }

    return $missed;
}

function say(string $line): void
{
    printf("%s  (peak memory %d MB)\n", $line, (int) (memory_get_peak_usage(true) / 1048576));
}

/** Prints a figure with its limit; the run ends with 1 where one is missed. */
function limit(string $what, float $figure, float $most): void
{
    $isKept = $figure <= $most;
    printf("%s %s: %.3g, at most %.3g\n", $isKept ? '  ' : '✗ ', $what, $figure, $most);
    $isKept || missed($what);
}

/** Prints what must hold; the run ends with 1 where it does not. */
function holds(string $what, bool $does): void
{
    printf("%s %s\n", $does ? '  ' : '✗ ', $what);
    $does || missed($what);
}

function ended(): never
{
    printf(missed() === [] ? "All limits are kept.\n" : "Missed: %s.\n", implode('; ', missed()));
    exit(missed() === [] ? 0 : 1);
}
