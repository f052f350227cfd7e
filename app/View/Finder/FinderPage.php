<?php

declare(strict_types=1);

namespace App\View\Finder;

use App\Finder\Menu;
use App\Finder\Options;
use App\Finder\ResultColumn;
use App\Finder\ResultRows;
use App\Finder\Search;
use App\Finder\Sorting;
use App\Finder\StepForm;
use App\Finder\ValueLabel;
use App\Models\Account;
use App\Models\Offer;
use App\Models\Tag;
use App\Models\User;
use App\Models\Watch;
use App\Support\Format;
use App\View\Lists\ListChoices;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;

/** A search with its staircase, what it found, and what is in there. */
final readonly class FinderPage
{
    private const SIZE = 20;

    private const VALUES = 5;

    /** Values of a field that is looked at more closely. */
    private const MANY = 60;

    private const HINTS = 3;

    private const WORK = ['new' => 'new', 'kept' => 'kept', 'in_work' => 'in work'];

    public int $total;

    public int $everybody;

    /** @var LengthAwarePaginator<int, mixed> */
    public LengthAwarePaginator $pages;

    public Results $results;

    public Sorting $sorting;

    public ?StepInputs $adds;

    public ?Varied $varied;

    /** @var list<array{step: StepForm, after: int|null, without: int|null, unknown: int|null}> */
    private array $staircase;

    private Options $options;

    /**
     * @param  array{add: string, edit: string, vary: string, over: string, wide: string, sort: string}  $asked  what is
     *     to be added, edited or varied, looked at closely, and by what the rows are ordered
     * @param  bool  $isWhole  counts of every field, and not only of those that say most
     * @param  list<ResultColumn>  $columns  to export, in this order
     */
    public function __construct(
        private Offer $offer,
        private User $user,
        public Search $search,
        int $page,
        private array $asked,
        public bool $isWhole,
        private array $columns,
    ) {
        $this->staircase = $search->staircase();
        $this->total = $search->total();
        $this->everybody = $search->everybody();
        $this->sorting = Sorting::from($offer, $search, $asked['sort']);
        $rows = ResultRows::of(
            $offer, $search->subject, $this->sorting->page($page, self::SIZE), by: $search,
        );
        $this->results = Results::of($offer, $rows, $search, sorting: $this->sorting);
        $pages = new LengthAwarePaginator($rows->records, $this->total, self::SIZE, $page, ['path' => route('finder')]);
        $this->pages = $pages->withQueryString();
        $this->options = new Options($offer, $user, $search);
        $field = Conditions::named($asked['add'], $search);
        $this->adds = $field === null || $this->isFull()
            ? null
            : new StepInputs($field, null, count($search->steps), $this->options);
        $this->varied = $this->adds === null ? Varied::of($this, $asked['vary'], $asked['over']) : null;
    }

    /**
     * @param  array<int, StepForm>  $steps
     * @param  array<string, mixed>  $more
     */
    public function address(array $steps, array $more = []): string
    {
        return route('finder', $this->search->parameters(array_values($steps)) + $more);
    }

    public function isOfContacts(): bool
    {
        return $this->search->subject === Subject::Contacts;
    }

    /** @return array<string, array{string, bool}> what can be looked for → address, whether it is */
    public function subjects(): array
    {
        $subjects = [];
        foreach (Subject::cases() as $subject) {
            $steps = array_values(
                array_filter($this->search->steps, fn (StepForm $step): bool => $step->field->suits($subject)),
            );
            $subjects[$subject->value] = [
                route('finder', $this->search->parameters($steps, $subject)),
                $subject === $this->search->subject,
            ];
        }

        return $subjects;
    }

    /** @return list<Stair> */
    public function stairs(): array
    {
        $last = array_key_last($this->staircase);

        return array_map(fn (array $row, int $at): Stair => new Stair(
            $this, $at, $row, $at === $last, $this->search->mistakes[$at] ?? null,
            $this->asked['edit'] === (string) $at, $this->options,
        ), $this->staircase, array_keys($this->staircase));
    }

    /** The step that is to be changed, or the first that cannot be used. */
    public function changed(): ?Stair
    {
        foreach ($this->stairs() as $stair) {
            if ($stair->isOpen || $stair->mistake !== null) {
                return $stair;
            }
        }

        return null;
    }

    /** @return list<string> what is wrong with further steps */
    public function otherMistakes(): array
    {
        $mistakes = array_filter(
            $this->stairs(),
            fn (Stair $stair): bool => $stair->mistake !== null && $stair->at !== $this->changed()?->at,
        );

        return array_values(array_map(
            fn (Stair $stair): string => ucfirst($stair->label()).": {$stair->mistake}",
            $mistakes,
        ));
    }

    public function height(): int
    {
        return Stair::heightOf($this->everybody, $this->everybody);
    }

    public function isFull(): bool
    {
        return count($this->search->steps) >= Search::MOST;
    }

    /** What was typed to be added and is no condition. */
    public function unknownCondition(): ?string
    {
        return $this->adds === null && $this->asked['add'] !== '' && ! $this->isFull() ? $this->asked['add'] : null;
    }

    /**
     * @return array<string, list<array{field: Field, url: string}>> conditions that can be added, those added last
     *     first
     */
    public function conditions(): array
    {
        return array_map(fn (array $fields): array => array_map(fn (Field $field): array => [
            'field' => $field, 'url' => $this->address($this->search->steps, ['add' => $field->value]),
        ], $fields), Conditions::of($this->search, $this->user));
    }

    /** @return list<string> how queries are read in another way than they might have been meant */
    public function hints(): array
    {
        return array_merge([], ...array_map(fn (StepForm $step): array => array_map(
            fn (string $hint): string => ucfirst($step->field->label()).": $hint",
            array_slice([...$step->hints(), ...$this->unknown($step)], 0, self::HINTS),
        ), $this->search->steps));
    }

    /** @return list<string> what is said of values that are unknown, where others of the step are known */
    private function unknown(StepForm $step): array
    {
        $isUsed = ! isset($this->search->mistakes[array_search($step, $this->search->steps, true)]);

        $hint = $isUsed ? $this->search->values()->hint($step) : null;

        return $hint === null ? [] : [$hint];
    }

    /** @return array<int|string, string> watches whose search can be exchanged for this one */
    public function watches(): array
    {
        return ['' => 'a new watch'] + Watch::query()->with('user')->where('offer_id', $this->offer->id)
            ->where('subject', $this->search->subject->value)->orderBy('name')->get()
            ->filter(fn (Watch $watch): bool => Gate::allows('update', $watch))->pluck('name', 'id')->all();
    }

    /** @return array<int|string, string> lists to keep them on */
    public function lists(): array
    {
        return ListChoices::of($this->offer, $this->search->subject);
    }

    public function found(): string
    {
        return Format::count($this->total, $this->isOfContacts() ? 'contact' : 'account');
    }

    /** Where the rows stand by account, or by priority again; null where they are too many for it. */
    public function otherOrder(): ?string
    {
        return $this->isOfContacts() && $this->sorting->isPossible()
            ? $this->address($this->search->steps, $this->sorting->isGrouped() ? [] : ['sort' => 'grouped'])
            : null;
    }

    public function inAccounts(): string
    {
        return $this->isOfContacts() ? ' in '.Format::count($this->search->accounts(), 'account') : '';
    }

    /**
     * @return list<array{says: string, label: string, after: string, url: string|null}> new, kept, in work, with the
     *     address that leaves them out
     */
    public function work(): array
    {
        $work = $this->search->work();

        return array_map(fn (string $key, string $label): array => [
            'says' => Format::number($work[$key]).' '.$label,
            'label' => $label,
            'after' => $key === array_key_last(self::WORK) ? '' : ',',
            'url' => $work[$key] > 0
                ? $this->address([...$this->search->steps, StepForm::of(Field::Work, ['v' => $key, 'x' => '1'])])
                : null,
        ], array_keys(self::WORK), self::WORK);
    }

    /** Too many is as bad as too few. */
    public function advice(): string
    {
        $week = 5 * $this->user->pace;

        return match (true) {
            $this->total === 0 => 'nobody; remove a step',
            $this->total > 3 * $week => "too many for a week of $week; add a step",
            $this->total < $week / 4 => "few for a week of $week",
            default => "fits a week of $week",
        };
    }

    /** @return list<Facets> of each field that is counted */
    public function facets(): array
    {
        $all = [];
        // People are counted by the account they are at, too: half a company in one list is noticed.
        $fields = [...Menu::counted($this->search, $this->isWhole), ...$this->isOfContacts() ? [Field::Domain] : []];
        foreach ($fields as $field) {
            $isWide = $this->asked['wide'] === $field->value;
            $values = match (true) {
                $field === Field::Domain => $this->employers($isWide),
                $field->isCounted() => $this->values($field, $isWide),
                default => $this->bands($field),
            };
            if ($values === []) {
                continue;
            }
            $most = max([1, ...array_column($values, 1)]);
            $all[] = new Facets(
                $field,
                array_map(fn (array $value): Facet => new Facet(
                    $value[0]->given('v'),
                    $value[2],
                    $field === Field::Domain ? 'account' : $field->label(),
                    $value[1],
                    $value[1] / $most,
                    $this->address([...$this->search->steps, $value[0]]),
                    $this->address([...$this->search->steps, $value[0]->with(['x' => '1'])]),
                ), $values),
                $isWide,
                ($field->isCounted() || $field === Field::Domain) && ($isWide || count($values) === self::VALUES)
                    ? $this->address($this->search->steps, array_filter([
                        'every' => $this->isWhole ? 1 : null, 'wide' => $isWide ? null : $field->value,
                    ]))
                    : null,
            );
        }

        return $all;
    }

    /** The name of a field of the step that would come next. */
    public function nextStep(string $key): string
    {
        return 'c['.count($this->search->steps)."][$key]";
    }

    public function otherFields(): string
    {
        return $this->address($this->search->steps, $this->isWhole ? [] : ['every' => 1]);
    }

    public function words(): string
    {
        return route('finder.words', $this->search->parameters());
    }

    /** @return array<string, bool> column → whether it is exported, in the order last chosen */
    public function columns(): array
    {
        return array_fill_keys(array_column($this->columns, 'heading'), true)
            + array_fill_keys(array_keys(ResultColumn::of($this->search->subject)), false);
    }

    /** @return Collection<int, string> */
    public function tags(): Collection
    {
        return Tag::query()->orderBy('name')->pluck('name');
    }

    /** @return list<array{StepForm, int, string}> */
    private function values(Field $field, bool $isWide): array
    {
        // Of the tree, the divisions say most at a glance.
        $isTree = $field === Field::Industry || $field === Field::MainIndustry;
        $counts = $this->search
            ->counts(
                $field,
                $isWide ? self::MANY : self::VALUES,
                $isTree ? fn (string $code): bool => strlen($code) === 2 : null,
            );

        return array_map(
            fn (int|string $value, int $count): array => [
                StepForm::of($field, ['v' => (string) $value]), $count, ValueLabel::of($field, (string) $value),
            ],
            array_keys($counts),
            $counts,
        );
    }

    /** @return list<array{StepForm, int, string}> by account, as far as it has a domain to be told by */
    private function employers(bool $isWide): array
    {
        $counts = $this->search->employers($isWide ? self::MANY : self::VALUES);
        $accounts = Account::query()->whereIn('id', array_keys($counts))->whereNotNull('domain')
            ->get(['id', 'name', 'domain'])->keyBy('id');

        return array_values(array_map(
            fn (Account $account): array => [
                StepForm::of(Field::Domain, ['v' => (string) $account->domain]), $counts[$account->id], $account->name,
            ],
            array_filter(array_map(fn (int $id): ?Account => $accounts[$id] ?? null, array_keys($counts))),
        ));
    }

    /** @return list<array{StepForm, int, string}> */
    private function bands(Field $field): array
    {
        return $this->search->bands($field);
    }
}
