<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Standings\Standings;
use App\Support\Bulk;
use App\Support\LostRows;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\TestWith;
use Tests\TestCase;

/** One account with thousands of people and signals is computed and shown like any other. */
final class LargeAccountTest extends TestCase
{
    private const PEOPLE = 6000;

    private const SIGNALS = 2500;

    public function test_it_is_computed_whole_and_its_pages_stay_small(): void
    {
        $account = $this->large();
        (new Standings)->refresh();
        $standing = $this->standing($account);
        self::assertCount(self::PEOPLE + 1, $standing->contacts, 'nobody is cut off');
        self::assertCount(self::SIGNALS + 4, $standing->lines, 'no signal is cut off');
        $last = $account->contacts()->orderByDesc('id')->firstOrFail();
        $pages = [
            "/accounts/{$account->id}" => '5,901 more people',
            "/accounts/{$account->id}/reasons/new" => 'Tunhede',
            '/' => 'Tunhede',
            "/contacts/{$last->id}" => (string) $last->last_name,
        ];
        foreach ($pages as $page => $says) {
            $html = (string) $this->actingAs($this->rep)->get($page)->assertOk()->getContent();
            self::assertStringContainsString($says, $html, $page);
            self::assertLessThan(1_000_000, strlen($html), $page);
        }
    }

    public function test_those_placed_by_hand_are_seen_however_many_there_are(): void
    {
        $account = $this->large();
        (new Standings)->refresh();
        $last = $account->contacts()->orderByDesc('id')->firstOrFail();
        $page = "/accounts/{$account->id}";
        $this->actingAs($this->rep)->get($page)->assertDontSee("/contacts/{$last->id}\"", false);
        $this->actingAs($this->rep)->patch("$page/group/{$last->id}", ['part' => 'champion'])->assertRedirect();
        $this->actingAs($this->rep)->get($page)->assertSee("/contacts/{$last->id}\"", false);
    }

    #[TestWith([['long']])]
    #[TestWith([['', 'long']])]
    public function test_what_does_not_fit_its_column_is_no_silent_loss(array $names): void
    {
        $this->expectException(LostRows::class);
        $this->expectExceptionMessage('does not fit');
        RefreshDatabaseState::$migrated = false;
        Bulk::insert('accounts', ['name', 'domain'], array_map(
            fn (int $i, string $name): array => [str_repeat('Å', $name === 'long' ? 5000 : 3), "firm$i.example"],
            array_keys($names), $names,
        ));
    }

    private function large(): Account
    {
        $this->offer->rules?->update(['buyer_roles' => [
            ['name' => 'Maintenance', 'functions' => ['maintenance'], 'neighbours' => ['operations'], 'weight' => 1],
        ]]);
        $account = $this->tunhede();
        DB::unprepared('INSERT INTO contacts (account_id, first_name, last_name, title, reading)'
            ." SELECT {$account->id}, 'Ida', CONCAT('Sandmo', seq), title, reading FROM seq_1_to_".self::PEOPLE
            ." JOIN contacts ON contacts.account_id = {$account->id}");
        DB::unprepared('INSERT INTO signals (account_id, kind, occurred_at, title, strength, confidence, source, '
            .'fingerprint)'
            ." SELECT {$account->id}, 'hiring', '2026-11-01 08:00:00', CONCAT('Opening ', seq), 1, 1, 'postings', "
            .'UNHEX(SHA1(seq)) FROM seq_1_to_'
            .self::SIGNALS);
        $account->update(['stale' => true]);

        return $account;
    }
}
