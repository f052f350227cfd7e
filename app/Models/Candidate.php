<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/**
 * A person who turned up in a source and is nobody's contact.
 *
 * @property int $id
 * @property string $profile
 * @property string $name
 * @property string|null $company
 * @property string|null $title
 * @property CandidateState $state
 */
final class Candidate extends Model
{
    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['state' => CandidateState::class];

    /**
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public function scopeOpen(Builder $query): Builder
    {
        return $query->where('state', CandidateState::Open);
    }
}
