<?php

declare(strict_types=1);

use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/**
 * What the server takes for each page of the demo, warm, and how large it is; beside it what it takes to make it anew.
 *
 * @param  int  $most  milliseconds
 */
function pages(int $most): void
{
    $rep = User::query()->where('name', 'like', 'Mira%')->firstOrFail();
    $lead = User::query()->where('role', 'lead')->firstOrFail();
    $first = fn (string $table): int => (int) DB::table($table)->orderBy('id')->value('id');
    $account = (int) DB::table('standings')->orderByDesc('points')->value('account_id');
    $contact = (int) DB::table('contacts')->where('account_id', $account)->value('id');
    // What a page takes that shows nothing: by it the machines of two runs are told apart.
    $least = 0.0;
    foreach ([
        'the least' => [$rep, '/up'], 'Today' => [$rep, '/'],
        'Accounts' => [$rep, '/accounts'], 'an account' => [$rep, "/accounts/$account"],
        'Contacts' => [$rep, '/contacts'], 'a contact' => [$rep, "/contacts/$contact"],
        'Finder' => [$rep, '/finder?on=contacts&c[0][f]=kept_out&c[0][x]=1&c[1][f]=headcount&c[1][lo]=40'],
        'Lists' => [$rep, '/lists'], 'Network' => [$rep, '/network'], 'Reasons' => [$rep, '/reasons'],
        'a new reason' => [$rep, "/accounts/$account/reasons/new"], 'Results' => [$rep, '/results'],
        'Intake' => [$rep, '/intake'], 'Candidates' => [$rep, '/candidates'], 'Look-ups' => [$rep, '/look-ups'],
        'Alike' => [$rep, '/alike'], 'Keep-out' => [$rep, '/keep-out'], 'My alerts' => [$rep, '/alerts'],
        'My pace' => [$rep, '/pace'], 'a signal' => [$rep, '/signals/'.$first('signals')],
        'Rules' => [$lead, '/rules/'.$first('offers')], 'Angles' => [$lead, '/rules/'.$first('offers').'/angles'],
        'Team' => [$lead, '/team'], 'The log' => [$lead, '/log'],
        'Is all well?' => [$lead, '/status'],
        'what results say' => [$lead, '/results/learned'], 'first steps' => [$lead, '/begin'],
        'words' => [$rep, '/finder/words?on=accounts&c[0][f]=headcount&c[0][lo]=40'],
        'earlier rules' => [$lead, '/rules/versions/'.$first('rule_sets')],
        'the picture' => [$rep, '/accounts/picture'],
    ] as $name => [$who, $path]) {
        // Anew, as after something was written that is on it; then as it is shown to whoever comes back to it.
        config(['luftig.keep_pages' => false]);
        [$anew] = page($who, $path);
        config(['luftig.keep_pages' => true]);
        [$warm, $bytes] = page($who, $path);
        $least = $least ?: $warm;
        limit(
            sprintf(
                '%s, %d KB, %.1f times the least (made anew: %.1f ms), ms', $name, intdiv($bytes, 1024), $warm / $least,
                $anew,
            ), $warm, $most,
        );
        $bytes < 102_400 || missed("$name has $bytes bytes");
    }
}

/** @return array{float, int} what it takes in the median, in milliseconds, and its bytes as they go over the wire */
function page(User $who, string $path): array
{
    $times = [];
    $answer = null;
    for ($n = 0; $n < 11; $n++) {
        app()->forgetScopedInstances();
        Auth::guard('web')->setUser($who->refresh());
        $request = Request::create($path, 'GET', [], [], [], ['HTTP_HOST' => '127.0.0.1']);
        $times[] = 1000 * seconds(function () use ($request, &$answer): void {
            $answer = app(Kernel::class)->handle($request);
        });
        $answer?->getStatusCode() === 200
            || throw new LogicException("$path: {$answer?->getStatusCode()} {$answer?->exception?->getMessage()}");
    }
    sort($times);

    return [$times[5], strlen((string) gzencode((string) $answer?->getContent(), 6))];
}
