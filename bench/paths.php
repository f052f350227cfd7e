<?php

declare(strict_types=1);

/* Ways in: the strongest paths to contacts, beside one recursive statement that walks the same edges. */

use App\Models\Contact;
use App\Models\User;
use App\Network\Paths;
use App\Support\Bulk;
use Illuminate\Support\Facades\DB;

function paths(int $people = 1_000, int $known = 100, int $asked = 200): void
{
    $now = now()->toDateTimeString();
    $users = [];
    for ($i = 1; $i <= $people; $i++) {
        $users[] = ["Person $i", "person$i@bench.example", 'rep', 1, $now, $now];
    }
    $ids = Bulk::insert('users', ['name', 'email', 'role', 'signs_in', 'created_at', 'updated_at'], $users);
    DB::insert('INSERT INTO positions (contact_id, account_id, title, reading, since) SELECT id, account_id, title, '
        ."reading, DATE('2016-01-01') + INTERVAL id % 3000 DAY FROM contacts");
    $contacts = DB::table('contacts')->orderBy('id')->limit(100_000)->pluck('id')->all();
    $relations = [];
    foreach ($ids as $n => $user) {
        for ($i = 0; $i < $known; $i++) {
            $contact = $contacts[($n * $known + $i * 7919) % count($contacts)];
            $relations["$user $contact"] = [
                $user, $contact, "Contact $contact", $i % 20, '2026-05-01', sha1("$user $contact"), $now, $now,
            ];
        }
    }
    Bulk::insert('relations', [
        'user_id', 'contact_id', 'person', 'exchanges', 'last_exchange', 'fingerprint', 'created_at', 'updated_at',
    ], array_values($relations));
    $rep = User::query()->findOrFail($ids[0]);
    $times = $walks = [];
    $found = 0;
    for ($i = 0; $i < $asked; $i++) {
        $contact = Contact::query()->findOrFail($contacts[$i * 467 % count($contacts)]);
        $times[] = seconds(function () use ($contact, $rep, &$found): void {
            $found += Paths::to($contact, $rep) === [] ? 0 : 1;
        });
        // It takes its time.
        if ($i === 0) {
            $walks[] = seconds(fn () => walked($contact->id, $rep->id));
        }
    }
    sort($times);
    sort($walks);
    say(sprintf('Relations of %s people to %s contacts: %s', number_format($people), number_format(count($contacts)),
        number_format(count($relations))));
    say(sprintf('Ways to a contact, %d of %d have one: median %.1f ms; recursive statement: %.1f ms', $found, $asked,
        1000 * $times[intdiv($asked, 2)], 1000 * $walks[intdiv(count($walks), 2)]));
    limit('Milliseconds of a contact’s ways, 95th percentile', 1000 * $times[(int) ($asked * .95)], 50);
}

/**
 * The same in one statement: walking back from the contact, over address books and positions at one account, three
 * steps at most.
 *
 * @return array<int, stdClass>
 */
function walked(int $contact, int $rep): array
{
    return DB::select(
        "WITH RECURSIVE walk AS (
            SELECT CAST(CONCAT('c', ?) AS CHAR(30)) AS person, CAST(CONCAT('c', ?) AS CHAR(200)) AS path,
                1.0 AS strength, 0 AS steps
            UNION ALL
            SELECT e.other, CONCAT(w.path, ' ', e.other), w.strength * e.strength * IF(w.steps = 0, 1, .8), w.steps + 1
            FROM walk w JOIN (
                SELECT CONCAT('c', contact_id) AS one, CONCAT('u', user_id) AS other, .5 AS strength FROM relations
                UNION ALL
                SELECT CONCAT('c', k.contact_id), CONCAT('c', o.contact_id), .3 FROM positions k JOIN positions o
                    ON o.account_id = k.account_id AND o.contact_id <> k.contact_id
            ) e ON e.one = w.person
            WHERE w.steps < 2 AND LOCATE(e.other, w.path) = 0
        ) SELECT path, strength * IF(person = CONCAT('u', ?), 1, .9 * .8) AS strength FROM walk WHERE person LIKE 'u%'
            ORDER BY strength DESC LIMIT 5",
        [$contact, $contact, $rep],
    );
}
