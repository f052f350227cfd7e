<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\PrivateAddress;
use App\Models\User;
use Illuminate\Database\Eloquent\Model;

/** A private address is changed by whose it is; nobody sees it a second time. */
final class PrivateAddressPolicy extends TeamPolicy
{
    public function view(User $user, Model $record): bool
    {
        return $record instanceof PrivateAddress && $record->user_id === $user->id;
    }

    public function update(User $user, Model $record): bool
    {
        return $this->view($user, $record);
    }
}
