<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\KeptList;
use App\Models\Offer;
use App\Models\StandingState;
use App\Models\Tag;
use App\Models\User;
use App\Support\FunctionNames;
use Luftig\Core\Buying\Part;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Search\Field;
use Luftig\Core\Signal\Kind;

/** What can be chosen for a condition, where there is a choice. */
final readonly class Options
{
    private const CHANNELS = ['email_checked', 'email', 'email_dead', 'direct_phone', 'switchboard', 'social', 'asked'];

    /** As schema.org has them, written as the core reads them. */
    private const EMPLOYMENT = ['full time', 'part time', 'temporary', 'contractor', 'intern', 'volunteer', 'per diem'];

    private const ARRIVALS = ['joined', 'promoted', 'moved', 'unknown', 'settled'];

    public function __construct(private Offer $offer, private User $me, private Search $search)
    {
    }

    /** @return array<array-key, string>|null value → label; null: values are typed */
    public function of(Field $field): ?array
    {
        return match ($field) {
            Field::Work => ['new' => 'new', 'kept' => 'kept', 'in_work' => 'in work'],
            Field::ListOf => KeptList::query()->where('offer_id', $this->offer->id)->orderBy('name')
                ->pluck('name', 'id')->all(),
            Field::Tag => Tag::query()->orderBy('name')->pluck('name', 'id')->all(),
            Field::Approached => ['anyone' => 'anyone']
                + User::query()->where('signs_in', true)->orderBy('name')->pluck('name', 'id')->all(),
            Field::Owner => ['nobody' => 'nobody']
                + User::query()->where('signs_in', true)->orderBy('name')->pluck('name', 'id')->all(),
            Field::Seniority => self::labels(array_reverse(Seniority::cases())),
            Field::BusinessFunction => FunctionNames::all(),
            Field::Part => self::labels(Part::cases()) + ['none' => 'none'],
            Field::Signal => self::labels(Kind::cases()),
            Field::State => array_map(lcfirst(...), self::labels(StandingState::cases())),
            Field::OpeningType => array_combine(self::EMPLOYMENT, self::EMPLOYMENT),
            Field::Arrival => self::named($field, self::ARRIVALS),
            Field::Channel => self::named($field, self::CHANNELS),
            Field::Origin => ['customer' => 'a customer of ours', 'elsewhere' => 'elsewhere'],
            Field::BuyerRole => array_combine($names = array_keys($this->search->everyValue($field)), $names),
            default => null,
        };
    }

    /** @return list<string> what a field stands for several times: names of attributes, buyer roles */
    public function which(Field $field): array
    {
        return $this->search->which($field);
    }

    /** @return array<array-key, string> whose relations there are */
    public function people(): array
    {
        return Reachability::choices($this->me);
    }

    /**
     * @param  list<Seniority|Part|Kind|StandingState>  $cases
     * @return array<string, string>
     */
    private static function labels(array $cases): array
    {
        return array_combine(
            array_map(fn ($case): string => $case->value, $cases),
            array_map(fn ($case): string => $case->label(), $cases),
        );
    }

    /**
     * @param  list<string>  $values
     * @return array<string, string>
     */
    private static function named(Field $field, array $values): array
    {
        return array_combine(
            $values,
            array_map(fn (string $value): string => ValueLabel::of($field, $value), $values),
        );
    }
}
