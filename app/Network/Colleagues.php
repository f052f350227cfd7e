<?php

declare(strict_types=1);

namespace App\Network;

use App\Models\Position;
use DateTimeImmutable;
use Generator;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\Title;
use Luftig\Core\Reach\RelationStrength;
use stdClass;

/**
 * Contacts who know each other: who held positions at one company on the same days, also where it is nobody's account,
 * or share a school or association.
 */
final class Colleagues
{
    private const CHUNK = 500;

    private const DAYS_IN_MONTH = 30.4375;

    /**
     * @param  list<int>  $contacts
     * @param  list<int>|null  $among  only others who are among these
     * @return Generator<int, array{int, int, float, string}> one of them, the other, how well, and from where
     */
    public static function of(array $contacts, ?array $among = null): Generator
    {
        $only = $among === null ? '' : ' AND o.contact_id IN ('.implode(',', array_map(intval(...), $among)).')';
        foreach (array_chunk($contacts, self::CHUNK) as $some) {
            $which = 'k.contact_id IN ('.implode(',', array_map(intval(...), $some)).")$only";
            foreach (self::workedTogether($which) as $row) {
                yield [
                    (int) $row->one, (int) $row->other, self::strength($row),
                    "worked at {$row->name} together until "
                        .(new DateTimeImmutable((string) $row->until))->format('M Y'),
                ];
            }
            foreach (self::inCircles($which) as $row) {
                yield [
                    (int) $row->one, (int) $row->other, self::ofCircle($row->kind),
                    ($row->kind === 'school' ? 'studied at ' : 'both in ').$row->name,
                ];
            }
        }
    }

    /**
     * @param  list<int>  $contacts
     * @return Generator<int, array{int, int, float}> one of them, the other, and how well
     */
    public static function atWork(array $contacts): Generator
    {
        foreach (array_chunk($contacts, self::CHUNK) as $some) {
            $which = 'k.contact_id IN ('.implode(',', array_map(intval(...), $some)).')';
            foreach (self::workedTogether($which) as $row) {
                yield [(int) $row->one, (int) $row->other, self::strength($row)];
            }
        }
    }

    /**
     * Each school and association with all who share it: of many there are far more pairs than people.
     *
     * @return Generator<int, array{float, list<int>}> how well they know each other, and who they are
     */
    public static function circles(): Generator
    {
        $rows = DB::cursor(
            'SELECT f.kind, f.contact_id, DENSE_RANK() OVER (ORDER BY f.kind, f.name) AS circle FROM affiliations f '
                .'JOIN contacts c ON c.id = f.contact_id AND c.merged_into IS NULL '
                ."WHERE f.kind IN ('school', 'association') ORDER BY circle, f.contact_id",
        );
        [$circle, $strength, $members] = [0, 0.0, []];
        foreach ($rows as $row) {
            if ((int) $row->circle !== $circle && $members !== []) {
                yield [$strength, $members];
                $members = [];
            }
            [$circle, $strength, $members[]] = [(int) $row->circle, self::ofCircle($row->kind), (int) $row->contact_id];
        }
        if ($members !== []) {
            yield [$strength, $members];
        }
    }

    private static function strength(stdClass $row): float
    {
        $same = Title::unpacked((int) $row->mine)->functions & Title::unpacked((int) $row->theirs)->functions;

        return RelationStrength::ofWorkingTogether(
            max(0, (int) $row->days) / self::DAYS_IN_MONTH,
            $row->headcount === null ? null : (int) $row->headcount,
            $same !== 0,
        );
    }

    private static function ofCircle(string $kind): float
    {
        return $kind === 'school' ? RelationStrength::STUDIED : RelationStrength::ASSOCIATION;
    }

    /** @return array<int, stdClass> */
    private static function workedTogether(string $which): array
    {
        $since = fn (string $p): string => "COALESCE($p.since, $p.until, CURRENT_DATE)";
        $until = fn (string $p): string => "COALESCE($p.until, CURRENT_DATE)";
        $last = "LEAST({$until('k')}, {$until('o')})";

        $same = "o.contact_id <> k.contact_id AND {$since('k')} <= {$until('o')} AND {$since('o')} <= {$until('k')}";
        $select = 'SELECT k.contact_id AS one, o.contact_id AS other, k.reading AS mine, o.reading AS theirs, '
            ."$last AS until, DATEDIFF($last, GREATEST({$since('k')}, {$since('o')})) AS days";
        $there = 'JOIN contacts c ON c.id = o.contact_id AND c.merged_into IS NULL';

        $atNone = Position::isAtNoAccount('o');

        return DB::select(
            "$select, name, headcount FROM positions k JOIN positions o ON o.account_id = k.account_id AND $same JOIN "
                ."accounts a ON a.id = k.account_id $there WHERE $which UNION ALL $select, o.company, NULL FROM "
                ."positions k JOIN positions o ON o.company = k.company AND $atNone AND $same $there "
                ."WHERE k.account_id IS NULL AND $which",
        );
    }

    /** @return array<int, stdClass> */
    private static function inCircles(string $which): array
    {
        return DB::select(
            'SELECT k.contact_id AS one, o.contact_id AS other, k.kind, k.name FROM affiliations k JOIN affiliations o '
                .'ON o.kind = k.kind AND o.name = k.name AND o.contact_id <> k.contact_id JOIN contacts c ON c.id = '
                ."o.contact_id AND c.merged_into IS NULL WHERE $which AND k.kind IN ('school', "
                ."'association')",
        );
    }
}
