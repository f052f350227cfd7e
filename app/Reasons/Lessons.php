<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Approach;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Standings\RuleBook;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Luftig\Core\Learning\Fifths;
use Luftig\Core\Learning\Learned;
use Luftig\Core\Learning\LookBack;
use Luftig\Core\Learning\Observation;
use Luftig\Core\Priority\Points;
use Luftig\Core\Rules\Lines;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\KindRule;

/**
 * What results speak for: the points that they would give (rule 20), and how well rankings told them (rule 22). Once
 * learned rules are in force, one learns upon those that a person had set, so that no result counts twice.
 */
final readonly class Lessons
{
    /** The three more lines of another shape. */
    public const SHAPE = ['fit_above_half', 'reachable', 'whatever_the_fit'];

    private const DAY = 86_400;

    /** Rounds until the last of the three lines rests on the weights that are learned with it. */
    private const ROUNDS = 6;

    private const FOLDS = 5;

    public RuleSet $prior;

    private RuleSet $inForce;

    /** @param  Collection<int, Approach>  $approaches  with their results */
    public function __construct(Offer $offer, public Collection $approaches)
    {
        $this->inForce = $offer->rules?->loadMissing('lesson.prior')
            ?? throw new \LogicException('An offer without rules has no lessons.');
        $this->prior = $this->inForce->lesson->prior ?? $this->inForce;
    }

    /** The same results and rules are learned from once. */
    public function learned(): Learned
    {
        return $this->once('learned', fn (): Learned => $this->from($this->observations()));
    }

    /** Which results they are: another result, or none, and it is another. */
    public function mark(): string
    {
        return once(fn (): string => hash('xxh128', serialize([
            $this->prior->id, $this->approaches->map(
                fn (Approach $one): array => [$one->id, $one->result, $one->getRawOriginal('snapshot')],
            )->all(),
        ])));
    }

    /** What the rules would be, not saved; null where results are too few. */
    public function rules(): ?RuleSet
    {
        $learned = $this->learned();
        if (! $learned->isEnough) {
            return null;
        }
        $kinds = $this->prior->kinds;
        foreach ($learned->weights() as $kind => $weight) {
            $kinds[$kind]['weight'] = round($weight, 2);
        }
        $start = RuleBook::linesOf($this->prior)->start;
        $lines = array_map(
            fn (float $points): float => round($points, 1),
            Lines::written($learned->rules($start, $this->observations())),
        );

        return $this->inForce->replicate(['lesson_id'])->fill(['kinds' => $kinds, 'points' => $lines]);
    }

    /** The log odds of an answer at 0 points by the learned rules. */
    public function logOdds(RuleSet $learned): float
    {
        return (float) $this->learned()->intercept - RuleBook::linesOf($learned)->start / Points::TENTHS;
    }

    /** @return array<string, array{float, float, float, float}> line → before, after, low, high, in points */
    public function lines(): array
    {
        $learned = $this->learned();
        $lines = ['fit' => $learned->fit, 'access' => $learned->access, ...$learned->kinds];
        foreach ($learned->shape ?? [] as $i => $line) {
            $lines[self::SHAPE[$i]] = $line;
        }

        return array_map(fn ($line): array => [$line->before, $line->after, $line->low, $line->high], $lines);
    }

    /**
     * Whether the chances hold: each approach's is told by what was learned from four fifths of the others.
     *
     * @return list<array{score: float, answered: int, of: int, low: float, high: float}> the likeliest fifth first
     */
    public function reliability(): array
    {
        return $this->once('reliability', function (): array {
            $all = $this->observations();
            $told = [];
            for ($fold = 0; $fold < self::FOLDS; $fold++) {
                $others = $own = [];
                foreach ($all as $i => $one) {
                    $i % self::FOLDS === $fold ? $own[] = $one : $others[] = $one;
                }
                $learned = $this->from($others);
                foreach ($own as $one) {
                    $told[] = [$learned->chance($one), $one->answered];
                }
            }
            $told = array_values(array_filter($told, fn (array $one): bool => $one[0] !== null));

            return count($told) < count($all) ? [] : Fifths::of($told);
        });
    }

    /**
     * @param  array<string, RuleSet>  $others  name → other rules to look back at
     * @param  array<int, float>|null  $newest  approach → how many days before it the newest signal was, where known
     * @return array<string, LookBack> ranking → how well it told who would answer
     */
    public function lookingBack(array $others = [], ?array $newest = null): array
    {
        $newest ??= Answers::newest($this->approaches);
        $rules = ['by these rules' => $this->inForce, ...$others];
        $set = array_map(fn (RuleSet $one): array => [$one->kinds, $one->points], $rules);

        return $this->once('back '.hash('xxh128', serialize([$set, $newest])), fn (): array => array_map(
            $this->back(...),
            array_map($this->ranking(...), $rules) + [
                'newest signal first' => fn (Approach $one): float => -($newest[$one->id] ?? INF),
                'by fit only' => fn (Approach $one): float => (float) ($one->snapshot['fit'] ?? 0),
            ],
        ));
    }

    /** @param  callable(Approach): float  $score */
    private function back(callable $score): LookBack
    {
        return LookBack::of(array_values($this->approaches->map(fn (Approach $one): array => [
            (float) $one->made_at->getTimestamp(), Answers::isAnswer($one), $score($one),
        ])->all()));
    }

    /** @return callable(Approach): float */
    private function ranking(RuleSet $rules): callable
    {
        $lines = RuleBook::linesOf($rules);
        $kinds = self::counting($rules);
        $weights = array_map(fn (KindRule $rule): float => $rule->weight, $kinds);

        return fn (Approach $one): float => self::observation($one, $kinds)->points($lines, $weights);
    }

    /** @param  list<Observation>  $observations */
    private function from(array $observations): Learned
    {
        $lines = RuleBook::linesOf($this->prior);
        $points = array_map(
            fn (KindRule $rule): float => Points::FIT * $rule->weight,
            self::counting($this->prior),
        );
        $shape = [$lines->aboveHalf, $lines->reachable, $lines->anyway];
        $learned = Learned::from($lines->fit, $lines->access, $points, $observations, shape: $shape);
        for ($round = 1; $round < self::ROUNDS && $learned->shape !== null; $round++) {
            $learned = Learned::from(
                $lines->fit, $lines->access, $points, $observations, $learned->weights(), $shape,
            );
        }

        return $learned;
    }

    /** @return array<string, KindRule> kinds that count, for or against */
    private static function counting(RuleSet $rules): array
    {
        return array_filter(
            RuleBook::catalogueOf($rules)->rules,
            fn (KindRule $rule): bool => $rule->sign !== 0,
        );
    }

    /** @return list<Observation> */
    private function observations(): array
    {
        $kinds = self::counting($this->prior);

        return array_values($this->approaches->map(
            fn (Approach $one): Observation => self::observation($one, $kinds),
        )->all());
    }

    /**
     * As the account stood when it was approached; its snapshot holds each kind times the fit.
     *
     * @param  array<string, KindRule>  $kinds  that count
     */
    private static function observation(Approach $approach, array $kinds): Observation
    {
        [$fit, $met] = [(float) ($approach->snapshot['fit'] ?? 0), $approach->snapshot['kinds'] ?? []];
        $known = array_intersect_key($met, $kinds);

        return new Observation(
            Answers::isAnswer($approach),
            min(1.0, max(0.0, $fit)),
            min(1.0, max(0.0, (float) ($approach->snapshot['access'] ?? 0))),
            $fit > 0 ? array_map(fn (float|int $x): float => $x / $fit, $known) : [],
        );
    }

    /**
     * @template T
     *
     * @param  callable(): T  $compute
     * @return T
     */
    private function once(string $what, callable $compute): mixed
    {
        return Cache::remember("$what {$this->mark()}", self::DAY, $compute(...));
    }
}
