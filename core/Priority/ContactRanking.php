<?php

declare(strict_types=1);

namespace Luftig\Core\Priority;

use Luftig\Core\Buying\BuyerRoles;

/** The contacts of one account for one offer, the best first, and the account's access through them (rules 5 and 8). */
final readonly class ContactRanking
{
    private const OTHERS = .5;

    /**
     * @param  list<RankedContact>  $contacts
     * @param  float  $access  0–1
     */
    private function __construct(public array $contacts, public float $access)
    {
    }

    /**
     * @param  iterable<array{0: int, 1: int, 2: string, 3: float, 4?: float}>  $contacts  id, reading of the title,
     *     title, access, strength of the best intro path; none that is kept out
     */
    public static function of(
        BuyerRoles $roles,
        iterable $contacts,
        ContactPush $push,
        ?string $country,
        ?int $headcount,
        bool $association = false,
    ): self {
        $ranked = [];
        $priorities = [];
        $inRole = $others = 0.0;
        foreach ($contacts as $contact) {
            [$id, $reading, $text, $access] = $contact;
            $role = $roles->of($reading, $text, $country, $headcount, $association);
            if ($role === null) {
                // Until an offer has buyer roles, whoever is reached best counts.
                if (! $roles->areDefined()) {
                    $inRole = max($inRole, $access);
                }

                continue;
            }
            if ($role->isInRole()) {
                $inRole = max($inRole, $access);
            } else {
                $others = max($others, $access);
            }
            $pushed = $push->on($id, $role->title->functions);
            $own = $push->own($id);
            $priority = ContactPoints::of($role->value, $pushed, $access, $own, $role->match)->priority();
            $priorities[] = $priority;
            $ranked[] = new RankedContact(
                $id, $role, $pushed, $access, $priority,
                $role->part($headcount, $push->hasOwn($id), $contact[4] ?? 0.0), $own,
            );
        }
        arsort($priorities);
        $sorted = [];
        foreach ($priorities as $key => $_) {
            $sorted[] = $ranked[$key];
        }

        return new self($sorted, $inRole > 0 ? $inRole : self::OTHERS * $others);
    }
}
