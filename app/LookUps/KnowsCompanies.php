<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Feeds\Unreachable;
use App\Models\Account;
use App\Models\Figure;

/** An outside service that is asked for a figure of a company. */
interface KnowsCompanies
{
    /**
     * @param  string  $mark  the same for the same question, so that it is paid once however often it is put
     * @return Found heads as a whole number, revenue as EUR a year
     *
     * @throws Unreachable where no answer comes
     */
    public function know(Account $account, Figure $figure, string $mark): Found;
}
