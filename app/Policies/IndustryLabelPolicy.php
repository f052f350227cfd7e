<?php

declare(strict_types=1);

namespace App\Policies;

/** What a label of a file means is decided once, by whoever meets it. */
final class IndustryLabelPolicy extends TeamPolicy
{
}
