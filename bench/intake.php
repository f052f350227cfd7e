<?php

declare(strict_types=1);

/* Intake of a file, against the database reading the same rows. */

use App\Intake\Importer;
use App\Intake\ReceiveFile;
use App\Models\IntakeKind;
use App\Standings\Standings;
use App\Support\Gazetteer;
use Illuminate\Support\Facades\DB;

function intake(int $rows): void
{
    DB::statement('SET FOREIGN_KEY_CHECKS = 0');
    foreach (
        [
            'account_technology', 'standings', 'signals', 'channels', 'contacts', 'places', 'account_industry',
            'technologies', 'accounts',
        ] as $table
    ) {
        DB::table($table)->truncate();
    }
    DB::statement('SET FOREIGN_KEY_CHECKS = 1');
    Gazetteer::load();
    $csv = sys_get_temp_dir().'/luftig-bench.csv';
    $file = fopen($csv, 'wb') ?: exit(1);
    fwrite(
        $file,
        "domain;name;industry;headcount;growth;revenue;country;city;sites;technologies;keywords;description\n",
    );
    for ($i = 1; $i <= $rows; $i++) {
        $city = ['Hobro', 'Gothenburg', 'Wismar', 'Halden', 'Emmen'][$i % 5];
        $land = ['Denmark', 'Sweden', 'Germany', 'Norway', 'Netherlands'][$i % 5];
        $technology = ['Vedliko Plan', 'Tryklog', 'Ordvika'][$i % 3];
        fwrite(
            $file,
            "firm$i.example;Firm $i GmbH;".['glass', 'Kunststoff', 'papper', 'metal goods'][$i % 4].';'.(10 + $i % 2000)
                .';4,5 %;EUR '.(1 + $i % 90).",5 Mio;$land;$city;".(1 + $i % 4)
                .";$technology;three shifts; \"Makes parts in $city, day and night.\"\n",
        );
    }
    fclose($file);
    $intake = null;
    $took = seconds(function () use ($csv, &$intake): void {
        $intake = ReceiveFile::file($csv, 'accounts.csv', null, IntakeKind::Accounts);
        $intake->update(['state' => 'queued']);
        (new Importer)->run($intake);
    });
    $intake->refresh();
    say(
        sprintf(
            'Intake of %s accounts: %.2f s (%s new, %s not taken)',
            number_format($rows),
            $took,
            number_format($intake->created),
            number_format($intake->rejected),
        ),
    );

    $pdo = new PDO(
        'mysql:host=127.0.0.1;port='.getenv('DB_PORT').';dbname=luftig_bench;charset=utf8mb4',
        'luftig',
        '',
        [PDO::MYSQL_ATTR_LOCAL_INFILE => true, PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
    );
    $load = 0.0;
    foreach (['accounts', 'account_industry', 'places', 'account_technology'] as $table) {
        $out = sys_get_temp_dir()."/luftig-bench-$table.tsv";
        $to = fopen($out, 'wb') ?: exit(1);
        foreach ($pdo->query("SELECT * FROM $table", PDO::FETCH_NUM) as $row) {
            fwrite(
                $to,
                implode("\t", array_map(
                    fn ($value): string => $value === null ? '\N' : addcslashes((string) $value, "\t\n\\"),
                    $row,
                ))
                    ."\n",
            );
        }
        fclose($to);
        // The same columns, keys and foreign keys; only the names of the keys differ.
        $create = $pdo->query("SHOW CREATE TABLE $table")->fetchColumn(1);
        $pdo->exec((string) preg_replace(
            ["/CREATE TABLE `$table`/", '/CONSTRAINT `/'],
            ["CREATE TABLE `load_$table`", 'CONSTRAINT `load_'],
            (string) $create,
        ));
        $load += seconds(fn () => $pdo->exec(
            'LOAD DATA LOCAL INFILE '.$pdo->quote($out)." INTO TABLE load_$table CHARACTER SET utf8mb4",
        ));
        unlink($out);
    }
    unlink($csv);
    say(sprintf('LOAD DATA of the same rows into the same tables: %.2f s', $load));
    limit('Intake, × LOAD DATA', $took / $load, 4);

    $standing = seconds(fn () => (new Standings)->refresh());
    say(sprintf('Standings of what came in: %.2f s', $standing));
}
