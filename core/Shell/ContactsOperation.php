<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Buying\BuyerRole;
use Luftig\Core\Buying\Choice;
use Luftig\Core\Buying\Choosable;
use Luftig\Core\Buying\RoleOfContact;
use Luftig\Core\Buying\Skip;
use Luftig\Core\Mistake;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\TitleReader;
use Luftig\Core\Priority\ContactPoints;
use Luftig\Core\Rules\Input;
use Luftig\Core\Rules\Roles;

/** Rules 7 to 9. */
final class ContactsOperation implements Operation
{
    /** No push of signals comes near it. */
    private const LARGEST = 1e9;

    public static function name(): string
    {
        return 'contacts';
    }

    public static function summary(): string
    {
        return 'Who takes part in buying in one account, and the few to contact now.';
    }

    public static function fields(): array
    {
        return [
            'headcount' => 'whole number, optional',
            'association' => 'true or false: ISIC 94, where boards decide',
            'buyer_roles[].name' => 'text',
            'buyer_roles[].functions' => 'any of '.Input::values(BusinessFunction::class),
            'buyer_roles[].neighbours' => 'the same, optional',
            'buyer_roles[].include' => 'text query, optional: titles that belong to it',
            'buyer_roles[].exclude' => 'text query, optional: titles that are not eligible for it',
            'buyer_roles[].weight' => 'above 0 (1 without one)',
            'buyer_roles[].variants' => '{country: text query}, optional: titles that belong to it there as well',
            'contacts[]' => 'id, title, country?, push, push_own?, about?, access (0–1), intro? (0–1), live?, '
                    .'approached_days_ago?, '
                    .'kept_out?, reserved?, held?',
            'contacts[].push_own' => 'the part of the push that is from their own signals',
            'contacts[].about' => 'true: the account’s strongest live signal is about them',
            'approached_14d' => 'approaches in the last 14 days, optional',
            'take' => 'how many at most, optional (rule 9 without one)',
            'answer: skipped[].why' => Input::values(Skip::class),
        ];
    }

    public static function example(): array
    {
        return [
            'headcount' => 420,
            'buyer_roles' => [[
                'name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => ['operations'], 'weight' => 1,
            ]],
            'contacts' => [
                ['id' => 1, 'title' => 'Head of Maintenance', 'push' => 1.1, 'access' => .59],
                ['id' => 2, 'title' => 'Plant Manager', 'push' => .6, 'access' => .3],
            ],
        ];
    }

    public static function answer(Input $input): array
    {
        $headcount = $input->optionalInteger('headcount');
        $association = $input->boolean('association');
        $roles = array_map(Roles::buyer(...), $input->objects('buyer_roles'));
        $approached = $input->optionalNumber('approached_14d', 0) ?? 0.0;
        $most = $input->optionalInteger('take') ?? Choice::most($headcount);
        $ranked = $choosable = $ids = [];
        foreach ($input->objects('contacts') as $i => $contact) {
            // A place in the list stands for each, since an id of digits would be made a number.
            [$id, $row, $candidate] = self::contact($contact, $i, $roles, $headcount, $association);
            if (in_array($id, $ids, true)) {
                throw Mistake::at("contacts[$i].id", "The id “{$id}” stands here twice.");
            }
            $ids[$i] = $id;
            $choosable[] = $candidate;
            if ($row !== null) {
                $ranked[] = $row;
            }
        }
        $input->done();
        usort(
            $ranked,
            static fn (array $a, array $b): int => $b['priority'] <=> $a['priority'] ?: self::order($a['id'], $b['id']),
        );
        usort($choosable, static fn (Choosable $a, Choosable $b): int => self::order($ids[$a->id], $ids[$b->id]));
        $choice = Choice::of($choosable, $most, $approached);
        $skipped = $choice->skipped;
        ksort($skipped);

        return [
            'ranked' => $ranked,
            'taken' => array_map(static fn (int|string $i): int|string => $ids[$i], $choice->taken),
            'skipped' => array_map(
                static fn (int|string $i, Skip $why): array => ['id' => $ids[$i], 'why' => $why->value],
                array_keys($skipped),
                $skipped,
            ),
        ];
    }

    /** Numbers as numbers, before texts as texts. */
    private static function order(int|string $a, int|string $b): int
    {
        return [is_string($a), $a] <=> [is_string($b), $b];
    }

    /**
     * @param  list<BuyerRole>  $roles
     * @return array{int|string, array{id: int|string, priority: float|null, ...}|null, Choosable}  id, how they are
     *     ranked,
     *     with
     *     all that is answered of them, how rule 9 looks at them
     */
    private static function contact(Input $input, int $place, array $roles, ?int $headcount, bool $association): array
    {
        $id = $input->id('id');
        $text = $input->optionalString('title') ?? '';
        $country = $input->optionalString('country');
        $country = $country === null ? null : strtoupper($country);
        $access = $input->number('access', 0, 1);
        $intro = $input->optionalNumber('intro', 0, 1) ?? 0.0;
        $push = $input->number('push', -self::LARGEST, self::LARGEST);
        $own = $input->optionalNumber('push_own', -self::LARGEST, self::LARGEST) ?? 0.0;
        $about = $input->boolean('about');
        $live = $input->boolean('live');
        $title = TitleReader::standard()->read($text, $country, $headcount);
        $role = RoleOfContact::best($roles, $title, $text, $country, $headcount, $association);
        $priority = $role === null
            ? null
            : ContactPoints::of($role->value, $push, $access, $own, $role->match)->priority();
        $part = $role?->part($headcount, $live, $intro);
        $choosable = new Choosable(
            $place,
            $priority,
            $part,
            $title->functions,
            $access > 0 || $intro > 0,
            $input->boolean('kept_out'),
            $input->boolean('reserved'),
            $input->optionalNumber('approached_days_ago', 0),
            $input->boolean('held'),
            $about && $role !== null && $role->match >= ContactPoints::MATCH,
        );
        $input->done();
        $ranked = $role === null ? null : [
            'id' => $id, 'priority' => $priority, 'role' => $role->value, 'buyer_role' => $role->buyerRole->name,
            'part' => $part?->value,
        ];

        return [$id, $ranked, $choosable];
    }
}
