<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Offer;
use App\Models\RuleSet;
use App\Standings\CriterionValues;
use App\Standings\RuleBook;
use App\Support\Countries;
use App\Support\Quantity;
use App\View\Rules\LineNames;
use Illuminate\Foundation\Http\FormRequest;
use Luftig\Core\Fit\CriterionField;
use Luftig\Core\Fit\Mode;
use Luftig\Core\Mistake;
use Luftig\Core\Priority\PointLines;
use Luftig\Core\Rules\Input;
use Luftig\Core\Rules\Lines;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\KindRule;

/** The form of rules, read into the criteria and kinds that the core takes. */
final class RulesRequest extends FormRequest
{
    public function authorize(): bool
    {
        return (bool) $this->user()?->can('create', RuleSet::class);
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'], 'note' => ['nullable', 'string', 'max:190'],
            'criteria' => ['array', 'max:60'], 'criteria.*.name' => ['nullable', 'string', 'max:100'],
            'criteria.*.*' => ['nullable', 'max:2000'],
            'buyer_roles' => ['array', 'max:20'],
            'buyer_roles.*.name' => ['nullable', 'string', 'max:60'],
            'buyer_roles.*.*' => ['nullable', 'max:2000'],
            'roles_of_interest' => ['array', 'max:30'],
            'roles_of_interest.*.name' => ['nullable', 'string', 'max:60'],
            'roles_of_interest.*.*' => ['nullable', 'max:2000'],
            'technologies' => ['array:completes,replaces'], 'technologies.*' => ['nullable', 'string', 'max:2000'],
            'topics' => ['array', 'max:30'], 'topics.*.name' => ['nullable', 'string', 'max:60'],
            'topics.*.*' => ['nullable', 'max:2000'],
            'points' => ['array:'.implode(',', array_keys(LineNames::ALL))],
            'points.*' => ['required', 'numeric', 'between:-'.PointLines::MOST.','.PointLines::MOST],
            'kinds' => ['array'],
            'kinds.*.weight' => ['required', 'numeric', 'between:0,'.KindRule::HEAVIEST],
            'kinds.*.ramp' => ['required', 'numeric', 'between:0,365'],
            'kinds.*.hold' => ['required', 'numeric', 'between:0,730'],
            'kinds.*.half_life' => ['required', 'numeric', 'between:0.5,1500'],
            'kinds.*.counts' => ['required', 'in:for,against,ignored'],
        ];
    }

    /** @return array<string, string> */
    public function attributes(): array
    {
        $names = [];
        foreach (Kind::cases() as $kind) {
            foreach (['weight', 'ramp', 'hold', 'half_life', 'counts'] as $field) {
                $names["kinds.{$kind->value}.$field"] = str_replace('_', '-', $field).' of '.$kind->label();
            }
        }

        foreach (LineNames::ALL as $line => $label) {
            $names["points.$line"] = "points of “{$label}”";
        }

        return $names;
    }

    public function ruleSet(Offer $offer): RuleSet
    {
        $rules = new RuleSet([
            'offer_id' => $offer->id, 'version' => $this->integer('version') + 1, 'author_id' => $this->user()?->id,
            'note' => $this->input('note'),
            'criteria' => $this->criteria(), 'kinds' => $this->kinds(), 'buyer_roles' => $this->buyerRoles(),
            'roles_of_interest' => $this->interests(), 'technologies' => $this->technologies(),
            'topics' => $this->topics(), 'angles' => $offer->rules->angles ?? [],
            'points' => $this->points() ?? $offer->rules->points ?? [],
        ]);

        // What was learned holds until somebody sets a weight or a line.
        return $rules->fill(['lesson_id' => $offer->rules === null || ! RuleBook::weighAlike($rules, $offer->rules)
            ? null : $offer->rules->lesson_id]);
    }

    /** What is no number stays as it was typed, and the core says that it is none. */
    private static function number(string $text, Quantity $quantity): float|string
    {
        try {
            return $quantity->read($text);
        } catch (Mistake) {
            return $text;
        }
    }

    /** A number with a point or a comma and nothing else, such as a weight or a latitude: 1.125 is no thousand. */
    private static function plain(string $text): float|string
    {
        $plain = str_replace(',', '.', trim($text));

        return is_numeric($plain) && is_finite((float) $plain) ? (float) $plain : $text;
    }

    /** The mistake of a criterion, with the name that stands in the form. */
    public function explain(Mistake $mistake): string
    {
        if (
            ! is_string($mistake->at)
            || preg_match('/(criteria|buyer_roles|roles_of_interest|topics)\[(\d+)\]/', $mistake->at, $found) !== 1
        ) {
            return $mistake->inWords();
        }
        $rows = match ($found[1]) {
            'criteria' => $this->criteria(),
            'buyer_roles' => $this->buyerRoles(),
            'topics' => $this->topics(),
            default => $this->interests(),
        };

        return '“'.$rows[(int) $found[2]]['name'].'”: '.$mistake->inWords();
    }

    /** @return array<string, mixed>|null the role of the form with this key, as the core takes it */
    public function buyerRole(string $key): ?array
    {
        $row = ((array) $this->input('buyer_roles', []))[$key] ?? null;

        return is_array($row) ? self::readRole($row) : null;
    }

    /** @return array<string, float>|null the lines that are not worth what is usual; null: they were not asked */
    private function points(): ?array
    {
        $typed = array_filter((array) $this->input('points'), is_numeric(...));

        return $typed === [] ? null : Lines::written(
            Lines::read(Input::of(array_map(floatval(...), $typed), 'points')),
        );
    }

    /** @return list<array<string, mixed>> */
    private function buyerRoles(): array
    {
        return array_values(array_filter(
            array_map(self::readRole(...), array_filter((array) $this->input('buyer_roles', []), is_array(...))),
        ));
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed>|null null: an empty row of the form
     */
    private static function readRole(array $row): ?array
    {
        $text = fn (string $key): string => is_scalar($row[$key] ?? null) ? trim((string) $row[$key]) : '';
        $functions = fn (string $key): array => array_values(array_filter((array) ($row[$key] ?? []), is_string(...)));
        if ($text('name') === '' && $text('include') === '' && $functions('functions') === []) {
            return null;
        }
        $variants = [];
        foreach (preg_split('/\R/', $text('variants')) ?: [] as $line) {
            if (preg_match('/^\s*([A-Za-z]{2})\s*:\s*(.+)$/', $line, $parts) === 1) {
                $variants[strtoupper($parts[1])] = trim($parts[2]);
            }
        }
        $weight = str_replace(',', '.', $text('weight'));

        return [
            'name' => $text('name') === '' ? 'A role without a name' : $text('name'),
            'functions' => $functions('functions'),
            'neighbours' => $functions('neighbours'),
            'include' => $text('include'), 'exclude' => $text('exclude'),
            'weight' => $weight === '' ? 1.0 : self::plain($weight), 'variants' => $variants,
        ];
    }

    /** @return list<array<string, mixed>> */
    private function interests(): array
    {
        $roles = [];
        foreach (array_filter((array) $this->input('roles_of_interest', []), is_array(...)) as $row) {
            $text = fn (string $key): string => is_scalar($row[$key] ?? null) ? trim((string) $row[$key]) : '';
            if ($text('name') !== '' || $text('title_query') !== '') {
                $types = preg_split('/\s*[,;\n]\s*/', $text('employment_types'), -1, PREG_SPLIT_NO_EMPTY) ?: [];
                $roles[] = [
                    'name' => $text('name') === '' ? $text('title_query') : $text('name'),
                    'title_query' => $text('title_query'),
                    'text_query' => $text('text_query'),
                    'functions' => array_values(array_filter((array) ($row['functions'] ?? []), is_string(...))),
                ] + ($types === [] ? [] : ['employment_types' => $types]);
            }
        }

        return $roles;
    }

    /** @return array<string, list<string>> what completes us, and what we replace */
    private function technologies(): array
    {
        $names = fn (string $which): array => array_values(array_unique(preg_split(
            '/\s*[,;\n]\s*/', trim($this->string("technologies.$which")->toString()), -1, PREG_SPLIT_NO_EMPTY,
        ) ?: []));

        return array_filter(['completes' => $names('completes'), 'replaces' => $names('replaces')]);
    }

    /** @return list<array{name: string, query: string}> */
    private function topics(): array
    {
        $topics = [];
        foreach (array_filter((array) $this->input('topics', []), is_array(...)) as $row) {
            $text = fn (string $key): string => is_scalar($row[$key] ?? null) ? trim((string) $row[$key]) : '';
            if ($text('name') !== '' || $text('query') !== '') {
                $topics[] = ['name' => $text('name') ?: mb_substr($text('query'), 0, 60), 'query' => $text('query')];
            }
        }

        return $topics;
    }

    /** @return array<array-key, Mode> row of the form → mode, of those that are criteria, in their order */
    public function modes(): array
    {
        return array_map(
            fn (array $criterion): Mode => Mode::tryFrom((string) $criterion['mode']) ?? Mode::Prefer,
            $this->typedCriteria(),
        );
    }

    /** What is wrong with a value that a criterion names, with what may be meant. */
    public function doubt(Offer $offer): ?string
    {
        $rows = (array) $this->input('criteria', []);
        foreach ($this->typedCriteria() as $key => $criterion) {
            $field = CriterionField::tryFrom((string) $criterion['field']);
            $row = (array) ($rows[$key] ?? []);
            $doubt = match (true) {
                $field === CriterionField::Number => CriterionValues::doubtOfNumber($criterion['fact'] ?? ''),
                $field === null || ! is_array($criterion['any'] ?? null) => null,
                default => CriterionValues::doubt(
                    $field,
                    array_values(array_diff(
                        $criterion['any'], CriterionValues::inForce($offer, $field, $criterion['fact'] ?? ''),
                    )),
                    ($row['sure'] ?? '') === '1',
                    $criterion['fact'] ?? '',
                ),
            };
            if ($doubt !== null) {
                return "“{$criterion['name']}”: $doubt";
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> */
    private function criteria(): array
    {
        return array_values($this->typedCriteria());
    }

    /** @return array<array-key, array<string, mixed>> by the row of the form */
    private function typedCriteria(): array
    {
        $criteria = [];
        foreach (array_filter((array) $this->input('criteria', []), is_array(...)) as $key => $row) {
            $text = fn (string $key): string => is_scalar($row[$key] ?? null) ? trim((string) $row[$key]) : '';
            if (
                $text('name') === ''
                && $text('value') === ''
                && ! isset($row['any'])
                && $text('low') === ''
                && $text('high') === ''
            ) {
                continue;
            }
            $field = CriterionField::tryFrom($text('field'));
            $number = fn (string $key, Quantity $quantity): float|string|null => $text($key) === ''
                ? null
                : self::number($text($key), $quantity);
            $of = match ($field) {
                CriterionField::Revenue => Quantity::Money,
                CriterionField::Growth => Quantity::Growth,
                CriterionField::Number => Quantity::Own,
                CriterionField::Place => Quantity::Km,
                default => Quantity::Plain,
            };
            $criteria[$key] = [
                'name' => $text('name') === '' ? $text('field') : $text('name'),
                'field' => $text('field'),
                'mode' => $text('mode'),
                ...(
                    $text('mode') === 'prefer'
                        ? ['weight' => $text('weight') === '' ? 1.0 : self::plain($text('weight'))]
                        : []
                ),
                ...match ($field?->test()) {
                    'range' => ['range' => [$number('low', $of), $number('high', $of)]],
                    'any' => ['any' => self::values($text('field'), (array) ($row['any'] ?? []), $text('value'))],
                    'within' => [
                        'within' => ['km' => $number('low', $of), 'of' => array_map(
                            self::plain(...),
                            explode(',', $text('value')),
                        )],
                    ],
                    default => ['query' => $text('value')],
                },
                ...($field?->isOwn() === true ? ['fact' => $text('fact')] : []),
                ...($field?->isOfSite() === true && $text('where') === 'any' ? ['any_site' => true] : []),
            ];
        }

        return $criteria;
    }

    /**
     * What was picked, and what was typed beside it, which may be names where codes are meant.
     *
     * @param  array<mixed>  $picked
     * @return list<string>
     */
    private static function values(string $field, array $picked, string $typed): array
    {
        $values = [
            ...array_merge([], ...array_map(
                fn (string $value): array => $field === 'country' ? explode(',', $value) : [$value],
                array_values(array_filter($picked, is_string(...))),
            )),
            ...array_map(trim(...), preg_split('/[,;\n]/', $typed) ?: []),
        ];
        $read = fn (string $value): array => match (CriterionField::tryFrom($field)) {
            CriterionField::Industries => [CriterionValues::industry($value)],
            CriterionField::Country => Countries::group($value) ?? [Countries::code($value) ?? $value],
            default => [$value],
        };

        return array_values(array_unique(
            array_merge([], ...array_map($read, array_filter($values, fn (string $value): bool => $value !== ''))),
        ));
    }

    /** @return array<string, array<string, float|string>> what differs from the standard catalogue */
    private function kinds(): array
    {
        $changes = [];
        foreach (Catalogue::standard()->rules as $name => $rule) {
            $row = (array) $this->input("kinds.$name", []);
            $standard = [
                'weight' => $rule->weight, 'ramp' => $rule->ramp, 'hold' => $rule->hold, 'half_life' => $rule->halfLife,
            ];
            foreach ($standard as $field => $value) {
                if (is_numeric($row[$field] ?? null) && (float) $row[$field] !== $value) {
                    $changes[$name][$field] = (float) $row[$field];
                }
            }
            if (isset($row['counts']) && $row['counts'] !== $rule->counts->value) {
                $changes[$name]['counts'] = $row['counts'];
            }
        }

        return $changes;
    }
}
