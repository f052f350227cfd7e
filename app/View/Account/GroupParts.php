<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Models\Account;
use App\Models\Contact;
use Luftig\Core\Buying\Choice;
use Luftig\Core\Buying\Part;
use Luftig\Core\Buying\Skip;

/** The buying group as it is drawn: a row a part, those who are left out counted, names for who reports to whom. */
final readonly class GroupParts
{
    /** So many who are only next door are shown at once. */
    private const NEXT_DOOR = 3;

    private const NOBODY = [
        'signs_off' => 'nobody who signs off',
        'shapes' => 'nobody who shapes',
        'champion' => 'nobody who would champion us',
        'user' => 'no user known', 'next_door' => 'nobody next door', 'blocker' => 'no blocker',
    ];

    /** @param  Contact|null  $moved  who was moved just now and keeps the focus */
    public function __construct(public BuyingGroup $group, private ?int $headcount, private ?Contact $moved = null)
    {
    }

    /** @return list<array{part: Part, shown: list<GroupRow>, folded: list<GroupRow>, nobody: string}> */
    public function rows(): array
    {
        return array_map(function (Part $part): array {
            $people = $this->group->parts[$part->value];
            $shown = $part === Part::NextDoor ? self::NEXT_DOOR : count($people);

            return [
                'part' => $part, 'shown' => array_slice($people, 0, $shown), 'folded' => array_slice($people, $shown),
                'nobody' => self::NOBODY[$part->value],
            ];
        }, Part::cases());
    }

    public function isMoved(GroupRow $row): bool
    {
        return $this->moved !== null && $this->moved->is($row->contact);
    }

    /** @return array<int, string> contact → name */
    public function names(): array
    {
        return array_column(
            array_map(fn (GroupRow $row): array => [$row->contact->id, $row->contact->name()], $this->everybody()),
            1,
            0,
        );
    }

    public function isEmpty(): bool
    {
        return $this->everybody() === [];
    }

    /** How many at once, and who is left out for which causes. */
    public function limits(): string
    {
        $causes = [];
        foreach ($this->everybody() as $row) {
            if ($row->skip !== null && $row->skip !== Skip::NotEligible && $row->part() !== null) {
                $causes[$row->skip->label()] = ($causes[$row->skip->label()] ?? 0) + 1;
            }
        }
        $left = implode('; ', array_map(fn (string $why, int $n): string => "$n $why", array_keys($causes), $causes));

        return 'At most '.Choice::most($this->headcount).' of its people within 14 days.'
            .($left === '' ? '' : " Left out: $left.");
    }

    public function others(): string
    {
        $n = count($this->group->others);

        return $n === 1 ? '1 person takes no part' : "$n people take no part";
    }

    /** Where all people of the account are found, however many. */
    public function all(Account $account): string
    {
        return route(
            'finder',
            ['on' => 'contacts', 'c' => [$account->domain === null
                ? ['f' => 'name', 'q' => '"'.str_replace('"', ' ', $account->name).'"']
                : ['f' => 'domain', 'v' => $account->domain]]],
        );
    }

    /** @return list<GroupRow> */
    private function everybody(): array
    {
        return [...array_merge(...array_values($this->group->parts)), ...$this->group->others];
    }
}
