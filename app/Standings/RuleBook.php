<?php

declare(strict_types=1);

namespace App\Standings;

use App\Models\RuleSet;
use Luftig\Core\Buying\BuyerRoles;
use Luftig\Core\Fit\TargetProfile;
use Luftig\Core\Mistake;
use Luftig\Core\Shell\ContactsOperation;
use Luftig\Core\Shell\FitOperation;
use Luftig\Core\Shell\Input;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Counts;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\RoleOfInterest;

/** A saved version of an offer's rules, as the core takes it. */
final readonly class RuleBook
{
    /** @param  list<RoleOfInterest>  $interests */
    private function __construct(
        public int $offer,
        public int $ruleSet,
        public TargetProfile $profile,
        public Catalogue $catalogue,
        public BuyerRoles $roles,
        public array $interests,
    ) {
    }

    /** @throws Mistake with a sentence, where the rules cannot be used */
    public static function of(RuleSet $rules): self
    {
        return new self(
            (int) $rules->offer_id,
            (int) $rules->id,
            new TargetProfile(...self::each($rules->criteria, 'criteria', FitOperation::criterion(...))),
            self::catalogueOf($rules),
            new BuyerRoles(self::each($rules->buyer_roles, 'buyer_roles', ContactsOperation::role(...))),
            self::each($rules->roles_of_interest, 'roles_of_interest', self::interest(...)),
        );
    }

    private static function interest(Input $input): RoleOfInterest
    {
        $role = new RoleOfInterest(
            $input->string('name'),
            $input->optionalQuery('title_query') ?? throw Mistake::at(
                $input->place('title_query'),
                'A role of interest needs a query that finds its titles.',
            ),
            $input->optionalQuery('text_query'),
            $input->functions('functions'),
        );
        $input->done();

        return $role;
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
        $catalogue = Catalogue::standard();
        foreach ($rules->kinds as $name => $change) {
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
