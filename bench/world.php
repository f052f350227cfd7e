<?php

declare(strict_types=1);

/* A world to measure in, made in the database itself, since it is large. */

use App\Contacts\Titles;
use Database\Demo\Words;
use Illuminate\Support\Facades\DB;

function world(int $accounts, int $signals, int $contacts): void
{
    $per = intdiv($signals, $accounts);
    DB::unprepared("INSERT INTO accounts (id, name, domain, headcount, revenue, growth, sites, keywords, description,
        stale)
        SELECT seq, CONCAT('Firm ', seq), CONCAT('firm', seq, '.example'), 5 + (seq * 7919) % 2500, 1e6 +
            (seq * 104729) % 200000000, CAST((seq * 31) % 60 AS SIGNED) / 100 - .2, 1 + seq % 5,
        ELT(1 + seq % 4, 'three shifts; extrusion', 'clean room', 'compressed air; stamping', NULL),
        'Makes parts on several lines.', 0 FROM seq_1_to_$accounts");
    DB::unprepared(
        "INSERT INTO account_industry (account_id, position, code) SELECT seq, 0, ELT(1 + seq % 6, '2310', '2220', "
            ."'17', '25', '46', '2100') FROM seq_1_to_$accounts",
    );
    DB::unprepared(
        "INSERT INTO places (account_id, headquarters, city, country, latitude, longitude) SELECT seq, 1, 'Hobro', "
            ."ELT(1 + seq % 4, 'SE', 'DK', 'DE', 'PL'), 54 + (seq % 100) / 20, 9 + (seq % 90) / 10 FROM "
            ."seq_1_to_$accounts",
    );
    DB::unprepared("INSERT INTO technologies (name) VALUES ('Vedliko Plan'), ('Tryklog'), ('Ordvika')");
    DB::unprepared(
        "INSERT INTO account_technology (account_id, technology_id) SELECT seq, 1 + seq % 3 FROM seq_1_to_$accounts "
            .'WHERE seq % 2 = 0',
    );
    $titles = new Titles;
    $known = array_merge(...array_values(
        array_map(fn (array $byCountry): array => array_merge(...array_values($byCountry)), Words::TITLES),
    ));
    $in = fn (callable $value): string => implode(
        ', ',
        array_map(fn (string $title): string => DB::getPdo()->quote((string) $value($title)), $known),
    );
    DB::unprepared(
        'INSERT INTO contacts (account_id, first_name, last_name, title, reading) SELECT 1 + (seq - 1) % '.$accounts
            .", 'Ida', CONCAT('Sandmo', seq), ELT(1 + (seq * 7919) % ".count($known).', '
            .$in(fn (string $title): string => $title).'), ELT(1 + (seq * 7919) % '.count($known).', '
            .$in(fn (string $title): int => $titles->read($title, null, 200)).") FROM seq_1_to_$contacts",
    );
    DB::unprepared(
        "INSERT INTO channels (contact_id, type, value, state) SELECT id, 'email', CONCAT('c', id, "
            ."'@firm.example'), ELT(1 + id % 4, 'valid', 'catch_all', 'unknown', 'invalid') FROM contacts",
    );
    // Eighteen months of seventeen kinds, those against an account as rare as in the demo.
    $intake = 'ELT(1 + (seq * 2654435761 DIV 65536) % 24, '
        ."'hiring','hiring','hiring','hiring','hiring','hiring','news','news','news','news','post_engagement',"
        ."'post_engagement','growth','growth','new_leader','new_leader','own_engagement','topic_interest',"
        ."'expansion','funding','promotion','tech_adopted','customer_alum', IF(seq % 3 = 0, "
        ."'hiring_freeze', 'decline'))";
    DB::unprepared('INSERT INTO signals (account_id, kind, title, occurred_at, strength, confidence,
        fingerprint) SELECT 1 + (seq - 1) DIV '.$per.", $intake, 'Something happened',
        NOW() - INTERVAL (seq * 40503) % 777600 MINUTE, .3 + (seq % 70) / 100, IF(seq % 5 = 0, 1, .9), SHA1(seq)
            FROM seq_1_to_".($per * $accounts));
    DB::select('ANALYZE TABLE accounts, signals, contacts, channels');
}

/** Fetches the same rows as a recomputation does, chunk by chunk, and does nothing with them. */
function merelyRead(int $accounts): void
{
    $pdo = DB::connection()->getPdo();
    for ($from = 1; $from <= $accounts; $from += 1000) {
        $to = $from + 999;
        foreach ([
            "SELECT account_id, code FROM account_industry WHERE account_id BETWEEN $from AND $to AND code IS NOT "
                .'NULL ORDER BY account_id, position',
            'SELECT account_id, name FROM account_technology JOIN technologies ON technologies.id = technology_id '
                ."WHERE account_id BETWEEN $from AND $to ORDER BY account_id",
            contactsSql($from, $to),
            'SELECT account_id, kind, UNIX_TIMESTAMP(occurred_at), strength * confidence, UNIX_TIMESTAMP(since), '
                .'id, contact_id, concerns, offer_id FROM signals FORCE INDEX (signals_reading) WHERE account_id '
                ."BETWEEN $from AND $to ORDER BY account_id, kind, occurred_at",
            'SELECT a.id, domain, status, headcount, revenue, growth, sites, country, region, postal_code, '
                .'latitude, longitude, keywords, description FROM accounts a LEFT JOIN places p ON p.account_id = '
                ."a.id AND p.headquarters = 1 WHERE a.id BETWEEN $from AND $to ORDER BY a.id",
        ] as $sql) {
            $statement = $pdo->prepare($sql);
            $statement->execute();
            $statement->setFetchMode(PDO::FETCH_NUM);
            foreach ($statement as $row) {
                // Merely read.
            }
        }
    }
}

/** Fetches the rows of contacts as a recomputation does, and does nothing with them. */
function merelyReadContacts(int $accounts): void
{
    $pdo = DB::connection()->getPdo();
    for ($from = 1; $from <= $accounts; $from += 1000) {
        $to = $from + 999;
        $statement = $pdo->prepare(contactsSql($from, $to));
        $statement->execute();
        $statement->setFetchMode(PDO::FETCH_NUM);
        foreach ($statement as $row) {
            // Merely read.
        }
    }
}

function contactsSql(int $from, int $to): string
{
    return 'SELECT c.account_id, c.id, reading, title, type, NULL, state, chance, UNIX_TIMESTAMP(active_at) FROM '
        ."contacts c LEFT JOIN channels ON contact_id = c.id WHERE c.account_id BETWEEN $from AND $to AND "
        .'merged_into IS NULL ORDER BY c.account_id, c.id';
}
