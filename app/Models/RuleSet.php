<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One saved version of an offer's rules: the criteria of its target profile and what it changes in the catalogue.
 *
 * @property list<array<string, mixed>> $criteria
 * @property array<string, array<string, mixed>> $kinds
 * @property list<array<string, mixed>> $buyer_roles
 * @property list<array<string, mixed>> $roles_of_interest
 * @property array{completes?: list<string>, replaces?: list<string>} $technologies
 * @property list<array<string, mixed>> $topics
 * @property list<array<string, mixed>> $angles with their words; none: those that ship
 * @property array<string, float> $points lines of points that are not worth what is usual
 * @property int|null $lesson_id what they were learned from
 * @property int $id
 * @property int $offer_id
 * @property int $version
 * @property int|null $author_id
 * @property string|null $note
 * @property CarbonImmutable|null $created_at
 * @property-read Offer $offer
 * @property-read User|null $author
 * @property-read Lesson|null $lesson
 */
final class RuleSet extends Model
{
    protected $guarded = [];

    protected $attributes = [
        'buyer_roles' => '[]', 'roles_of_interest' => '[]', 'technologies' => '{}', 'topics' => '[]',
        'angles' => '[]', 'points' => '{}',
    ];

    /** @var array<string, string> */
    protected $casts = [
        'criteria' => 'array', 'kinds' => 'array', 'buyer_roles' => 'array', 'roles_of_interest' => 'array',
        'technologies' => 'array', 'topics' => 'array', 'angles' => 'array',
        'points' => 'array',
    ];

    /** @return BelongsTo<Offer, $this> */
    public function offer(): BelongsTo
    {
        return $this->belongsTo(Offer::class);
    }

    /** @return BelongsTo<User, $this> */
    public function author(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<Lesson, $this> */
    public function lesson(): BelongsTo
    {
        return $this->belongsTo(Lesson::class);
    }
}
