<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Approach;
use App\Models\Offer;
use App\Standings\RuleBook;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Luftig\Core\Learning\Learned;
use Luftig\Core\Learning\LookBack;
use Luftig\Core\Learning\Observation;
use Luftig\Core\Priority\Points;
use Luftig\Core\Signal\KindRule;

/** What results speak for: the points that they would give (rule 20), and how well rankings told them (rule 22). */
final readonly class Lessons
{
    private const DAY = 86_400;

    private RuleBook $book;

    /** @param  Collection<int, Approach>  $approaches  with their results */
    public function __construct(Offer $offer, private Collection $approaches)
    {
        $rules = $offer->rules ?? throw new \LogicException('An offer without rules has no lessons.');
        $this->book = RuleBook::of($rules);
    }

    /** The same results and rules are learned from once. */
    public function learned(): Learned
    {
        $results = $this->approaches->map(fn (Approach $one): array => [$one->id, $one->result, $one->snapshot]);

        return Cache::remember(
            'learned '.hash('xxh3', serialize([$this->book->ruleSet, $results->all()])),
            self::DAY,
            fn (): Learned => Learned::from(
                Points::FIT,
                Points::ACCESS,
                array_map(fn (KindRule $rule): float => Points::FIT * $rule->weight, $this->counting()),
                array_values($this->approaches->map($this->observation(...))->all()),
            ),
        );
    }

    /** @return array<string, LookBack> ranking → how well it told who would answer */
    public function lookingBack(): array
    {
        $newest = Answers::newest($this->approaches);
        $rankings = [
            'by these rules' => fn (Approach $one): float => $this->points($one),
            'newest signal first' => fn (Approach $one): float => -($newest[$one->id] ?? INF),
            'by fit only' => fn (Approach $one): float => (float) ($one->snapshot['fit'] ?? 0),
        ];

        return array_map(fn (callable $score): LookBack => LookBack::of(array_values(
            $this->approaches->map(fn (Approach $one): array => [
                (float) $one->made_at->getTimestamp(), Answers::isAnswer($one), $score($one),
            ])->all(),
        )), $rankings);
    }

    /** @return array<string, KindRule> kinds that count, for or against */
    private function counting(): array
    {
        return array_filter($this->book->catalogue->rules, fn (KindRule $rule): bool => $rule->sign !== 0);
    }

    /** As the account stood when it was approached; its snapshot holds each kind times the fit. */
    private function observation(Approach $approach): Observation
    {
        [$fit, $kinds] = [(float) ($approach->snapshot['fit'] ?? 0), $approach->snapshot['kinds'] ?? []];
        $known = array_intersect_key($kinds, $this->counting());

        return new Observation(
            Answers::isAnswer($approach),
            min(1.0, max(0.0, $fit)),
            min(1.0, max(0.0, (float) ($approach->snapshot['access'] ?? 0))),
            $fit > 0 ? array_map(fn (float|int $x): float => $x / $fit, $known) : [],
        );
    }

    private function points(Approach $approach): float
    {
        $sum = Points::FIT * ($approach->snapshot['fit'] ?? 0) + Points::ACCESS * ($approach->snapshot['access'] ?? 0);
        foreach ($this->counting() as $kind => $rule) {
            $sum += Points::FIT * $rule->weight * ($approach->snapshot['kinds'][$kind] ?? 0);
        }

        return $sum;
    }
}
