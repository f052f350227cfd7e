<?php

declare(strict_types=1);

namespace App\Models;

/**
 * The fingerprint of something that names a person who was erased; it keeps them from coming back.
 *
 * @property int $id
 * @property string $fingerprint
 */
final class Erasure extends Model
{
    protected $guarded = [];

    public const UPDATED_AT = null;
}
