<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use Carbon\CarbonImmutable;
use Closure;
use Luftig\Core\Index\Facets;
use Luftig\Core\Index\Index;
use Luftig\Core\Index\Narrowing;
use Luftig\Core\Index\Step;
use Luftig\Core\Mistake;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;
use WeakMap;

/**
 * A search: what is looked for, and the row of steps. It stands whole in its address, so that it can be sent, kept and
 * gone back from.
 */
final class Search
{
    public const MOST = 20;

    /** @var list<array{Index, Narrowing}>|null */
    private ?array $asked = null;

    /** @var array<int, string> step → why it cannot be used */
    public array $mistakes = [];

    private readonly Sets $sets;

    /** @var list<Index>|null */
    private ?array $indexes = null;

    /**
     * @var WeakMap<StepForm, list<Step>> what each index answered to a step; searches beside each other share most of
     *     them
     */
    private readonly WeakMap $answers;

    /** @param  list<StepForm>  $steps */
    private function __construct(
        private readonly Offer $offer,
        public readonly Subject $subject,
        public readonly array $steps,
        ?self $beside = null,
        private readonly bool $isTyped = false,
    ) {
        $this->sets = $beside->sets ?? new Sets($offer);
        /** @var WeakMap<StepForm, list<Step>> $answers */
        $answers = new WeakMap;
        $this->answers = $beside->answers ?? $answers;
        $this->indexes = $beside?->indexes();
    }

    /**
     * @param  array<array-key, mixed>  $query  of an address: on, c[]; without steps the search begins by leaving out
     *     who is kept out
     */
    public static function from(Offer $offer, array $query): self
    {
        $subject = Subject::tryFrom(is_string($query['on'] ?? null) ? $query['on'] : '') ?? Subject::Contacts;
        // A step that is edited comes last in its form, and keeps its place by its number.
        is_array($query['c'] ?? null) && ksort($query['c']);
        $rows = is_array($query['c'] ?? null)
            ? array_slice(array_values(array_filter($query['c'], is_array(...))), 0, self::MOST)
            : [];
        $steps = array_values(array_filter(
            array_map(StepForm::from(...), $rows),
            fn (?StepForm $step): bool => $step !== null && $step->field->suits($subject),
        ));

        return new self($offer, $subject, isset($query['c']) ? $steps : [StepForm::of(Field::KeptOut, ['x' => '1'])]);
    }

    /**
     * As somebody typed it just now: of values that are not known at all the step is refused. A search that was kept
     * goes
     * on with a value that nobody has any more, or not yet, and finds nobody by it.
     *
     * @param  array<array-key, mixed>  $query
     */
    public static function typed(Offer $offer, array $query): self
    {
        $search = self::from($offer, $query);

        return new self($offer, $search->subject, $search->steps, isTyped: true);
    }

    public function values(): KnownValues
    {
        return new KnownValues($this->indexes());
    }

    /**
     * @param  list<StepForm>  $steps
     * @return array<string, mixed> what an address needs to be this search
     */
    public function parameters(?array $steps = null, ?Subject $subject = null): array
    {
        $rows = array_map(fn (StepForm $step): array => $step->given, $steps ?? $this->steps);

        return ['on' => ($subject ?? $this->subject)->value, 'c' => $rows === [] ? [''] : $rows];
    }

    public function total(): int
    {
        return $this->sum(fn (Index $index, Narrowing $narrowing): int => $narrowing->result->count());
    }

    public function everybody(): int
    {
        return $this->sum(fn (Index $index): int => $index->all($this->subject)->count());
    }

    public function accounts(): int
    {
        return $this->subject === Subject::Accounts
            ? $this->total()
            : $this->sum(fn (Index $index, Narrowing $narrowing): int => $index->accountsOf($narrowing->result));
    }

    /**
     * @return list<array{step: StepForm, after: int|null, without: int|null, unknown: int|null}> null where a step is
     *     off or cannot be used
     */
    public function staircase(): array
    {
        $asked = $this->asked();
        $rows = [];
        $used = 0;
        foreach ($this->steps as $i => $step) {
            if ($step->isOff() || isset($this->mistakes[$i])) {
                $rows[] = ['step' => $step, 'after' => null, 'without' => null, 'unknown' => null];

                continue;
            }
            $sum = fn (Closure $what): int => array_sum(
                array_map(fn (array $one): int => $what($one[1])[$used], $asked),
            );
            $rows[] = [
                'step' => $step,
                'after' => $sum(fn (Narrowing $one): array => $one->after),
                'without' => $sum(fn (Narrowing $one): array => $one->without),
                'unknown' => $sum(fn (Narrowing $one): array => $one->unknown),
            ];
            $used++;
        }

        return $rows;
    }

    /**
     * @param  int  $most  how many values
     * @param  Closure(string): bool|null  $only  which values are of interest
     * @return array<string, int> value → how many of those found have it, the most frequent first
     */
    public function counts(Field $field, int $most = PHP_INT_MAX, ?Closure $only = null): array
    {
        return Facets::of(
            array_map(fn (array $asked): array => [$asked[0], $asked[1]->result], $this->asked()),
            $field,
            $this->subject,
            $most,
            $only,
        );
    }

    /**
     * The accounts at which most of the contacts found are.
     *
     * @return array<int, int> account → how many, the most first
     */
    public function employers(int $most): array
    {
        $counts = [];
        foreach ($this->asked() as [$index, $narrowing]) {
            $counts += $index->employers($narrowing->result, $most);
        }
        arsort($counts);

        return array_slice($counts, 0, $most, true);
    }

    /** Whether there is any fact for a condition to be about. */
    public function knows(Field $field): bool
    {
        return array_filter($this->asked(), fn (array $asked): bool => $asked[0]->knows($field)) !== [];
    }

    /** @return array<string, list<Field>> what can be asked of what it is about, in groups */
    public function menu(): array
    {
        return once(fn (): array => Menu::of($this));
    }

    /** @return array<array-key, array{int, int}> every value of a field, whether found or not, with how many have it */
    public function everyValue(Field $field): array
    {
        return array_replace([], ...array_map(fn (array $asked): array => $asked[0]->totals($field), $this->asked()));
    }

    /** @return list<string> what a field stands for several times: names of attributes, buyer roles */
    public function which(Field $field): array
    {
        return array_values(array_unique(
            array_merge(...array_map(fn (array $asked): array => $asked[0]->which($field), $this->asked())),
        ));
    }

    /**
     * How many of those found lie in each band of a number.
     *
     * @return list<array{StepForm, int, string}> with how the band is called
     */
    public function bands(Field $field): array
    {
        $counts = [];
        foreach (Bands::of($field) as [$low, $high, $called]) {
            $step = StepForm::of($field, array_map(
                strval(...),
                array_filter(['lo' => $low, 'hi' => $high], fn ($bound): bool => $bound !== null),
            ));
            $counts[] = [$step, $this->meeting($step), $called];
        }

        return array_values(array_filter($counts, fn (array $band): bool => $band[1] > 0));
    }

    /** How many of those found meet one more condition. */
    public function meeting(StepForm $step): int
    {
        $condition = $step->condition($this->subject);

        return $this->sum(
            fn (Index $index, Narrowing $narrowing): int => $index
                ->step($condition, $this->subject, self::today(), ($this->sets)(...))->meet
                ->countWith($narrowing->result),
        );
    }

    /** @param  list<StepForm>  $steps  in the place of its own */
    public function withSteps(array $steps): self
    {
        return new self($this->offer, $this->subject, $steps, $this, $this->isTyped);
    }

    private static function today(): int
    {
        return intdiv(CarbonImmutable::today()->getTimestamp(), 86400);
    }

    /** @return array{new: int, kept: int, in_work: int} */
    public function work(): array
    {
        $of = $this->subject === Subject::Accounts ? 'account' : 'contact';
        $count = fn (string $value): int => $this->sum(function (Index $index, Narrowing $narrowing) use ($value): int {
            return $index->step(
                Sets::condition(Field::Work, $this->subject, [$value], false), $this->subject, 0, ($this->sets)(...),
            )->meet->countWith($narrowing->result);
        });
        $kept = $count('kept');
        $inWork = $count('in_work');

        return ['new' => $this->total() - $kept - $inWork, 'kept' => $kept, 'in_work' => $inWork];
    }

    /** @return 'new'|'kept'|'in_work' */
    public function workOf(int $id): string
    {
        $of = $this->subject === Subject::Accounts ? 'account' : 'contact';

        return match (true) {
            in_array($id, ($this->sets)("$of:in_work"), true) => 'in_work',
            in_array($id, ($this->sets)("$of:kept"), true) => 'kept',
            default => 'new',
        };
    }

    /** @return list<int> ids, the best first */
    public function ids(int $most = PHP_INT_MAX): array
    {
        $order = [];
        foreach ($this->asked() as [$index, $narrowing]) {
            $order += $index->first($narrowing->result, $this->subject, min($most, $narrowing->result->count()));
        }
        arsort($order);

        return array_slice(array_keys($order), 0, $most);
    }

    /**
     * So many of those found, spread evenly over them.
     *
     * @return list<int> ids
     */
    public function spread(int $most): array
    {
        $total = $this->total();
        $ids = [];
        foreach ($this->asked() as [$index, $narrowing]) {
            array_push(
                $ids,
                ...$index->evenly($narrowing->result, $this->subject, (int) ceil(
                    $most * $narrowing->result->count() / max(1, $total),
                )),
            );
        }

        return $ids;
    }

    /** @param  callable(Index, Narrowing): int  $of */
    private function sum(callable $of): int
    {
        return array_sum(array_map(fn (array $asked): int => $of(...$asked), $this->asked()));
    }

    /** @return list<array{Index, Narrowing}> */
    private function asked(): array
    {
        if ($this->asked !== null) {
            return $this->asked;
        }
        $answers = [];
        foreach ($this->steps as $i => $step) {
            try {
                if ($step->isOff()) {
                    // Not asked, but its mistakes are told.
                    $step->condition($this->subject);
                } else {
                    $condition = $step->condition($this->subject);
                    if ($this->isTyped) {
                        $this->values()->check($step);
                    }
                    $answers[] = $this->answers[$step] ??= $this->answer($condition);
                }
            } catch (Mistake $mistake) {
                $this->mistakes[$i] = $mistake->inWords();
            }
        }
        $this->asked = [];
        foreach ($this->indexes() as $i => $index) {
            $this->asked[] = [$index, Narrowing::of($index->all($this->subject), array_column($answers, $i))];
        }

        return $this->asked;
    }

    /** @return list<Step> of each index */
    private function answer(Condition $condition): array
    {
        $today = self::today();

        return array_map(
            fn (Index $index): Step => $index->step($condition, $this->subject, $today, ($this->sets)(...)),
            $this->indexes(),
        );
    }

    /** @return list<Index> */
    private function indexes(): array
    {
        return $this->indexes ??= Indexes::of($this->offer);
    }
}
