<?php

declare(strict_types=1);

namespace App\Models;

/**
 * An industry of an account; position 0 is the main one.
 *
 * @property int $account_id
 * @property int $position
 * @property string|null $code
 * @property int|null $label_id
 */
final class AccountIndustry extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'account_industry';

    protected $guarded = [];
}
