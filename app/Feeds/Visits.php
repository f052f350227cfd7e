<?php

declare(strict_types=1);

namespace App\Feeds;

/** A format of pages that are visited one by one, an account each; one that is not there stops nothing. */
interface Visits extends Format
{
    public function missed(string $address, string $why): Found;

    /**
     * What several pages of one site tell, as one visit.
     *
     * @param  non-empty-list<Found>  $pages  the one that it begins with first
     */
    public function together(array $pages): Found;
}
