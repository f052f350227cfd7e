<?php

declare(strict_types=1);

namespace App\Standings;

use App\Models\RuleSet;
use Luftig\Core\Buying\BuyerRoles;
use Luftig\Core\Fit\AnySite;
use Luftig\Core\Fit\OwnFact;
use Luftig\Core\Fit\Question;
use Luftig\Core\Fit\Range;
use Luftig\Core\Fit\TargetProfile;
use Luftig\Core\Mistake;
use Luftig\Core\Priority\PointLines;
use Luftig\Core\Rules\Criteria;
use Luftig\Core\Rules\Input;
use Luftig\Core\Rules\Kinds;
use Luftig\Core\Rules\Lines;
use Luftig\Core\Rules\Outside;
use Luftig\Core\Rules\Roles;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\RoleOfInterest;
use Luftig\Core\Signal\TechnologyStance;
use Luftig\Core\Signal\Topic;

/** A saved version of an offer's rules, as the core takes it. */
final readonly class RuleBook
{
    /**
     * @param  list<RoleOfInterest>  $interests
     * @param  list<Topic>  $topics
     */
    private function __construct(
        public int $offer,
        public int $ruleSet,
        public TargetProfile $profile,
        public Catalogue $catalogue,
        public BuyerRoles $roles,
        public array $interests,
        public TechnologyStance $technologies,
        public array $topics,
        public PointLines $lines,
    ) {
    }

    /** @throws Mistake with a sentence, where the rules cannot be used */
    public static function of(RuleSet $rules): self
    {
        return new self(
            (int) $rules->offer_id,
            (int) $rules->id,
            new TargetProfile(...self::each($rules->criteria, 'criteria', Criteria::read(...))),
            self::catalogueOf($rules),
            new BuyerRoles(self::each($rules->buyer_roles, 'buyer_roles', Roles::buyer(...))),
            self::each($rules->roles_of_interest, 'roles_of_interest', Roles::ofInterest(...)),
            Outside::technologies(Input::of($rules->technologies, 'technologies')),
            self::each($rules->topics, 'topics', Outside::topic(...)),
            self::linesOf($rules),
        );
    }

    /**
     * @template T
     *
     * @param  list<array<string, mixed>>  $stored
     * @param  callable(Input): T  $make
     * @return list<T>
     */
    private static function each(array $stored, string $place, callable $make): array
    {
        return array_map(
            static fn (array $one, int $i): mixed => $make(Input::of($one, "{$place}[$i]")),
            $stored,
            array_keys($stored),
        );
    }

    /** The kinds of signals as the rules have them, where nothing else of the rules is wanted. */
    public static function catalogueOf(RuleSet $rules): Catalogue
    {
        $changes = [];
        foreach ($rules->kinds as $kind => $change) {
            $changes[$kind] = Input::of($change, "kinds.$kind");
        }

        return Kinds::read($changes, 'kinds');
    }

    /** What each line of points is worth by the rules. */
    public static function linesOf(RuleSet $rules): PointLines
    {
        return Lines::read(Input::of($rules->points, 'points'));
    }

    /** Whether two versions have the same lines and kinds. */
    public static function weighAlike(RuleSet $these, RuleSet $those): bool
    {
        $weighs = fn (RuleSet $rules): string => serialize([self::linesOf($rules), self::catalogueOf($rules)]);

        return $weighs($these) === $weighs($those);
    }

    /** Whether a criterion looks beyond the headquarters. */
    public function asksAnySite(): bool
    {
        return $this->asks(static fn (Question $one): bool => $one instanceof AnySite);
    }

    /** Whether a criterion is on a fact of the team's own. */
    public function asksOwnFacts(): bool
    {
        return $this->asks(static fn (Question $one): bool => $one instanceof OwnFact
            || $one instanceof Range && $one->isOwn());
    }

    /** @param  callable(Question): bool  $what */
    private function asks(callable $what): bool
    {
        foreach ($this->profile->criteria as $criterion) {
            if ($what($criterion->test)) {
                return true;
            }
        }

        return false;
    }
}
