<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Finder\Search;
use App\Finder\StepForm;

/** The steps of a search in words, as a list or a watch remembers them. */
final class Steps
{
    /** @return list<array{string, string}> condition, what it asks */
    public static function of(Search $search): array
    {
        return array_map(fn (StepForm $step): array => [
            ($step->excludes() ? 'not ' : '').$step->field->label(), $step->says(),
        ], $search->steps);
    }
}
