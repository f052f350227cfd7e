<?php

declare(strict_types=1);

/* Standings and the contacts in them, against merely reading the rows. */

use App\Models\Account;
use App\Models\Offer;
use App\Models\Standing;
use App\Standings\Standings;
use Database\Demo\Rulebooks;
use Illuminate\Support\Facades\DB;

function standings(int $accounts, bool $measured = true): void
{
    $offer = Offer::query()->create(['name' => 'Leak survey']);
    $rules = Rulebooks::all()['Leak survey'];
    $roles = ['buyer_roles' => $rules['buyer_roles'], 'roles_of_interest' => $rules['roles_of_interest']];
    $offer->ruleSets()->create(['version' => 1, 'criteria' => $rules['criteria'], 'kinds' => $rules['kinds']] + $roles);
    if (! $measured) {
        (new Standings)->all();

        return;
    }
    merelyRead($accounts);
    $read = min(seconds(fn () => merelyRead($accounts)), seconds(fn () => merelyRead($accounts)));
    say(sprintf('Merely reading the rows: %.2f s', $read));
    $first = seconds(fn () => (new Standings)->all());
    $again = seconds(fn () => (new Standings)->all());
    say(sprintf('Standings computed and stored: %.2f s the first time, %.2f s over what is there', $first, $again));
    limit('Standings the first time, × reading', $first / $read, 2);
    limit('Standings over what is there, × reading', $again / $read, 1.6);
    ranked($accounts, $again, $offer);

    $account = Account::query()->findOrFail(intdiv($accounts, 2));
    $one = seconds(function () use ($account, $offer): void {
        $account->update(['headcount' => 321, 'stale' => true]);
        (new Standings)->refresh();
        Standing::query()->where('offer_id', $offer->id)->where('account_id', $account->id)->firstOrFail();
    });
    limit('One changed account, computed and read back, s', $one, 2);
}

/** What the contacts cost in the same run: the run with them less one without, against merely reading them. */
function ranked(int $accounts, float $whole, Offer $offer): void
{
    $read = min(seconds(fn () => merelyReadContacts($accounts)), seconds(fn () => merelyReadContacts($accounts)));
    $sum = Standing::query()->where('offer_id', $offer->id)
        ->selectRaw('SUM(signs_off + shapes + champion + user + next_door) AS n')->toBase()->value('n');
    $sum = (int) $sum;
    DB::statement('RENAME TABLE contacts TO contacts_away');
    DB::statement('CREATE TABLE contacts LIKE contacts_away');
    $without = seconds(fn () => (new Standings)->all());
    DB::statement('DROP TABLE contacts');
    DB::statement('RENAME TABLE contacts_away TO contacts');
    say(sprintf(
        '%s contacts ranked within their accounts in that run: %.2f s; merely reading them: %.2f s',
        number_format($sum),
        $whole - $without,
        $read,
    ));
    limit('Contacts, × reading', ($whole - $without) / $read, 1.5);
    (new Standings)->all();
}
