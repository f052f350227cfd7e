<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Prunable;

/**
 * A form that was sent, by the key it was shown with, and where its answer led; so that the second of two clicks leads
 * there too.
 *
 * @property string $key
 * @property array<string, mixed>|null $answer  null while it is worked on
 */
final class Submission extends Model
{
    use Prunable;

    public const UPDATED_AT = null;

    public $incrementing = false;

    protected $primaryKey = 'key';

    protected $keyType = 'string';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['answer' => 'array'];

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return self::query()->where('created_at', '<', now()->subDay());
    }
}
