<?php

declare(strict_types=1);

namespace App\Standings;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Feed;
use App\Models\Offer;
use App\Models\Signal;
use App\Models\User;
use Luftig\Core\Fit\CriterionField;

/** How far a team is on its way from an empty base to its first ten reasons, and what makes them more every day. */
final readonly class FirstSteps
{
    public const STEPS = [
        1 => 'What we sell', 2 => 'Whom it serves', 3 => 'Who buys', 4 => 'Bring files', 5 => 'The first ten',
        6 => 'Add sources', 7 => 'Who works with you',
    ];

    private const TEN = 5;

    /** What a base is begun with, until somebody says what is sold. */
    public const UNNAMED = 'Our offer';

    public const SIZE = 'Size';

    /** field of the form → what it looks at, how, and what the criterion is called */
    public const VALUES = [
        'industries' => [CriterionField::Industries, 'must', 'Industry'],
        'countries' => [CriterionField::Country, 'must', 'Country'],
        'not' => [CriterionField::Industries, 'must_not', 'Not these industries'],
    ];

    public function __construct(private Offer $offer)
    {
        $offer->loadMissing('rules');
    }

    /** Whether one cannot work yet, since a step before the first ten is still to be made. */
    public static function areOpen(): bool
    {
        return (self::ofTheFirst()?->next() ?? self::TEN) < self::TEN;
    }

    /** Whether any is still to be made. */
    public static function areLeft(): bool
    {
        $steps = self::ofTheFirst();

        return $steps !== null && ! $steps->isDone($steps->next());
    }

    private static function ofTheFirst(): ?self
    {
        $offer = Offer::query()->with('rules')->orderBy('id')->first();

        return $offer === null ? null : new self($offer);
    }

    /** @return list<array<string, mixed>> criteria of the rules that the first steps do not ask for, and leave alone */
    public function others(): array
    {
        $own = [self::SIZE, ...array_column(self::VALUES, 2)];

        return array_values(array_filter(
            $this->offer->rules->criteria ?? [],
            fn (array $criterion): bool => ! in_array($criterion['name'], $own, true),
        ));
    }

    /**
     * What the rules say beside the values of a criterion: whether it is a gate, how much it weighs, of which sites.
     *
     * @return array<string, mixed> empty where there is no criterion of the name
     */
    public function asWeighed(string $name): array
    {
        foreach ($this->offer->rules->criteria ?? [] as $criterion) {
            if ($criterion['name'] === $name) {
                return array_intersect_key($criterion, ['mode' => 0, 'weight' => 0, 'any_site' => 0]);
            }
        }

        return [];
    }

    public function isDone(int $step): bool
    {
        return match ($step) {
            1 => $this->offer->name !== self::UNNAMED,
            2 => ($this->offer->rules->criteria ?? []) !== [],
            3 => ($this->offer->rules->buyer_roles ?? []) !== [],
            4 => Account::query()->exists() && Signal::query()->exists(),
            6 => Feed::query()->exists(),
            7 => User::query()->where('signs_in', true)->count() > 1,
            default => Approach::query()->exists(),
        };
    }

    /** The first step that is still to be made; the first ten where all are. */
    public function next(): int
    {
        foreach (array_keys(self::STEPS) as $step) {
            if (! $this->isDone($step)) {
                return $step;
            }
        }

        return self::TEN;
    }
}
