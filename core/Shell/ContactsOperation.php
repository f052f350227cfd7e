<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\TitleReader;
use Luftig\Core\Priority\BuyerRole;
use Luftig\Core\Priority\Choice;
use Luftig\Core\Priority\Choosable;
use Luftig\Core\Priority\ContactPoints;
use Luftig\Core\Priority\RoleOfContact;
use Luftig\Core\Priority\Skip;

/** Rules 7 to 9. */
final class ContactsOperation implements Operation
{
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
            'contacts[]' => 'id, title, country?, push, access (0–1), intro? (0–1), live?, approached_days_ago?, kept_out?, reserved?, held?',
            'approached_14d' => 'approaches in the last 14 days, optional',
            'take' => 'how many at most, optional (rule 9 without one)',
            'answer: skipped[].why' => Input::values(Skip::class),
        ];
    }

    public static function example(): array
    {
        return [
            'headcount' => 420,
            'buyer_roles' => [['name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => ['operations'], 'weight' => 1]],
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
        $roles = array_map(self::role(...), $input->objects('buyer_roles'));
        $approached = $input->optionalNumber('approached_14d', 0) ?? 0.0;
        $most = $input->optionalInteger('take') ?? Choice::most($headcount);
        $ranked = $choosable = [];
        foreach ($input->objects('contacts') as $contact) {
            [$row, $candidate] = self::contact($contact, $roles, $headcount, $association);
            $choosable[] = $candidate;
            if ($row !== null) {
                $ranked[] = $row;
            }
        }
        $input->done();
        usort($ranked, static fn (array $a, array $b): int => $b['priority'] <=> $a['priority'] ?: $a['id'] <=> $b['id']);
        $choice = Choice::of($choosable, $most, $approached);

        return [
            'ranked' => $ranked,
            'taken' => $choice->taken,
            'skipped' => array_map(static fn (int|string $id, Skip $why): array => ['id' => $id, 'why' => $why->value], array_keys($choice->skipped), $choice->skipped),
        ];
    }

    /** Also how a stored rule set is read. */
    public static function role(Input $input): BuyerRole
    {
        $variants = [];
        $given = $input->optionalObject('variants');
        foreach ($given?->names() ?? [] as $country) {
            $query = $given?->optionalQuery($country);
            if ($query !== null) {
                $variants[strtoupper($country)] = $query;
            }
        }
        $role = $input->make(static fn (): BuyerRole => new BuyerRole(
            $input->string('name'),
            $input->functions('functions'),
            $input->functions('neighbours'),
            $input->optionalQuery('include'),
            $input->optionalQuery('exclude'),
            $input->optionalNumber('weight') ?? 1.0,
            $variants,
        ));
        $input->done();

        return $role;
    }

    /**
     * @param  list<BuyerRole>  $roles
     * @return array{array<string, mixed>|null, Choosable}
     */
    private static function contact(Input $input, array $roles, ?int $headcount, bool $association): array
    {
        $id = $input->id('id');
        $text = $input->optionalString('title') ?? '';
        $country = $input->optionalString('country');
        $access = $input->number('access', 0, 1);
        $intro = $input->optionalNumber('intro', 0, 1) ?? 0.0;
        $push = $input->number('push');
        $live = $input->boolean('live');
        $title = TitleReader::standard()->read($text, $country, $headcount);
        $role = RoleOfContact::best($roles, $title, $text, $country, $headcount, $association);
        $priority = $role === null ? null : ContactPoints::of($role->value, $push, $access)->priority();
        $part = $role?->part($headcount, $live, $intro);
        $choosable = new Choosable(
            $id, $priority, $part, $title->functions, $access > 0 || $intro > 0,
            $input->boolean('kept_out'), $input->boolean('reserved'), $input->optionalNumber('approached_days_ago', 0), $input->boolean('held'),
        );
        $input->done();

        return [$role === null ? null : ['id' => $id, 'priority' => $priority, 'role' => $role->value, 'buyer_role' => $role->buyerRole->name, 'part' => $part?->value], $choosable];
    }
}
