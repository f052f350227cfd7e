<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Feeds\Unreachable;
use Luftig\Core\Reach\AddressState;

/** An outside service that says whether an address works. */
interface ChecksAddresses
{
    /** @throws Unreachable where no answer comes */
    public function check(string $address): AddressState;

    /**
     * A second look at what stayed doubtful at the first, which takes its time.
     *
     * @throws Unreachable where no answer comes
     */
    public function again(string $address): AddressState;
}
