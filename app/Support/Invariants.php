<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Facades\DB;

/** What must hold of the base at any moment, whatever was interrupted: nothing lost, doubled, or half there. */
final class Invariants
{
    /** So many of those that break one are named. */
    private const NAMED = 5;

    /** What must hold → a statement that finds whoever breaks it, by number. */
    private const ALL = [
        'an account is merged into one that stands by itself' => <<<'SQL'
            SELECT a.id FROM accounts a LEFT JOIN accounts b ON b.id = a.merged_into WHERE a.merged_into IS NOT
            NULL AND (b.id IS NULL OR b.merged_into IS NOT NULL)
            SQL,
        'a contact is merged into one that stands by itself' => <<<'SQL'
            SELECT a.id FROM contacts a LEFT JOIN contacts b ON b.id = a.merged_into WHERE a.merged_into IS NOT
            NULL AND (b.id IS NULL OR b.merged_into IS NOT NULL)
            SQL,
        'whoever is computed has a standing for each offer with rules' => <<<'SQL'
            SELECT a.id FROM accounts a JOIN offers o ON EXISTS (SELECT 1 FROM rule_sets r WHERE r.offer_id =
            o.id) LEFT JOIN standings s ON s.account_id = a.id AND s.offer_id = o.id WHERE a.stale = 0 AND
            a.merged_into IS NULL AND s.account_id IS NULL
            SQL,
        'a signal is of an account that stands by itself' => <<<'SQL'
            SELECT s.id FROM signals s JOIN accounts a ON a.id = s.account_id WHERE a.merged_into IS NOT NULL
            SQL,
        'a signal that was struck out counts no more' => <<<'SQL'
            SELECT s.id FROM signals s JOIN struck_signals k ON k.fingerprint = s.fingerprint
            SQL,
        'nobody is reserved by two at once' => <<<'SQL'
            SELECT contact_id FROM reservations WHERE until >= CURRENT_DATE GROUP BY contact_id HAVING
            COUNT(DISTINCT user_id) > 1
            SQL,
        'a result says when it came' => <<<'SQL'
            SELECT id FROM approaches WHERE (result IS NULL) <> (result_at IS NULL)
            SQL,
        'an approach is to somebody of the account' => <<<'SQL'
            SELECT p.id FROM approaches p JOIN contacts c ON c.id = p.contact_id JOIN reasons r ON r.id =
            p.reason_id WHERE r.account_id <> p.account_id
            SQL,
        'a reason rests on something' => <<<'SQL'
            SELECT id FROM reasons WHERE JSON_VALID(evidence) = 0 OR COALESCE(JSON_LENGTH(evidence,
            '$.signals'), 0) + COALESCE(JSON_LENGTH(evidence, '$.facts'), 0) = 0
            SQL,
        'everybody on a list has a place of their own' => <<<'SQL'
            SELECT list_id FROM list_members GROUP BY list_id, position HAVING COUNT(*) > 1
            SQL,
        'whoever is on a list is there' => <<<'SQL'
            SELECT m.list_id FROM list_members m JOIN lists l ON l.id = m.list_id WHERE l.subject = 'accounts'
            AND NOT EXISTS (SELECT 1 FROM accounts a WHERE a.id = m.record_id) OR l.subject = 'contacts' AND NOT
            EXISTS (SELECT 1 FROM contacts c WHERE c.id = m.record_id)
            SQL,
        'a question is answered once in half a year' => <<<'SQL'
            SELECT a.id FROM look_ups a JOIN look_ups b ON b.contact_id = a.contact_id AND b.look_up_service_id
            = a.look_up_service_id AND b.id < a.id AND a.asked_at < b.asked_at + INTERVAL 180 DAY WHERE a.state
            IN ('found', 'nothing') AND b.state IN ('found', 'nothing')
            SQL,
        'what was found is in the ledger with its price' => <<<'SQL'
            SELECT id FROM look_ups WHERE price < 0 OR state IN ('found', 'nothing') AND answered_at IS NULL OR
            state = 'found' AND contact_id IS NOT NULL AND value IS NULL
            SQL,
        'a run that is done has asked for everybody' => <<<'SQL'
            SELECT r.id FROM look_up_runs r WHERE r.state = 'finished' AND EXISTS (SELECT 1 FROM looked_up l
            WHERE l.look_up_run_id = r.id AND l.outcome = 'waiting')
            SQL,
        'a file that came in is counted whole' => <<<'SQL'
            SELECT id FROM intakes WHERE state = 'done' AND `rows` <> created + updated + unchanged + rejected +
            waiting
            SQL,
        'an item of a feed and its opening are of one account' => <<<'SQL'
            SELECT i.id FROM feed_items i JOIN openings o ON o.id = i.opening_id WHERE i.account_id IS NOT NULL
            AND i.account_id <> o.account_id
            SQL,
    ];

    /** @return array<string, array{int, list<int>}> what does not hold → how often, and some who break it */
    public static function broken(): array
    {
        $broken = [];
        foreach (self::ALL as $what => $statement) {
            $found = array_map(fn (object $row): int => (int) current((array) $row), DB::select($statement));
            if ($found !== []) {
                $broken[$what] = [count($found), array_slice(array_values(array_unique($found)), 0, self::NAMED)];
            }
        }

        return $broken;
    }

    public static function count(): int
    {
        return count(self::ALL);
    }
}
