<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Database\Factories\AccountFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Spatie\Activitylog\LogOptions;
use Spatie\Activitylog\Traits\LogsActivity;

/**
 * A company.
 *
 * @property int $id
 * @property string $name
 * @property string|null $domain
 * @property string|null $status
 * @property bool $no_agency somebody said that it is none, whatever it looks like
 * @property int|null $owner_id
 * @property int|null $parent_id
 * @property int|null $merged_into
 * @property string|null $description
 * @property string|null $keywords
 * @property int|null $founded
 * @property int|null $headcount
 * @property string|null $headcount_given
 * @property float|null $growth
 * @property float|null $revenue
 * @property float|null $revenue_amount
 * @property string|null $revenue_currency
 * @property string|null $revenue_given
 * @property int|null $sites
 * @property string|null $source
 * @property float $confidence
 * @property CarbonImmutable|null $seen_at
 * @property bool $stale
 * @property-read User|null $owner
 * @property-read Account|null $parent
 * @property-read Collection<int, Place> $places
 * @property-read Collection<int, Contact> $contacts
 * @property-read Collection<int, Signal> $signals
 * @property-read Collection<int, Note> $notes
 * @property-read Collection<int, CustomerPeriod> $customerPeriods
 * @property-read Collection<int, AccountIndustry> $industries
 * @property-read Collection<int, Approach> $approaches
 * @property-read Collection<int, Reason> $reasons
 * @property-read Collection<int, Standing> $standings
 * @property-read Collection<int, Technology> $technologies
 * @property-read Collection<int, Attribute> $extras
 */
final class Account extends Model
{
    /** @use HasFactory<AccountFactory> */
    use HasFactory;

    use LogsActivity;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['stale' => 'boolean', 'no_agency' => 'boolean', 'seen_at' => 'datetime'];

    /** @return BelongsTo<User, $this> */
    public function owner(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<self, $this> */
    public function parent(): BelongsTo
    {
        return $this->belongsTo(self::class);
    }

    /** @return HasMany<Place, $this> */
    public function places(): HasMany
    {
        return $this->hasMany(Place::class)->orderByDesc('headquarters')->orderBy('id');
    }

    /** @return HasMany<Contact, $this> */
    public function contacts(): HasMany
    {
        return $this->hasMany(Contact::class)->whereNull('merged_into');
    }

    /**
     * Makes it a keeper's if it is nobody's; of two at once it is the first one's. @return User|null whose it is then
     */
    public function claim(User $keeper): ?User
    {
        self::query()->whereKey($this->id)->whereNull('owner_id')->update(['owner_id' => $keeper->id]);

        return $this->refresh()->owner;
    }

    /** @return HasMany<Signal, $this> */
    public function signals(): HasMany
    {
        return $this->hasMany(Signal::class)->orderByDesc('occurred_at');
    }

    /** @return HasMany<Note, $this> */
    public function notes(): HasMany
    {
        return $this->hasMany(Note::class)->latest()->latest('id');
    }

    /** @return HasMany<CustomerPeriod, $this> */
    public function customerPeriods(): HasMany
    {
        return $this->hasMany(CustomerPeriod::class)->orderBy('since');
    }

    /** @return HasMany<AccountIndustry, $this> */
    public function industries(): HasMany
    {
        return $this->hasMany(AccountIndustry::class)->orderBy('position');
    }

    /** @return HasMany<Approach, $this> */
    public function approaches(): HasMany
    {
        return $this->hasMany(Approach::class)->latest('made_at');
    }

    /** @return HasMany<Reason, $this> */
    public function reasons(): HasMany
    {
        return $this->hasMany(Reason::class)->latest();
    }

    /** @return HasMany<Standing, $this> */
    public function standings(): HasMany
    {
        return $this->hasMany(Standing::class);
    }

    /** @return BelongsToMany<Technology, $this> */
    public function technologies(): BelongsToMany
    {
        return $this->belongsToMany(Technology::class)->orderBy('name');
    }

    /** @return BelongsToMany<Attribute, $this> */
    public function extras(): BelongsToMany
    {
        return $this->belongsToMany(Attribute::class)->withPivot('value')->orderBy('name');
    }

    /**
     * Not merged into another.
     *
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeOwn(Builder $query): Builder
    {
        return $query->whereNull('merged_into');
    }

    public function headquarters(): ?Place
    {
        return $this->places->firstWhere('headquarters', true);
    }

    public function isCustomerOn(CarbonInterface $day): bool
    {
        return $this->customerPeriods->contains(fn (CustomerPeriod $period): bool => $period->covers($day));
    }

    public function getActivitylogOptions(): LogOptions
    {
        return LogOptions::defaults()->logOnly(['name', 'domain', 'status', 'no_agency', 'owner_id', 'parent_id'])
            ->logOnlyDirty()->dontSubmitEmptyLogs();
    }
}
