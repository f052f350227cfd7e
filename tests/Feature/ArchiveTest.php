<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Archive\NotAnArchive;
use App\Archive\ReadArchive;
use App\Archive\WriteArchive;
use App\Finder\Search;
use App\Lists\KeepResults;
use App\Models\Account;
use App\Models\Approach;
use App\Models\IntakeKind;
use App\Models\LookUpService;
use App\Models\Reason;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\User;
use App\Standings\Standings;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use PDO;
use Tests\TestCase;
use ZipArchive;

/** Everything out as one archive, and into an empty Luftig: the same facts, ranking, reasons and results. */
final class ArchiveTest extends TestCase
{
    private const SECOND = 'luftig_second';

    private string $file;

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = sys_get_temp_dir().'/luftig-archive-'.getmypid().'.zip';
    }

    protected function tearDown(): void
    {
        array_map(fn (string $one): bool => is_file($one) && unlink($one), [$this->file, "$this->file.2"]);
        parent::tearDown();
    }

    public function test_what_went_out_comes_into_an_empty_one_and_goes_out_the_same(): void
    {
        $this->furnish();
        // An archive is of what was committed.
        DB::commit();
        try {
            $lines = WriteArchive::to($this->file);
            self::assertSame(1, $lines['accounts']);
            $before = $this->told();
            $this->in(self::SECOND, function () use ($lines, $before): void {
                self::assertSame($lines, ReadArchive::from($this->file));
                self::assertSame($before, $this->told());
                WriteArchive::to("$this->file.2");
                self::assertFalse(Hash::check('a long password', (string) User::query()->value('password')));
                self::assertNull(LookUpService::query()->sole()->secret);
                $this->refusedBecause('There are accounts here already', $this->file);
            });
            self::assertSame($this->contents($this->file), $this->contents("$this->file.2"));
            $this->isAsItSays();
        } finally {
            $this->artisan('migrate:fresh');
            DB::beginTransaction();
        }
    }

    /** Each line is as the schema says, and no secret is among them. */
    private function isAsItSays(): void
    {
        $contents = $this->contents($this->file);
        self::assertStringNotContainsString('a secret of theirs', implode($contents));
        self::assertStringNotContainsString('$2y$', implode($contents), 'no password');
        $schema = json_decode($contents['schema.json'], true);
        $checked = 0;
        foreach ($contents as $name => $text) {
            if (preg_match('#^tables/(\w+)\.jsonl$#', $name, $table) === 1) {
                $properties = $schema['$defs'][$table[1]]['properties'];
                foreach (array_filter(explode("\n", $text)) as $line) {
                    $row = json_decode($line, true);
                    self::assertSame(array_keys($properties), array_keys($row), $name);
                    foreach ($row as $column => $value) {
                        $type = match (true) {
                            $value === null => 'null', is_int($value) => 'integer', is_float($value) => 'number',
                            default => 'string',
                        };
                        self::assertContains($type, $properties[$column]['type'], "$name $column");
                        $checked++;
                    }
                }
            }
        }
        self::assertGreaterThan(300, $checked);
    }

    public function test_what_is_no_archive_or_was_changed_is_refused_and_nothing_is_lost(): void
    {
        $this->refusedBecause('is no archive that can be opened', '/nowhere.zip');
        file_put_contents($this->file, 'no zip at all');
        $this->refusedBecause('is no archive that can be opened', $this->file);
        $this->zip(['a.txt' => 'x']);
        $this->refusedBecause('no manifest that Luftig has written', $this->file);
        $this->zip(['manifest.json' => '{"format": "luftig-archive", "version": 1, "base": "of old"}']);
        $this->refusedBecause('another version of Luftig', $this->file);
        WriteArchive::to($this->file);
        $zip = new ZipArchive;
        $zip->open($this->file);
        $zip->addFromString('tables/users.jsonl', (string) $zip->getFromName('tables/users.jsonl')."{}\n");
        $zip->close();
        $this->refusedBecause('Of users not all is there, or it was changed', $this->file);
        $this->artisan('luftig:import', ['file' => $this->file])
            ->expectsOutputToContain('Nothing was changed.')->assertFailed();
        self::assertSame('Mira', $this->rep->refresh()->name);
        $this->artisan('luftig:export', ['file' => $this->file])->expectsOutputToContain('tables are in')
            ->assertSuccessful();
    }

    private function furnish(): void
    {
        $account = $this->tunhede();
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;title;email\n"
            ."tunhede.example;Żaneta;Ørsted-Łęcka;Planner;zaneta@tunhede.example\n");
        LookUpService::factory()->create(['name' => 'Finder', 'secret' => 'a secret of theirs']);
        $this->actingAs($this->rep)->post(route('reasons.store', $account), [
            'contact' => $account->contacts()->value('id'),
            'signals' => [(string) Signal::query()->value('id')],
            'words' => "Hello, two\nlines\tand “marks” \\ / é.",
        ])->assertSessionHasNoErrors();
        Approach::factory()->create([
            'offer_id' => $this->offer->id, 'account_id' => $account->id, 'user_id' => $this->rep->id,
            'result' => 'meeting',
        ]);
        (new Standings)->all();
        KeepResults::asList($this->offer, Search::from($this->offer, ['on' => 'contacts']), 'All', $this->rep);
    }

    /** @return array<string, mixed> what one would see of it */
    private function told(): array
    {
        return [
            'ranking' => Standing::query()->orderBy('account_id')->get(['priority', 'points', 'fit', 'act_by', 'state'])
                ->map(fn (Standing $one): array => $one->getAttributes())->all(),
            'reasons' => Reason::query()->orderBy('id')->pluck('words')->all(),
            'results' => Approach::query()->orderBy('id')->toBase()->pluck('result')->all(),
            'accounts' => Account::query()->orderBy('id')->pluck('name')->all(),
        ];
    }

    private function in(string $database, callable $do): void
    {
        $server = new PDO('mysql:host=127.0.0.1;port='.getenv('DB_PORT'), 'luftig', '');
        $server->exec("DROP DATABASE IF EXISTS $database");
        $server->exec("CREATE DATABASE $database CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
        $before = config('database.connections.mariadb.database');
        config(['database.connections.mariadb.database' => $database]);
        DB::purge();
        try {
            $this->artisan('migrate', ['--force' => true]);
            $do();
        } finally {
            config(['database.connections.mariadb.database' => $before]);
            DB::purge();
            $server->exec("DROP DATABASE $database");
        }
    }

    private function refusedBecause(string $why, string $file): void
    {
        try {
            ReadArchive::from($file);
            self::fail("It came in, though $why.");
        } catch (NotAnArchive $e) {
            self::assertStringContainsString($why, $e->getMessage());
        }
    }

    /** @param  array<string, string>  $files */
    private function zip(array $files): void
    {
        unlink($this->file);
        $zip = new ZipArchive;
        $zip->open($this->file, ZipArchive::CREATE);
        foreach ($files as $name => $text) {
            $zip->addFromString($name, $text);
        }
        $zip->close();
    }

    /** @return array<string, string> name → text, without the time of export */
    private function contents(string $file): array
    {
        $zip = new ZipArchive;
        $zip->open($file);
        $contents = [];
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $name = (string) $zip->getNameIndex($i);
            $contents[$name] = (string) preg_replace('/"made_at": "[^"]+"/', '', (string) $zip->getFromIndex($i));
        }
        ksort($contents);

        return $contents;
    }
}
