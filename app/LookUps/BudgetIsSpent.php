<?php

declare(strict_types=1);

namespace App\LookUps;

use RuntimeException;

/** The next question could take more than may be spent. */
final class BudgetIsSpent extends RuntimeException
{
}
