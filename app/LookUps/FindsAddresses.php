<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Feeds\Unreachable;
use App\Models\Contact;

/** An outside service that is asked for somebody's address. */
interface FindsAddresses
{
    /**
     * @param  string  $mark  the same for the same question, so that it is paid once however often it is put
     *
     * @throws Unreachable where no answer comes
     */
    public function find(Contact $contact, string $mark): Found;
}
