<?php

declare(strict_types=1);

namespace Tests;

use App\Intake\Importer;
use App\Intake\ReceiveFile;
use App\Models\Account;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\Offer;
use App\Models\Role;
use App\Models\Standing;
use App\Models\User;
use App\Standings\Standings;
use Carbon\Carbon;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Foundation\Testing\WithCachedConfig;
use Illuminate\Foundation\Testing\WithCachedRoutes;
use Illuminate\Support\Facades\File;

/** A base with one offer and a clock that stands at a Monday morning. */
abstract class TestCase extends LaravelTestCase
{
    use RefreshDatabase, WithCachedConfig, WithCachedRoutes;

    protected const NOW = '2026-11-23T09:00:00Z';

    protected Offer $offer;

    /** @var list<array{IntakeKind, string}> */
    protected array $brought = [];

    protected User $rep;

    protected User $lead;

    protected function setUp(): void
    {
        parent::setUp();
        $this->at(self::NOW);
        activity()->disableLogging();
        $this->rep = $this->person('Mira', Role::Rep);
        $this->lead = $this->person('Ylva', Role::Lead);
        $this->offer = Offer::factory()->create(['name' => 'Leak survey']);
        $this->offer->ruleSets()->create(['version' => 1, 'kinds' => [], 'criteria' => [
            ['name' => 'makes things', 'field' => 'industries', 'mode' => 'must', 'any' => ['C']],
            ['name' => 'size', 'field' => 'headcount', 'mode' => 'prefer', 'weight' => 2, 'range' => [40, 1500]],
            ['name' => 'shifts', 'field' => 'text', 'mode' => 'prefer', 'weight' => 1, 'query' => '"three shifts"'],
        ]]);
    }

    /** In a base that is made anew offers are counted from the beginning, and would find indexes of others. */
    protected function beforeRefreshingDatabase(): void
    {
        RefreshDatabaseState::$migrated || File::deleteDirectory(config()->string('luftig.finder'));
    }

    /** Somebody else sits down at a browser of their own. */
    public function actingAs(Authenticatable $user, $guard = null): static
    {
        session()->forget('password_hash_web');

        return parent::actingAs($user, $guard);
    }

    protected function at(string $time): void
    {
        Carbon::setTestNow($time);
        CarbonImmutable::setTestNow($time);
    }

    protected function person(string $name, Role $role): User
    {
        return User::factory()->create([
            'name' => $name, 'email' => strtolower($name).'@blasvik.example', 'password' => 'a long password',
            'role' => $role,
        ])
            ->refresh();
    }

    /** Takes a text in as a file would be. */
    protected function bring(IntakeKind $kind, string $text, ?User $by = null): Intake
    {
        $this->brought[] = [$kind, $text];
        $intake = $this->receive($kind, $text, $by);
        (new Importer)->run($intake);

        return $intake->refresh();
    }

    protected function receive(IntakeKind $kind, string $text, ?User $by = null): Intake
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'luftig');
        file_put_contents($path, $text);
        $intake = ReceiveFile::file($path, $kind->value.'.csv', $by ?? $this->rep, $kind);
        unlink($path);
        $intake->update(['state' => IntakeState::Queued]);

        return $intake;
    }

    /** Glasverk Tunhede with the signals of the worked example. */
    protected function tunhede(): Account
    {
        $this->bring(
            IntakeKind::Accounts,
            "domain;name;industry;headcount;country;city;keywords\n"
                ."tunhede.example;Glasverk Tunhede;glass;420;Denmark;Hobro;three shifts\n",
        );
        $this->bring(
            IntakeKind::Contacts,
            "domain;first name;last name;title;email;email state\n"
                ."tunhede.example;Pernille;Askov-Rye;Head of Maintenance;pernille@tunhede.example;valid\n",
        );
        $this->bring(IntakeKind::Signals, "domain;kind;date;title;strength;confidence;person\n"
            ."tunhede.example;funding;2026-11-17T09:00:00Z;Round B;.5;1;\n"
            ."tunhede.example;hiring;2026-11-20T09:00:00Z;Planners sought;.75;.9;\n"
            ."tunhede.example;hiring;2026-10-14T09:00:00Z;Engineer sought;.5;.9;\n"
            ."tunhede.example;new_leader;2026-11-03T09:00:00Z;Pernille joined;1;1;pernille@tunhede.example\n");
        (new Standings)->refresh();

        return Account::query()->where('domain', 'tunhede.example')->firstOrFail();
    }

    protected function standing(Account|string $account): Standing
    {
        $id = is_string($account) ? Account::query()->where('domain', $account)->firstOrFail()->id : $account->id;

        return Standing::query()->where('account_id', $id)->where('offer_id', $this->offer->id)->firstOrFail();
    }
}
