<?php

declare(strict_types=1);

namespace App\View\Results;

use App\Models\Offer;
use App\Reasons\Answers;
use App\Reasons\Lessons;
use App\Support\Format;
use App\View\Tab;
use Luftig\Core\Learning\Learned;
use Luftig\Core\Learning\Line;
use Luftig\Core\Learning\LookBack;
use Luftig\Core\Signal\Kind;

/** What brings answers: counts with their intervals, what results speak for, and how well the ranking told them. */
final readonly class ResultsPage
{
    private const SPANS = ['all' => null, 'year' => 365, 'quarter' => 90, 'month' => 30];

    private const LABELS = ['all' => 'All', 'year' => 'A year', 'quarter' => '90 days', 'month' => '30 days'];

    private const SHAPE = ['A fit above a half, more', 'Reachable at all', 'Signals, whatever the fit'];

    private const LEAST = 2;

    private function __construct(
        public Offer $offer,
        private string $span,
        private Answers $answers,
        private ?Lessons $lessons,
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
            Answers::of($this->offer, self::SPANS[$span] === null ? null
                : now()->subDays(self::SPANS[$span])->toImmutable())->all()[1],
        ), array_keys(self::SPANS));
    }

    public function whole(): Rate
    {
        return new Rate('All approaches with a result', ...$this->answers->all());
    }

    /** What changed since last month; nothing where one of the two says nothing. */
    public function change(): ?string
    {
        $month = now()->subDays(30)->toImmutable();
        $older = Answers::of($this->offer, now()->subDays(60)->toImmutable())->approaches
            ->filter(fn ($one): bool => $one->made_at < $month);
        $now = new Rate('', ...Answers::of($this->offer, $month)->all());
        $before = new Rate('', $older->filter(Answers::isAnswer(...))->count(), $older->count());

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

    public function learned(): ?Learned
    {
        return $this->lessons?->learned();
    }

    /** What the model is, in words. */
    public function says(Learned $learned): string
    {
        if (! $learned->isEnough) {
            return 'At least '.Learned::LEAST.' answers and '.Learned::LEAST.' approaches without one are needed; '
                ."there are {$this->whole()->count()}.";
        }
        $how = match (true) {
            $learned->width < .6 => 'hardly leave', $learned->width < 1.0 => 'may move a little from',
            $learned->width < 1.5 => 'may move from', default => 'may move far from',
        };

        return "By how well it explains them, the results $how what is set today"
            .($learned->shape === null ? '.' : ', and speak for three lines more.');
    }

    /** @return list<array{name: string, before: string, after: string, interval: string, moved: string}> */
    public function lines(Learned $learned): array
    {
        $lines = ['Fits wholly' => $learned->fit, 'Reachable for sure' => $learned->access];
        foreach ($learned->kinds as $kind => $line) {
            $lines[ucfirst(Kind::from($kind)->label())] = $line;
        }
        foreach ($learned->shape ?? [] as $i => $line) {
            $lines[self::SHAPE[$i]] = $line;
        }

        return array_map(fn (string $name, Line $line): array => [
            'name' => $name, 'before' => Format::points($line->before), 'after' => Format::points($line->after),
            'interval' => Format::points($line->low).' to '.Format::points($line->high),
            'moved' => match (true) {
                $line->low > $line->before => 'more than is set', $line->high < $line->before => 'less than is set',
                default => 'as is set, as far as can be told',
            },
        ], array_keys($lines), array_values($lines));
    }

    /** @return list<array{name: string, concordance: string, says: string, fifths: string}> */
    public function lookingBack(): array
    {
        $backs = $this->lessons?->lookingBack() ?? [];

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
