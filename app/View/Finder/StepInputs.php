<?php

declare(strict_types=1);

namespace App\View\Finder;

use App\Alike\AlikeTo;
use App\Finder\Options;
use App\Finder\Pasted;
use App\Finder\Spans;
use App\Finder\StepForm;
use App\Finder\ValueLabel;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Passage;
use Luftig\Core\Search\Whose;

/** The form of a condition: which controls it has, and what stands in them. */
final readonly class StepInputs
{
    /** So many values stand each for itself. */
    private const CHIPS = 40;

    private const STAGES = ['announced', 'rising', 'fresh', 'fading', 'spent'];

    private const WAYS = [
        '1' => 'they know them', '2' => 'in at most 2 steps', '3' => 'in at most 3 steps',
        'worked' => 'worked where they worked, at any time',
    ];

    /**
     * @param  StepForm|null  $step  as it is; null: it is to be added
     * @param  bool  $isWrong  its values are shown as they were typed, to be corrected
     */
    public function __construct(
        public Field $field,
        private ?StepForm $step,
        private int $at,
        private Options $options,
        private bool $isWrong = false,
    ) {
    }

    public function name(string $key): string
    {
        return "c[{$this->at}][$key]";
    }

    /** @return list<Control> */
    public function controls(): array
    {
        return [...$this->own(), ...$this->ofSite(), ...$this->flags()];
    }

    /** @return list<Control> */
    private function own(): array
    {
        $choices = $this->options->of($this->field);

        return match (true) {
            $this->field === Field::KeptOut => [
                Control::note('Customers, competitors, agencies, and who stands on the keep-out.'),
            ],
            $this->field === Field::Event => $this->event(),
            $this->field === Field::Opening => $this->opening(),
            $this->field === Field::Before => $this->before(),
            $this->field === Field::Reach => $this->reach(),
            $this->field === Field::Alike => [
                Control::lines(
                    $this->name('v'), 'Domains of examples, parted by commas or lines',
                    Pasted::text($this->given('v')), true,
                ),
                Control::lines(
                    $this->name('q2'), 'Domains of counter-examples', Pasted::text($this->given('q2')), false,
                ),
                Control::text($this->name('n'), 'How many', $this->given('n') ?: (string) AlikeTo::USUAL),
            ],
            $this->field === Field::Spending => $this->spending(),
            $choices !== null => [
                Control::ticks($this->name('v'), $this->label(), $choices, $this->step?->values() ?? [], true),
            ],
            $this->field === Field::Attribute => $this->attribute(),
            $this->field->test() === Comparison::Any => $this->values(),
            $this->field->test() === Comparison::Range => $this->range(),
            $this->field->test() === Comparison::Near => [
                Control::place($this->name('q'), 'Place, or latitude, longitude', $this->given('q')),
                Control::text($this->name('km'), 'km', $this->given('km'), 3, true),
            ],
            default => $this->query(),
        };
    }

    /** @return list<Control> */
    private function values(): array
    {
        $all = Control::tick($this->name('all'), 'all of them together', $this->given('all') === '1');

        $given = $this->step?->values() ?? [];
        // Many are a pasted list, to be worked on as a text.
        $isText = $this->isWrong || count($given) > self::CHIPS;
        $label = $this->label().': type to find, or paste a list';

        return [
            Control::values(
                $this->name('v'),
                $label,
                $isText ? [] : $this->chips($given),
                $isText ? Pasted::text($this->given('v')) : '',
                route('finder.values', $this->field->value),
            ),
            ...$this->field === Field::Technology ? [$all] : [],
        ];
    }

    /**
     * @param  list<string>  $values
     * @return array<array-key, string> value → as people read it
     */
    private function chips(array $values): array
    {
        $chips = [];
        foreach ($values as $value) {
            foreach (ValueLabel::codes($this->field, $value) as $code) {
                $chips[$code] = ValueLabel::of($this->field, $code);
            }
        }

        return $chips;
    }

    /** @return list<Control> */
    private function attribute(): array
    {
        return [
            Control::select(
                $this->name('w'),
                'Attribute',
                self::same($this->options->which($this->field)),
                mb_strtolower($this->given('w')),
                true,
            ),
            Control::lines(
                $this->name('v'),
                'Values; none: any, parted by commas or lines',
                Pasted::text($this->given('v')),
                false,
            ),
            Control::text($this->name('lo'), 'Or a number from', $this->given('lo')),
            Control::text($this->name('hi'), 'To', $this->given('hi')),
        ];
    }

    /** @return list<Control> */
    private function range(): array
    {
        return [
            ...$this->whichNumber(),
            Control::text($this->name('lo'), 'From', $this->given('lo'), first: true),
            Control::text($this->name('hi'), 'To', $this->given('hi')),
            ...$this->field === Field::Revenue ? [$this->currency()] : [],
        ];
    }

    /** @return list<Control> which of several numbers of the name is meant, where there are several */
    private function whichNumber(): array
    {
        $which = in_array($this->field, [Field::KnownContacts, Field::Headcount, Field::Growth], true)
            ? $this->options->which($this->field) : [];
        if ($which === []) {
            return [];
        }
        [$label, $choices] = match ($this->field) {
            Field::KnownContacts => ['In the buyer role', ['' => 'in any or none'] + self::same($which)],
            Field::Headcount => ['Of', ['' => 'the whole account'] + array_combine($which, array_map(
                fn (string $one): string => ValueLabel::of(Field::BusinessFunction, $one),
                $which,
            ))],
            default => ['Over', Spans::choices($which)],
        };

        return [Control::select($this->name('w'), $label, $choices, mb_strtolower($this->given('w')))];
    }

    /** @return list<Control> */
    private function spending(): array
    {
        return [
            Control::text($this->name('lo'), 'Price', $this->given('lo'), required: true, first: true),
            $this->currency(),
            Control::text(
                $this->name('w'), 'Share of revenue that is usually spent on it, in %', $this->given('w'), 12, true,
            ),
        ];
    }

    /** @return list<Control> */
    private function query(): array
    {
        $controls = [Control::query(
            $this->name('q'),
            $this->label().', as a query, or phrases, one a line',
            Pasted::text($this->given('q')),
            true,
            true,
            'maintenance OR energy -assistant',
        )];
        if ($this->field === Field::Words) {
            $passages = [];
            foreach (Passage::cases() as $passage) {
                $passages[$passage->value] = $passage->label();
            }
            $chosen = Passage::named($this->given('w')) ?: Passage::cases();
            $controls[] = Control::ticks($this->name('w'), 'Looked for in', $passages, array_column($chosen, 'value'));
        }

        return $controls;
    }

    /** @return list<Control> */
    private function event(): array
    {
        return [
            Control::note('All of it holds of one and the same signal.'),
            Control::select($this->name('w'), 'Whose', ['' => 'of the account or its people'] + array_combine(
                array_column(Whose::cases(), 'value'),
                array_map(fn (Whose $whose): string => $whose->label(), Whose::cases()),
            ), $this->given('w')),
            Control::ticks(
                $this->name('v'), 'Kind', $this->options->of(Field::Signal) ?? [], $this->step?->values() ?? [],
            ),
            Control::ticks($this->name('st'), 'State', self::same(self::STAGES), $this->step?->values('st') ?? []),
            Control::text($this->name('lo'), 'Days ago, from', $this->given('lo'), 3, first: true),
            Control::text($this->name('hi'), 'to', $this->given('hi'), 3),
            Control::text($this->name('slo'), 'Strength 0–1, from', $this->given('slo'), 3),
            Control::text($this->name('shi'), 'to', $this->given('shi'), 3),
            Control::text($this->name('n'), 'At least so many', $this->given('n'), 3, placeholder: '1'),
            Control::text($this->name('rd'), 'Funding rounds', $this->given('rd'), 3, placeholder: 'a, b'),
            Control::text($this->name('alo'), 'Amount, from', $this->given('alo'), 3),
            Control::text($this->name('ahi'), 'to', $this->given('ahi'), 3),
            $this->currency(),
            Control::query($this->name('q'),
                'Words in it, as a query, or phrases, one a line',
                Pasted::text($this->given('q')),
                placeholder: 'planner OR "energy manager"'),
        ];
    }

    /** @return list<Control> */
    private function opening(): array
    {
        return [
            Control::note('All of it holds of one and the same role that is sought now; with nothing said, any.'),
            Control::query($this->name('q'), 'Title, as a query, or phrases, one a line',
                Pasted::text($this->given('q')), first: true, placeholder: 'planner OR "energy manager"'),
            Control::query($this->name('q2'), 'Words of the posting, as a query, or phrases, one a line',
                Pasted::text($this->given('q2'))),
            Control::query($this->name('pl'), 'Place, as a query', $this->given('pl')),
            Control::ticks(
                $this->name('v'), 'Employment', $this->options->of(Field::OpeningType) ?? [],
                $this->step?->values() ?? [],
            ),
            Control::text($this->name('lo'), 'Days ago, from', $this->given('lo'), 3),
            Control::text($this->name('hi'), 'to', $this->given('hi'), 3),
            Control::text($this->name('n'), 'At least so many', $this->given('n'), 3, placeholder: '1'),
        ];
    }

    /** @return list<Control> */
    private function before(): array
    {
        return [
            Control::note('All of it holds of one and the same earlier position.'),
            Control::query($this->name('q'), 'Title, as a query, or phrases, one a line',
                Pasted::text($this->given('q')), first: true,
                placeholder: 'maintenance OR planner'),
            Control::query($this->name('q2'), 'Company, as a query, or phrases, one a line', Pasted::text(
                $this->given('q2'),
            )),
            Control::text($this->name('lo'), 'Ended, months ago, from', $this->given('lo')),
            Control::text($this->name('hi'), 'to', $this->given('hi')),
        ];
    }

    /** @return list<Control> */
    private function reach(): array
    {
        $people = $this->options->people();

        return [
            Control::select(
                $this->name('w'), 'Through the relations of', $people, $this->given('w') ?: 'anyone', true, 6,
            ),
            Control::select($this->name('n'), 'How', self::WAYS, $this->given('n') ?: '1', width: 6),
            Control::tick($this->name('new'), 'without those whom they know already', $this->given('new') === '1'),
        ];
    }

    private function currency(): Control
    {
        $day = Format::date(CarbonImmutable::parse(config()->string('luftig.rates.day')));
        $currencies = self::same(array_keys(config()->array('luftig.rates.per_eur')));

        return Control::select(
            $this->name('cur'), "Currency, at the rates of $day", $currencies, $this->given('cur') ?: 'EUR', width: 6,
        );
    }

    /** @return list<Control> */
    private function ofSite(): array
    {
        return $this->field->isOfSite()
            ? [Control::select(
                $this->name('w'), 'Of', ['' => 'the headquarters', 'any' => 'any site'], $this->given('w'), width: 6,
            )]
            : [];
    }

    /** @return list<Control> */
    private function flags(): array
    {
        $keeps = Control::tick(
            $this->name('u'),
            'keep those of whom it is not known',
            (bool) $this->step?->keepsUnknown(),
        );

        return [
            Control::tick(
                $this->name('x'), 'exclude these', (bool) $this->step?->excludes(), $this->field === Field::KeptOut,
            ),
            ...$this->field->test() === Comparison::Sets ? [] : [$keeps],
        ];
    }

    private function label(): string
    {
        return ucfirst($this->field->label());
    }

    private function given(string $key): string
    {
        return $this->step->given[$key] ?? '';
    }

    /**
     * @param  array<int|string>  $values
     * @return array<int|string, string>
     */
    private static function same(array $values): array
    {
        return array_combine($values, array_map(strval(...), $values));
    }
}
