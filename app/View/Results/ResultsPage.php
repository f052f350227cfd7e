<?php

declare(strict_types=1);

namespace App\View\Results;

use App\Models\Offer;
use App\Reasons\Answers;
use App\Reasons\Lessons;
use App\Support\Format;
use App\View\Rules\LineNames;
use App\View\Tab;
use Illuminate\Support\Arr;
use Luftig\Core\Learning\Line;
use Luftig\Core\Learning\LookBack;

/** What brings answers: counts with their intervals, what results speak for, and how well the ranking told them. */
final readonly class ResultsPage
{
    private const SPANS = ['all' => null, 'year' => 365, 'quarter' => 90, 'month' => 30];

    private const LABELS = ['all' => 'All', 'year' => 'A year', 'quarter' => '90 days', 'month' => '30 days'];

    private const LEAST = 2;

    /** Days that are held against as many before them. */
    private const LATELY = 30;

    /** @param  array<int, array{int, int}>  $counts  days → answered, of; 0: of all times */
    private function __construct(
        public Offer $offer,
        private string $span,
        private Answers $answers,
        private ?Lessons $lessons,
        private array $counts,
    ) {
    }

    public static function of(Offer $offer, string $span): self
    {
        $span = array_key_exists($span, self::SPANS) ? $span : 'all';
        $days = self::SPANS[$span];
        $answers = Answers::of($offer, $days === null ? null : now()->subDays($days)->toImmutable());

        return new self(
            $offer, $span, $answers, $offer->rules === null || $answers->approaches->isEmpty()
                ? null : new Lessons($offer, $answers->approaches),
            Answers::counted($offer, [...array_filter(array_values(self::SPANS)), 2 * self::LATELY]),
        );
    }

    public function isEmpty(): bool
    {
        return $this->answers->approaches->isEmpty();
    }

    /** @return list<Tab> */
    public function tabs(): array
    {
        return array_map(fn (string $span): Tab => new Tab(
            self::LABELS[$span], route('results', ['span' => $span]), $span === $this->span,
            $this->counts[self::SPANS[$span] ?? 0][1],
        ), array_keys(self::SPANS));
    }

    public function whole(): Rate
    {
        return new Rate('All approaches with a result', ...$this->answers->all());
    }

    /** What changed since last month; nothing where one of the two says nothing. */
    public function change(): ?string
    {
        [$answered, $of] = $this->counts[self::LATELY];
        $both = $this->counts[2 * self::LATELY];
        $now = new Rate('', $answered, $of);
        $before = new Rate('', $both[0] - $answered, $both[1] - $of);

        return $now->of === 0 || $before->of === 0 ? null
            : "In the last 30 days {$now->count()} answered ({$now->interval()}), in the 30 before "
                ."{$before->count()} ({$before->interval()}).";
    }

    /** @return array<string, list<Rate>> what by → its values; of one alone nothing can be told */
    public function groups(): array
    {
        $groups = [];
        foreach ($this->answers->groups() as $by => $counts) {
            if (count($counts) >= self::LEAST) {
                $groups[$by] = array_map(
                    fn (string|int $value, array $count): Rate => new Rate((string) $value, ...$count),
                    array_keys($counts),
                    array_values($counts),
                );
            }
        }

        return $groups;
    }

    /** What the results say of the points that are set, in a sentence. */
    public function says(): string
    {
        $learned = $this->lessons?->learned();
        if ($learned === null || ! $learned->isEnough) {
            return LessonPage::tooFew(...$this->answers->all());
        }
        $names = fn (callable $moved): string => Arr::join(array_map(
            fn (string $kind): string => '“'.lcfirst(LineNames::of($kind)).'”',
            array_keys(array_filter($learned->kinds, $moved)),
        ), ', ', ' and ');
        $says = array_filter([
            'count for more' => $names(fn (Line $line): bool => $line->low > $line->before),
            'for less' => $names(fn (Line $line): bool => $line->high < $line->before),
        ]);

        return $says === [] ? 'As far as can be told, each line of points is worth what is set.'
            : 'By them, '.implode(', and ', array_map(
                fn (string $how, string $which): string => "$which $how", array_keys($says), $says,
            )).' than a person had set.';
    }

    /** @return list<array{name: string, concordance: string, says: string, fifths: string}> */
    public function lookingBack(): array
    {
        $before = $this->offer->rules === null ? null : $this->offer->ruleSets()
            ->where('version', '<', $this->offer->rules->version)->first();
        $backs = $this->lessons?->lookingBack(
            $before === null ? [] : ['by the version before' => $before], $this->answers->ages(),
        ) ?? [];

        return array_map(
            fn (string $name, LookBack $back): array => [
                'name' => ucfirst($name),
                'concordance' => $back->concordance === null ? '–' : Format::percent($back->concordance),
                'says' => $back->concordance === null ? 'No two can be compared.'
                    : Format::percent((float) $back->low).' – '.Format::percent((float) $back->high).' of '
                        .Format::count($back->pairs, 'pair'),
                'fifths' => implode(' · ', array_map(
                    fn (array $one): string => (new Rate('', $one['answered'], $one['of']))->count(),
                    $back->fifths,
                )),
            ],
            array_keys($backs),
            array_values($backs),
        );
    }
}
