<?php

declare(strict_types=1);

namespace App\Network;

use App\Models\Contact;
use App\Models\Position;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use WeakMap;

/**
 * What contacts and people of ours have in common beside knowing each other: a town, a school, an association, an
 * earlier employer. Words can rest on it (rule 21).
 */
final class CommonGround
{
    /** Kinds of facts, as angles name them. */
    public const SCHOOL = 'school';

    public const ASSOCIATION = 'association';

    public const EMPLOYER = 'employer';

    public const PLACE = 'place';

    /** Of each so much. */
    private const MOST = 5;

    /** @var WeakMap<Contact, list<array{string, string, string}>>|null as long as somebody looks at them */
    private static ?WeakMap $known = null;

    /**
     * For many at once, so that asking each costs nothing.
     *
     * @param  Collection<array-key, Contact>  $contacts
     */
    public static function load(Collection $contacts): void
    {
        $in = implode(',', [0, ...$contacts->pluck('id')->map(intval(...))->unique()->all()]);
        $found = [];
        foreach (DB::select(self::shared($in)) as $row) {
            // The first of us who shares it speaks for all.
            $found[$row->contact_id]["{$row->kind} {$row->name}"] ??= [
                (string) $row->kind, (string) $row->name, (string) $row->who,
            ];
        }
        self::$known ??= new WeakMap;
        foreach ($contacts as $contact) {
            self::$known[$contact] = array_slice(array_values($found[$contact->id] ?? []), 0, self::MOST);
        }
    }

    /** @param  string  $in  ids of contacts */
    private static function shared(string $in): string
    {
        $atNone = Position::isAtNoAccount('p');

        return "SELECT a.contact_id, s.kind, s.name, u.name AS who FROM affiliations a
            JOIN stations s ON s.kind = a.kind AND s.name = a.name JOIN users u ON u.id = s.user_id
            WHERE a.contact_id IN ($in)
            UNION SELECT p.contact_id, 'employer', e.name, u.name FROM positions p
            JOIN stations s ON s.kind = 'position' AND s.account_id = p.account_id
            JOIN users u ON u.id = s.user_id JOIN accounts e ON e.id = s.account_id
            WHERE p.contact_id IN ($in) AND p.until IS NOT NULL
            UNION SELECT p.contact_id, 'employer', s.name, u.name FROM positions p
            JOIN stations s ON s.kind = 'position' AND s.account_id IS NULL AND s.name = p.company
            JOIN users u ON u.id = s.user_id
            WHERE p.contact_id IN ($in) AND $atNone AND p.until IS NOT NULL
            UNION SELECT c.id, s.kind, s.name, u.name FROM contacts c
            LEFT JOIN places h ON h.account_id = c.account_id AND h.headquarters
            JOIN stations s ON s.kind = 'place' AND s.name IN (c.city, h.city) JOIN users u ON u.id = s.user_id
            WHERE c.id IN ($in) ORDER BY contact_id, kind, name, who";
    }

    /** @return list<array{string, string, string}> kind, its name, who of us; none where it was not loaded */
    public static function of(?Contact $contact): array
    {
        return $contact === null ? [] : self::$known[$contact] ?? [];
    }

    /**
     * As evidence says it.
     *
     * @param  array{string, string, string}  $common
     */
    public static function fact(array $common): string
    {
        [$kind, $name, $who] = $common;

        return match ($kind) {
            self::SCHOOL => "went to $name, as $who did",
            self::ASSOCIATION => "belongs to $name, as $who does",
            self::PLACE => "is in $name, which $who knows from living there",
            default => "worked at $name, as $who did",
        };
    }
}
