<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Feed;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/** What feeds bring everybody sees; leads and admins say which are asked. */
final class FeedPolicy extends TeamPolicy
{
    public function create(User $user): bool
    {
        return $user->leads();
    }

    public function update(User $user, Model $record): bool
    {
        return $user->leads();
    }

    public function delete(User $user, Feed $feed): bool
    {
        return $user->leads();
    }
}
