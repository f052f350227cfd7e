<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\KeptListFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * A list: who was kept, and the search that found them.
 *
 * @property int $id
 * @property int $offer_id
 * @property string $name
 * @property string $subject accounts or contacts
 * @property string $search the address of the search that made it
 * @property int|null $per_account of contacts, at most so many at one account
 * @property int|null $best of all found only so many, the best
 * @property int|null $held_for the trial whose answers it waits for
 * @property int|null $user_id
 * @property CarbonImmutable|null $created_at
 * @property-read User|null $user
 */
final class KeptList extends Model
{
    /** @use HasFactory<KeptListFactory> */
    use HasFactory;

    use SoftDeletes;

    protected $table = 'lists';

    protected $guarded = [];

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** Its members, in the order in which they were kept. */
    public function members(): Builder
    {
        return DB::table('list_members')->where('list_id', $this->id)->orderBy('position');
    }

    /** What is said of one member. */
    public function member(int $record): Builder
    {
        return DB::table('list_members')->where('list_id', $this->id)->where('record_id', $record);
    }

    /** @return bool whether it was not on it yet */
    public function addMember(int $record): bool
    {
        $position = 1 + (int) $this->members()->max('position');

        return DB::table('list_members')
            ->insertOrIgnore(['list_id' => $this->id, 'record_id' => $record, 'position' => $position])
            === 1;
    }
}
