<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Opening;
use App\Models\Position;
use App\Network\Ties;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Index\Holds;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;
use Luftig\Core\Search\Whose;
use Luftig\Core\Text\Excerpt;
use Luftig\Core\Text\Query;
use stdClass;

/** Why somebody was found, where the steps do not say it alone: which signal, in which words, through whom. */
final class Matched
{
    /** Fields of which more is to be told than the step says. */
    private const TELLING = [
        Field::Event, Field::Opening, Field::Signal, Field::Words, Field::About, Field::Before, Field::Technology,
        Field::Attribute, Field::Reach,
    ];

    private readonly int $today;

    private readonly Records $records;

    /** @var array<int, list<stdClass>>|null account → its signals, the newest first */
    private ?array $signals = null;

    /** @var array<array-key, iterable<Opening>>|null account → whom it seeks, the newest first */
    private ?array $openings = null;

    private ?Ties $ties = null;

    /** @param  list<Account|Contact>  $found */
    private function __construct(private readonly Offer $offer, private readonly array $found)
    {
        $this->today = intdiv(CarbonImmutable::today()->getTimestamp(), 86400);
        $this->records = new Records($offer);
    }

    /**
     * @param  list<Account|Contact>  $found
     * @return array<int, list<string>> by id, in the order of the steps
     */
    public static function of(Offer $offer, Search $search, array $found): array
    {
        $steps = array_filter(
            $search->steps,
            fn (StepForm $step): bool => ! $step->isOff() && ! $step->excludes()
                && in_array($step->field, self::TELLING, true),
        );
        $conditions = [];
        foreach ($steps as $step) {
            try {
                $conditions[] = [$step, $step->condition($search->subject)];
            } catch (Mistake) {
                // The step itself says what is wrong with it.
            }
        }
        if ($conditions === [] || $found === []) {
            return [];
        }
        $self = new self($offer, $found);
        $why = [];
        foreach ($found as $record) {
            $why[$record->id] = array_values(array_filter(array_map(
                fn (array $one): ?string => $self->says($one[0], $one[1], $record),
                $conditions,
            )));
        }

        return $why;
    }

    private function says(StepForm $step, Condition $condition, Account|Contact $record): ?string
    {
        $account = $record instanceof Contact ? $record->account : $record;

        return match ($step->field) {
            Field::Event => $this->signal($condition->parts, Whose::tryFrom($condition->which), $record),
            Field::Signal => $this->signal([Condition::any(Field::EventKind, $condition->any)], null, $record),
            Field::Opening => $this->opening($condition->parts, $account),
            Field::Words => $this->words($step, $condition, $account),
            Field::About => $record instanceof Contact
                ? $this->quote($condition->query, trim("{$record->about}\n{$record->interests}"))
                : null,
            Field::Before => $record instanceof Contact ? $this->position($condition, $record) : null,
            Field::Technology => self::named('runs', array_filter(
                $account->technologies->pluck('name')->all(),
                fn (string $name): bool => in_array(
                    Field::Technology->spelled($name),
                    array_map(Field::Technology->spelled(...), $condition->any),
                    true,
                ),
            )),
            Field::Attribute => $this->attribute($condition, $account),
            default => $record instanceof Contact ? $this->reach($record) : null,
        };
    }

    /** @param  list<Condition>  $parts */
    private function signal(array $parts, ?Whose $whose, Account|Contact $record): ?string
    {
        foreach ($this->signalsOf($record) as $signal) {
            $isFit = match ($whose) {
                null => true,
                Whose::Account => $signal->contact_id === null,
                Whose::Person => $signal->contact_id !== null,
            };
            if (! $isFit) {
                continue;
            }
            $event = $this->records->event([
                $signal->kind, (int) $signal->time, $signal->strength, $signal->facts, $signal->title, $signal->quote,
                $signal->contact_id, $signal->link,
            ]);
            $holds = fn (Condition $part): bool => Holds::of($part, $event, $this->today);
            if (array_filter($parts, $holds) === $parts) {
                return "{$signal->title} (".Format::date(CarbonImmutable::createFromTimestampUTC($signal->time)).')';
            }
        }

        return null;
    }

    /** @param  list<Condition>  $parts */
    private function opening(array $parts, Account $account): ?string
    {
        $this->openings ??= Opening::query()->open()->whereIn('account_id', array_map(
            fn (Account|Contact $one): int => $one instanceof Contact ? $one->account_id : $one->id,
            $this->found,
        ))->latest('newest_at')->get()->groupBy('account_id')->all();
        foreach ($this->openings[$account->id] ?? [] as $one) {
            $record = $this->records->opening([
                $one->title, $one->text, $one->place, $one->type, intdiv($one->newest_at->getTimestamp(), 86400),
            ]);
            $holds = fn (Condition $part): bool => Holds::of($part, $record, $this->today);
            if (array_filter($parts, $holds) === $parts) {
                return Format::line("seeks {$one->title}", $one->place, Format::date($one->newest_at));
            }
        }

        return null;
    }

    /** @return iterable<stdClass> those of a contact without what others at the account have for themselves */
    private function signalsOf(Account|Contact $record): iterable
    {
        if ($this->signals === null) {
            $this->signals = [];
            $accounts = array_map(
                fn (Account|Contact $one): int => $one instanceof Contact ? $one->account_id : $one->id,
                $this->found,
            );
            foreach (
                DB::table('signals')->whereIn('account_id', $accounts)
                    ->where(fn ($of) => $of->whereNull('offer_id')->orWhere('offer_id', $this->offer->id))
                    ->orderByDesc('occurred_at')
                    ->select('account_id', 'contact_id', 'kind', 'strength', 'facts', 'title')
                    ->addSelect('quote', 'link')->selectRaw('UNIX_TIMESTAMP(occurred_at) AS time')->get() as $signal
            ) {
                $this->signals[$signal->account_id][] = $signal;
            }
        }

        return $record instanceof Account ? $this->signals[$record->id] ?? [] : array_filter(
            $this->signals[$record->account_id] ?? [],
            fn (stdClass $one): bool => $one->contact_id === null || $one->contact_id === $record->id,
        );
    }

    private function words(StepForm $step, Condition $condition, Account $account): ?string
    {
        $passages = Passage::named($step->which()) ?: Passage::cases();
        foreach ([Passage::Description, Passage::Keywords, Passage::Site] as $passage) {
            $text = in_array($passage, $passages, true) ? (string) match ($passage) {
                Passage::Description => $account->description,
                Passage::Keywords => $account->keywords,
                default => DB::table('site_texts')->where('account_id', $account->id)->value('text'),
            } : '';
            $quote = $this->quote($condition->query, $text);
            if ($quote !== null) {
                return $quote;
            }
        }

        return null;
    }

    private function quote(?Query $query, string $text): ?string
    {
        $excerpt = $query === null ? null : Excerpt::of($text, $query);

        return $excerpt === null ? null : "“{$excerpt}”";
    }

    private function position(Condition $condition, Contact $contact): ?string
    {
        foreach ($contact->positions->whereNotNull('until') as $position) {
            $company = $position->account->name ?? $position->company;
            $record = ContactRecord::positionBefore(
                (string) $position->title, (string) $company, self::day($position), new FoldedLines,
            );
            $holds = fn (Condition $part): bool => Holds::of($part, $record, $this->today);
            if (array_filter($condition->parts, $holds) === $condition->parts) {
                return Format::line("before: {$position->title}", $company, 'until '.$position->until?->year);
            }
        }

        return null;
    }

    private static function day(Position $position): int
    {
        return intdiv((int) $position->until?->getTimestamp(), 86400);
    }

    private function attribute(Condition $condition, Account $account): ?string
    {
        $value = $account->extras->first(
            fn ($one): bool => mb_strtolower($one->name) === $condition->which,
        );

        return $value === null ? null : "{$value->name}: ".$value->getRelation('pivot')->getAttribute('value');
    }

    private function reach(Contact $contact): ?string
    {
        $this->ties ??= new Ties(collect(array_filter(
            $this->found, fn (Account|Contact $one): bool => $one instanceof Contact,
        )));
        $tie = $this->ties->of($contact)[0] ?? null;

        return $tie === null ? null : "known to {$tie['user']->name}: {$tie['because']}";
    }

    /** @param  array<string>  $names */
    private static function named(string $says, array $names): ?string
    {
        return $names === [] ? null : "$says ".implode(', ', $names);
    }
}
