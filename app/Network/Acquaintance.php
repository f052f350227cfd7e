<?php

declare(strict_types=1);

namespace App\Network;

use App\Models\Position;
use Illuminate\Support\Facades\DB;

/**
 * Who knows whom (rule 10), asked of the facts each time, so that it follows them: address books, and positions,
 * schools and associations that two people share. Two positions lie at the same time where both are known to have been
 * held on one day.
 */
final class Acquaintance
{
    /**
     * Contacts whom any of us knows.
     *
     * @param  list<int>  $users
     * @return list<int>
     */
    public static function by(array $users): array
    {
        $in = self::in($users);
        $atNone = Position::isAtNoAccount('p');

        return self::ids("SELECT contact_id FROM relations WHERE user_id IN ($in) AND contact_id IS NOT NULL
            UNION SELECT p.contact_id FROM stations s JOIN positions p ON p.account_id = s.account_id WHERE s.user_id
                IN ($in) AND s.kind = 'position' AND ".self::atOneTime('p', 's')."
            UNION SELECT p.contact_id FROM stations s JOIN positions p ON p.company = s.name AND $atNone
                WHERE s.user_id IN ($in) AND s.kind = 'position' AND s.account_id IS NULL AND ".self::atOneTime('p',
            's')."
            UNION SELECT a.contact_id FROM stations s JOIN affiliations a ON a.kind = s.kind AND a.name = s.name WHERE
                s.user_id IN ($in)");
    }

    /**
     * Contacts who worked, at any time, where one of us did.
     *
     * @param  list<int>  $users
     * @return list<int>
     */
    public static function whereWorked(array $users): array
    {
        $in = self::in($users);
        $atNone = Position::isAtNoAccount('p');

        return
            self::ids("SELECT p.contact_id FROM stations s JOIN positions p ON p.account_id = s.account_id
            WHERE s.user_id IN ($in) AND s.kind = 'position'
            UNION SELECT p.contact_id FROM stations s JOIN positions p ON p.company = s.name AND $atNone
                WHERE s.user_id IN ($in) AND s.kind = 'position' AND s.account_id IS NULL");
    }

    /**
     * Changes with whatever says who knows whom and is no fact of an account; those of accounts are dated in the
     * Finder.
     */
    public static function stamp(): string
    {
        $of = fn (
            string $table,
            string $more,
        ): string => "(SELECT CONCAT_WS(' ', COUNT(*), MAX(id), $more) FROM $table)";

        return today()->toDateString().' '.DB::scalar(
            "SELECT CONCAT_WS(' ', {$of('relations', 'MAX(updated_at)')}, {$of('stations', 'MAX(updated_at)')}, "
                ."{$of('users', 'SUM(signs_in)')}, (SELECT MAX(id) FROM positions), (SELECT MAX(id) FROM "
                .'affiliations))',
        );
    }

    /** Ties people in address books to contacts who came in since: by address, by profile, or by name at the domain. */
    public static function tie(): void
    {
        $now = now()->toDateTimeString();
        foreach ([
            "JOIN channels ch ON ch.value = r.email AND ch.type = 'email' JOIN contacts c ON c.id = ch.contact_id",
            'JOIN contacts c ON c.profile = r.profile',
            'JOIN accounts a ON a.domain = r.domain JOIN contacts c ON c.account_id = COALESCE(a.merged_into, a.id) '
                ."AND TRIM(CONCAT(c.first_name, ' ', c.last_name)) = r.person",
        ] as $join) {
            DB::update(
                "UPDATE relations r $join SET r.contact_id = COALESCE(c.merged_into, c.id), r.updated_at = ? WHERE "
                    .'r.contact_id IS NULL',
                [$now],
            );
        }
    }

    /** Whether two positions were held on the same day. */
    private static function atOneTime(string $one, string $other): string
    {
        $since = fn (string $position): string => "COALESCE($position.since, $position.until, CURRENT_DATE)";
        $until = fn (string $position): string => "COALESCE($position.until, CURRENT_DATE)";

        return "{$since($one)} <= {$until($other)} AND {$since($other)} <= {$until($one)}";
    }

    /** @return list<int> */
    private static function ids(string $sql): array
    {
        return array_map(intval(...), array_column(
            DB::select(
                "SELECT DISTINCT c.id FROM ($sql) f JOIN contacts c ON c.id = f.contact_id WHERE c.merged_into IS NULL",
            ),
            'id',
        ));
    }

    /** @param  list<int>  $ids */
    private static function in(array $ids): string
    {
        return implode(',', [0, ...array_map(intval(...), $ids)]);
    }
}
