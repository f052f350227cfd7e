<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Models\Contact;
use App\Models\Offer;
use App\Models\OwnFunction;
use App\Models\RuleSet;
use App\Models\Technology;
use App\Models\TitleLesson;
use App\Standings\RuleBook;
use App\Support\Format;
use App\Support\FunctionNames;
use App\View\UnderWay\Work;
use App\View\UnderWay\Works;
use Illuminate\Support\Collection;
use Luftig\Core\Fit\Mode;
use Luftig\Core\Person\Title;
use Luftig\Core\Rules\Lines;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\KindRule;

/** The rules of an offer as a form: of those in force, of an older version, or as they were typed and sent back. */
final readonly class RulesPage
{
    private const WORDS = 90;

    private const TITLES = 20;

    /** field → what it is called, the most it can be */
    private const NUMBERS = [
        'weight' => ['weight', KindRule::HEAVIEST], 'ramp' => ['days of rising', 365],
        'hold' => ['days of holding', 730], 'half_life' => ['half-life', 1500],
    ];

    public RuleSet $rules;

    public int $newest;

    private Catalogue $catalogue;

    private ?CriterionTally $tally;

    /** @param  RuleSet|null  $version  that is looked at; null: the one in force */
    public function __construct(public Offer $offer, ?RuleSet $version = null)
    {
        $inForce = $offer->rules
            ?? new RuleSet(['offer_id' => $offer->id, 'criteria' => [], 'kinds' => [], 'version' => 0]);
        $this->rules = $version ?? $inForce;
        $this->catalogue = RuleBook::catalogueOf($this->rules);
        $this->newest = (int) $offer->ruleSets()->max('version');
        $this->tally = is_array(old('criteria')) || $this->isOld() ? null : CriterionTally::of($offer);
    }

    /** How far the ranking has followed; null where it has. */
    public function computing(): ?Work
    {
        return Works::ofRanking($this->offer);
    }

    public function about(): string
    {
        $author = $this->rules->author === null || $this->rules->created_at === null ? ''
            : ", by {$this->rules->author->name} ".Format::ago($this->rules->created_at);

        return "{$this->offer->name}, version {$this->rules->version}$author";
    }

    public function isOld(): bool
    {
        return $this->rules->exists && $this->rules->isNot($this->offer->rules);
    }

    /** The version on which this form builds. */
    public function builtOn(): int
    {
        return (int) session('newest', $this->newest);
    }

    /** @return list<CriterionRow> */
    public function criteria(): array
    {
        $typed = old('criteria');
        if (is_array($typed)) {
            return array_map(
                fn (mixed $row, int $i): CriterionRow => CriterionRow::typed((string) $i, (array) $row),
                array_values($typed),
                array_keys(array_values($typed)),
            );
        }
        $stored = $this->rules->criteria;

        return array_map(
            fn (array $row, int $i): CriterionRow => CriterionRow::stored((string) $i, $row),
            $stored,
            array_keys($stored),
        );
    }

    /** How many accounts meet it, as they stand; nothing for what was typed since, or for another version. */
    public function met(CriterionRow $row): string
    {
        return $this->tally === null
            ? ''
            : $this->tally->says((int) $row->key, Mode::tryFrom($row->mode()) ?? Mode::Prefer);
    }

    /** @return list<RoleRow> */
    public function buyerRoles(): array
    {
        return $this->roles('buyer_roles');
    }

    /** @return list<RoleRow> */
    public function rolesOfInterest(): array
    {
        return $this->roles('roles_of_interest');
    }

    /** @return list<RoleRow> */
    public function topics(): array
    {
        return $this->roles('topics');
    }

    /** What completes us, or what we replace, as it is typed. */
    public function technologies(string $which): string
    {
        $typed = old("technologies.$which");

        return is_string($typed) ? $typed : implode(', ', $this->rules->technologies[$which] ?? []);
    }

    /** @return list<string> */
    public function knownTechnologies(): array
    {
        return array_values(Technology::query()->orderBy('name')->pluck('name')->all());
    }

    /**
     * @return array<int, array{kind: Kind, counts: string, changed: string|null, numbers: array<string,
     *     array{label: string, value: string, most: int}>}>
     */
    public function kinds(): array
    {
        return array_map(function (Kind $kind): array {
            $rule = $this->catalogue->of($kind);
            $base = Catalogue::standard()->of($kind);
            $values = [
                'weight' => $rule->weight, 'ramp' => $rule->ramp, 'hold' => $rule->hold, 'half_life' => $rule->halfLife,
            ];
            $numbers = [];
            foreach (self::NUMBERS as $field => [$label, $most]) {
                $value = old("kinds.{$kind->value}.$field", (string) $values[$field]);
                $numbers[$field] = [
                    'label' => "$label of {$kind->label()}",
                    'value' => is_scalar($value) ? (string) $value : '',
                    'most' => $most,
                ];
            }
            $counts = old("kinds.{$kind->value}.counts", $rule->counts->value);

            return [
                'kind' => $kind, 'counts' => is_string($counts) ? $counts : '', 'numbers' => $numbers,
                'changed' => get_object_vars($rule) === get_object_vars($base)
                    ? null
                    : "The standard: weight {$base->weight}, rises {$base->ramp}, holds {$base->hold}, "
                    ."half-life {$base->halfLife}, counts {$base->counts->value}",
            ];
        }, Kind::cases());
    }

    /** @return list<array{name: string, label: string, value: string}> what each line of points is worth */
    public function lines(): array
    {
        $stored = Lines::all(RuleBook::linesOf($this->rules));

        return array_map(function (string $line, string $label) use ($stored): array {
            $value = old("points.$line", (string) $stored[$line]);

            return ['name' => $line, 'label' => $label, 'value' => is_scalar($value) ? (string) $value : ''];
        }, array_keys(LineNames::ALL), LineNames::ALL);
    }

    /** @return Collection<int, RuleSet> */
    public function versions(): Collection
    {
        return $this->offer->ruleSets()->with('author')->get();
    }

    public function unread(): string
    {
        $unread = Contact::query()->unread()->count();

        return $unread === 0
            ? 'All titles are read.'
            : Format::count($unread, 'contact').($unread === 1 ? ' has' : ' have')
            .' a title that no dictionary knows. What you teach holds everywhere, at once, and can be undone.';
    }

    /** @return array<string, string> title that no dictionary knows → how many have it */
    public function titles(): array
    {
        return Contact::query()->unread()->groupBy('title')->selectRaw('title, COUNT(*) AS n')->orderByDesc('n')
            ->limit(self::TITLES)
            ->toBase()->get()->mapWithKeys(fn ($row): array => [(string) $row->title => Format::number((int) $row->n)])
            ->all();
    }

    /** @return array<int, array{lesson: TitleLesson, says: string, by: string}> */
    public function lessons(): array
    {
        return TitleLesson::query()->with('user')->orderBy('title')->get()->map(fn (TitleLesson $lesson): array => [
            'lesson' => $lesson, 'says' => "“{$lesson->title}” is ".FunctionNames::title(
                Title::unpacked($lesson->reading),
            ),
            'by' => $lesson->user->name ?? 'somebody',
        ])->all();
    }

    /** @return array<int, array{function: OwnFunction, name: string, words: string}> */
    public function ownFunctions(): array
    {
        return OwnFunction::query()->orderBy('slot')->get()->map(fn (OwnFunction $own): array => [
            'function' => $own, 'name' => $own->name, 'words' => Format::cut($own->words, self::WORDS),
        ])->all();
    }

    /** @return list<RoleRow> */
    private function roles(string $field): array
    {
        $rows = is_array(old('criteria')) ? (array) old($field, []) : $this->rules->getAttribute($field);
        $rows = array_values(array_filter($rows, is_array(...)));

        return array_map(
            fn (array $row, int $i): RoleRow => new RoleRow($field, (string) $i, $row),
            $rows,
            array_keys($rows),
        );
    }
}
