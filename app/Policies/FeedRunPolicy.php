<?php

declare(strict_types=1);

namespace App\Policies;

/** When feeds were asked is everybody’s to read. */
final class FeedRunPolicy extends TeamPolicy
{
}
