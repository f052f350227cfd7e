<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\ContactFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Spatie\Activitylog\LogOptions;
use Spatie\Activitylog\Traits\LogsActivity;

/**
 * A person with a present or past position at an account.
 *
 * @property int $id
 * @property int $account_id
 * @property string $first_name
 * @property string $last_name
 * @property string|null $title
 * @property int $reading what the title says, packed
 * @property int|null $merged_into
 * @property list<string>|null $by_hand fields that somebody set by hand; no file changes them
 * @property string|null $about
 * @property string|null $interests
 * @property string|null $city
 * @property string|null $country
 * @property string|null $profile
 * @property string|null $source
 * @property float $confidence
 * @property float $intro strength of the best way to them through one of us, 0–1
 * @property int|null $intro_by whose
 * @property int|null $intro_via the contact between, where there is one
 * @property CarbonImmutable|null $seen_at
 * @property-read Account $account
 * @property-read Collection<int, Channel> $channels
 * @property-read Collection<int, Position> $positions
 */
final class Contact extends Model
{
    /** @use HasFactory<ContactFactory> */
    use HasFactory;

    use LogsActivity;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['seen_at' => 'datetime', 'by_hand' => 'array'];

    /** @return BelongsTo<Account, $this> */
    public function account(): BelongsTo
    {
        return $this->belongsTo(Account::class);
    }

    /** @return HasMany<Channel, $this> */
    public function channels(): HasMany
    {
        return $this->hasMany(Channel::class);
    }

    /** @return HasMany<Note, $this> */
    public function notes(): HasMany
    {
        return $this->hasMany(Note::class)->latest()->latest('id');
    }

    /** @return HasMany<Position, $this> */
    public function positions(): HasMany
    {
        return $this->hasMany(Position::class)->orderByDesc('since');
    }

    public function name(): string
    {
        return trim($this->first_name.' '.$this->last_name);
    }

    public function getActivitylogOptions(): LogOptions
    {
        return LogOptions::defaults()->logOnly(['account_id', 'first_name', 'last_name', 'title'])->logOnlyDirty()
            ->dontSubmitEmptyLogs();
    }

    /**
     * @param  Builder<self>  $query
     * @return Builder<self> whose title no dictionary knows
     */
    public function scopeUnread(Builder $query): Builder
    {
        return $query->where('reading', 0)->whereNotNull('title');
    }
}
