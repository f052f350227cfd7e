<?php

declare(strict_types=1);

namespace App\Policies;

/** What feeds brought is everybody’s to read. */
final class FeedItemPolicy extends TeamPolicy
{
}
