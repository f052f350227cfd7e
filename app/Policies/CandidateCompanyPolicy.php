<?php

declare(strict_types=1);

namespace App\Policies;

/** Candidates are the whole team's to look at and to decide. */
final class CandidateCompanyPolicy extends TeamPolicy
{
}
