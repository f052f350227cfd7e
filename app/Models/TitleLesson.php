<?php

declare(strict_types=1);

namespace App\Models;

use Database\Factories\TitleLessonFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A correction of how a title is read, kept until it is taken back.
 *
 * @property int $id
 * @property string $folded
 * @property string $title
 * @property int $reading
 * @property int|null $user_id
 * @property-read User|null $user
 */
final class TitleLesson extends Model
{
    /** @use HasFactory<TitleLessonFactory> */
    use HasFactory;

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }
}
