<?php

declare(strict_types=1);

namespace App\Standings;

use App\Models\RuleSet;
use Luftig\Core\Mistake;
use Luftig\Core\Profile\Criterion;
use Luftig\Core\Profile\TargetProfile;
use Luftig\Core\Shell\FitOperation;
use Luftig\Core\Shell\Input;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Counts;
use Luftig\Core\Signal\Kind;

/** A saved version of an offer's rules, as the core takes it. */
final readonly class RuleBook
{
    private function __construct(public int $offer, public int $ruleSet, public TargetProfile $profile, public Catalogue $catalogue)
    {
    }

    /** @throws Mistake with a sentence, where the rules cannot be used */
    public static function of(RuleSet $rules): self
    {
        return new self(
            (int) $rules->offer_id,
            (int) $rules->id,
            new TargetProfile(...self::criteria($rules->criteria)),
            self::catalogue($rules->kinds),
        );
    }

    /**
     * @param  list<array<string, mixed>>  $criteria
     * @return list<Criterion>
     */
    private static function criteria(array $criteria): array
    {
        return array_map(fn (array $criterion, int $i): Criterion => FitOperation::criterion(Input::of($criterion, "criteria[$i]")), $criteria, array_keys($criteria));
    }

    /** @param  array<string, array<string, mixed>>  $changes by kind */
    private static function catalogue(array $changes): Catalogue
    {
        $catalogue = Catalogue::standard();
        foreach ($changes as $name => $change) {
            $kind = Kind::from($name);
            $catalogue = $catalogue->with($catalogue->of($kind)->with(
                isset($change['weight']) ? (float) $change['weight'] : null,
                isset($change['ramp']) ? (float) $change['ramp'] : null,
                isset($change['hold']) ? (float) $change['hold'] : null,
                isset($change['half_life']) ? (float) $change['half_life'] : null,
                isset($change['counts']) ? Counts::from($change['counts']) : null,
            ));
        }

        return $catalogue;
    }
}
