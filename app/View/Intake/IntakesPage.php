<?php

declare(strict_types=1);

namespace App\View\Intake;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Double;
use App\Models\IndustryLabel;
use App\Models\Intake;
use App\Models\Mention;
use App\Support\Format;
use App\View\Feeds\CandidatesPage;
use App\View\Feeds\FeedLine;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Luftig\Core\Company\Industries;
use Luftig\Core\Signal\Aboutness;

/** Files that were brought, and what waits for a decision. */
final readonly class IntakesPage
{
    private const SIZE = 15;

    private const PAIRS = 10;

    private const LABELS = 20;

    private const COUNTED = ['created', 'updated', 'unchanged', 'waiting', 'rejected'];

    /**
     * @param  LengthAwarePaginator<int, Intake>  $intakes
     * @param  list<DoubtfulPair>  $pairs
     * @param  Collection<int, IndustryLabel>  $labels
     * @param  list<FeedLine>  $feeds
     * @param  Collection<int, Mention>  $mentions  that wait for a decision
     */
    private function __construct(
        public LengthAwarePaginator $intakes,
        public array $pairs,
        private Collection $labels,
        public array $feeds,
        public Collection $mentions,
    ) {
    }

    public static function of(): self
    {
        return new self(
            Intake::query()->with('user')->latest('id')->paginate(self::SIZE),
            DoubtfulPair::open(self::PAIRS),
            IndustryLabel::query()->whereNull('code')->withCount(['accounts as used'])->orderByDesc('used')
                ->orderBy('label')->limit(self::LABELS)->get(),
            FeedLine::all(),
            Mention::query()->with('item.feed', 'account')->where('verdict', Aboutness::ToDecide)
                ->orderByDesc('confidence')->orderByDesc('id')->limit(self::PAIRS)->get(),
        );
    }

    public function megabytes(): int
    {
        return config()->integer('luftig.upload_megabytes');
    }

    /** @return list<array{intake: Intake, by: string, counts: list<string>, state: string}> */
    public function rows(): array
    {
        return array_map(fn (Intake $intake): array => [
            'intake' => $intake, 'by' => $intake->user->name ?? 'demo', 'state' => $intake->state->label(),
            'counts' => array_map(
                fn (string $field): string => Format::number((int) $intake->getAttribute($field)),
                self::COUNTED,
            ),
        ], array_values($this->intakes->items()));
    }

    public function candidates(): string
    {
        return Format::count(CandidatesPage::waiting(), 'candidate');
    }

    public function open(): string
    {
        return Format::count(Double::query()->where('state', 'open')->count(), 'pair');
    }

    /** @return list<array{double: double, says: string, name: string}> the pairs decided last */
    public function decided(): array
    {
        return array_map(function (DoubtfulPair $pair): array {
            $name = self::name($pair->first);

            return [
                'double' => $pair->double, 'name' => $name,
                'says' => "$name: ".($pair->double->state === 'same' ? 'one' : 'two').', '
                    .($pair->double->user->name ?? 'somebody'),
            ];
        }, DoubtfulPair::decided());
    }

    /** @return array<int, array{label: IndustryLabel, used: string}> labels that may mean several things */
    public function labels(): array
    {
        return $this->labels->map(fn (IndustryLabel $label): array => [
            'label' => $label, 'used' => Format::count((int) $label->getAttribute('used'), 'account'),
        ])->all();
    }

    /**
     * @return array<int, array{label: IndustryLabel, used: string}> those decided last, which can be decided otherwise
     */
    public function decidedLabels(): array
    {
        return IndustryLabel::query()->whereNotNull('code')->whereNotNull('decided_by')
            ->withCount(['accounts as used'])->latest('updated_at')->latest('id')->limit(self::LABELS)->get()
            ->map(fn (IndustryLabel $label): array => [
                'label' => $label, 'used' => Format::count((int) $label->getAttribute('used'), 'account'),
            ])->all();
    }

    /** How many wait, where not all are here. */
    public function moreLabels(): ?string
    {
        $waiting = IndustryLabel::query()->whereNull('code')->count();

        return $waiting > $this->labels->count()
            ? 'The '.$this->labels->count().' that most accounts have, of '.Format::number($waiting).' that wait.'
            : null;
    }

    public function isDecided(): bool
    {
        return $this->pairs === [] && $this->labels->isEmpty() && $this->mentions->isEmpty();
    }

    /** @return list<string> to choose from while one types */
    public function industries(): array
    {
        return array_map($this->industry(...), array_keys(Industries::names()));
    }

    public function industry(int|string|null $code): string
    {
        return $code === null ? '' : "$code ".Industries::name((string) $code);
    }

    public static function name(Account|Contact $record): string
    {
        return $record instanceof Account ? $record->name : $record->name();
    }
}
