<?php

declare(strict_types=1);

/*
 * Is the ranking any good? Worlds with a hidden truth whose weights are not ours, in three shapes; in each, approaches
 * are made by our rules, answered by the truth, and learned from. Printed is what share of the answers to be expected
 * of the truly best twenty the first twenty of each ranking catch. Needs no database.
 */

use Luftig\Core\Learning\Learned;
use Luftig\Core\Learning\Observation;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** From 0 to below 1, all alike. */
function share(Randomizer $random): float
{
    return $random->getInt(0, 0x3FFFFFFF) / 0x40000000;
}

/** A world: what accounts there are, and who truly answers. */
final readonly class TruthWorld
{
    /** Kind → weight as it is set by default, and how often it is met. */
    private const KINDS = [
        'new_leader' => [.55, .10], 'funding' => [.50, .08], 'hiring' => [.45, .25], 'expansion' => [.40, .12],
        'customer_alum' => [.70, .04], 'technology_adopted' => [.35, .10], 'technology_dropped' => [.45, .06],
        'post_engagement' => [.30, .15], 'own_engagement' => [.60, .06], 'news' => [.25, .25],
        'growth' => [.30, .10], 'event' => [.25, .08], 'decline' => [-.35, .08], 'layoffs' => [-.50, .04],
    ];

    private const REACHABLE = .2;

    /** @param  array<string, float>  $weights  the true ones */
    private function __construct(
        private string $shape,
        private array $weights,
        private float $fit,
        private float $access,
    ) {
    }

    public static function drawn(string $shape, Randomizer $random): self
    {
        $weights = [];
        foreach (self::KINDS as $kind => [$weight]) {
            // From a quarter of ours to four times it, and one in four without any effect.
            $weights[$kind] = $random->getInt(1, 4) === 1 ? 0.0 : $weight * 4 ** (2 * share($random) - 1);
        }

        return new self($shape, $weights, 1.0 + 2 * share($random), .4 + 1.6 * share($random));
    }

    /** @return array<string, float> kind → points in force */
    public static function ours(): array
    {
        return array_map(static fn (array $kind): float => 25.0 * $kind[0], self::KINDS);
    }

    /** @return array{Observation, float} an account, and the age of its newest signal in days */
    public static function account(Randomizer $random): array
    {
        $kinds = [];
        $newest = INF;
        foreach (self::KINDS as $kind => [, $often]) {
            if (share($random) < $often) {
                $age = 60 * share($random);
                $newest = min($newest, $age);
                $kinds[$kind] = (.4 + .6 * share($random)) * .5 ** ($age / 30);
            }
        }

        return [
            new Observation(false, sqrt(share($random)), share($random) ** 2, $kinds),
            $newest,
        ];
    }

    /** The true chance of an answer. */
    public function chance(Observation $of): float
    {
        $push = 0.0;
        foreach ($of->kinds as $kind => $x) {
            $push += $this->weights[$kind] * $x;
        }
        $logit = match ($this->shape) {
            // Every part counts, whatever the others are.
            'additive' => $this->fit * $of->fit + $this->access * $of->access + 2.5 * $push,
            // Who does not fit, or is not to be reached, hardly answers whatever happens.
            'gated' => $this->fit * $of->fit + $this->access * $of->access + 2.5 * $of->fit * $push
                - 2 * max(0.0, 1 - 2 * $of->fit) - ($of->access > self::REACHABLE ? 0 : 1.5),
            // The third reason adds less than the first.
            'saturating' => $this->fit * $of->fit * (1 + 1.6 * tanh($push)) + $this->access * $of->access,
        };

        return 1 / (1 + exp(5.6 - $logit));
    }

    /** The priority's points, if one knew the true weights. */
    public function known(Observation $of): float
    {
        return judged($of, 10 * $this->fit, 10 * $this->access, array_map(
            static fn (float $weight): float => 25.0 * $weight,
            $this->weights,
        ));
    }
}

/** @param  array<string, float>  $kinds  kind → points */
function judged(Observation $of, float $fit, float $access, array $kinds): float
{
    $points = $fit * $of->fit + $access * $of->access;
    foreach ($of->kinds as $kind => $x) {
        $points += $kinds[$kind] * $of->fit * $x;
    }

    return $points;
}

/**
 * What the first twenty by a score are expected to answer, as a share of what the truly best twenty are.
 *
 * @param  list<array{Observation, float}>  $accounts
 */
function caught(TruthWorld $world, array $accounts, callable $score): float
{
    $chances = $scored = [];
    foreach ($accounts as $i => [$account, $age]) {
        $chances[$i] = $world->chance($account);
        $scored[$i] = $score($account, $age);
    }
    arsort($scored);
    $first = array_intersect_key($chances, array_slice($scored, 0, 20, true));
    rsort($chances);

    return array_sum($first) / array_sum(array_slice($chances, 0, 20));
}

/**
 * Approaches as a rep makes them: of some that are met, the best by our rules.
 *
 * @return list<Observation>
 */
function results(TruthWorld $world, int $many, Randomizer $random): array
{
    $ours = TruthWorld::ours();
    $results = [];
    while (count($results) < $many) {
        $met = array_map(static fn (): Observation => TruthWorld::account($random)[0], range(1, 60));
        usort($met, static fn (Observation $a, Observation $b): int => judged($b, 25, 12, $ours)
            <=> judged($a, 25, 12, $ours));
        foreach (array_slice($met, 0, 20) as $one) {
            $results[] = new Observation(
                share($random) < $world->chance($one), $one->fit, $one->access, $one->kinds,
            );
        }
    }

    return array_slice($results, 0, $many);
}

function judgement(int $worlds = 20): void
{
    $ours = TruthWorld::ours();
    foreach (['additive', 'gated', 'saturating'] as $shape) {
        $shares = [];
        $answered = 0;
        for ($seed = 1; $seed <= $worlds; $seed++) {
            $random = new Randomizer(new Mt19937($seed));
            $world = TruthWorld::drawn($shape, $random);
            $accounts = array_map(static fn (): array => TruthWorld::account($random), range(1, 1000));
            $results = results($world, 1000, $random);
            $answered += count(array_filter($results, static fn (Observation $one): bool => $one->answered));
            $rankings = [
                'newest first' => static fn (Observation $of, float $age): float => -$age,
                'fit only' => static fn (Observation $of): float => $of->fit,
                'our rules' => static fn (Observation $of): float => judged($of, 25, 12, $ours),
                'true weights' => $world->known(...),
            ];
            foreach ([100, 400, 1000] as $many) {
                $learned = Learned::from(25, 12, $ours, array_slice($results, 0, $many));
                $rankings["learned from $many"] = static fn (Observation $of): float => $learned->chance($of)
                    ?? judged($of, 25, 12, $ours);
            }
            foreach ($rankings as $name => $score) {
                $shares[$name][] = caught($world, $accounts, $score);
            }
        }
        $mean = array_map(static fn (array $of): float => array_sum($of) / count($of), $shares);
        printf("%s, %d worlds, %.0f of 1,000 answer:\n", $shape, $worlds, $answered / $worlds);
        foreach ($mean as $name => $share) {
            printf("   %-18s %.2f\n", $name, $share);
        }
        limit(
            "The limit over what 400 results find, $shape", $mean['true weights'] / $mean['learned from 400'], 1 / .8,
        );
    }
}
