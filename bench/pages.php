<?php

declare(strict_types=1);

use App\Models\User;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/**
 * What the server takes for each page of the demo, warm, and how large it is.
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
        'Team' => [$lead, '/team'], 'The log' => [$lead, '/log'], 'Is all well?' => [$lead, '/status'],
    ] as $name => [$who, $path]) {
        $times = [];
        $bytes = 0;
        for ($n = 0; $n < 11; $n++) {
            app()->forgetScopedInstances();
            Auth::guard('web')->setUser($who->refresh());
            $request = Request::create($path, 'GET', [], [], [], ['HTTP_HOST' => '127.0.0.1']);
            $times[] = 1000 * seconds(function () use ($request, &$bytes): void {
                $answer = app(Kernel::class)->handle($request);
                // As it goes over the wire.
                $bytes = strlen((string) gzencode((string) $answer->getContent(), 6));
                $answer->getStatusCode() === 200 || throw new LogicException("{$request->path()}: "
                    .$answer->getStatusCode().' '.$answer->exception?->getMessage());
            });
        }
        sort($times);
        $least = $least ?: $times[5];
        limit(
            sprintf('%s, %d KB, %.0f times the least, ms', $name, intdiv($bytes, 1024), $times[5] / $least), $times[5],
            $most,
        );
        $bytes < 102_400 || missed("$name has $bytes bytes");
    }
}
