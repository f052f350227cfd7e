<?php

declare(strict_types=1);

namespace App\Lists;

use App\Events\NewcomersFound;
use App\Finder\Search;
use App\Models\Offer;
use App\Models\Rhythm;
use App\Models\User;
use App\Models\Watch;
use App\Support\Bulk;
use App\Support\Together;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Search\Subject;
use Throwable;

/** Runs searches by themselves and keeps the newcomers, each with what made it new. */
final class RunWatch
{
    /**
     * @param  array{name: string, rhythm: Rhythm, weekday: int, hour: int, time_zone: string, mailed: bool}  $says
     */
    public static function begin(Offer $offer, Search $search, User $by, array $says): Watch
    {
        $now = CarbonImmutable::now();

        return Together::write(function () use ($offer, $search, $by, $says, $now): Watch {
            $watch = Watch::query()->make($says + [
                'offer_id' => $offer->id, 'user_id' => $by->id, 'subject' => $search->subject->value,
                'search' => http_build_query($search->parameters()), 'ran_at' => $now,
            ]);
            $watch->next_at = $watch->nextAfter($now);
            $watch->save();
            $ids = $search->ids();
            self::keep($watch, $ids, array_fill_keys($ids, null), $now);

            return $watch;
        });
    }

    /** @param  array<string, mixed>  $says  name, rhythm, weekday, hour, time_zone, mailed */
    public static function change(Watch $watch, array $says): void
    {
        $watch->fill($says);
        $watch->next_at = $watch->nextAfter(CarbonImmutable::now());
        $watch->save();
    }

    /** Another search from now on; who is found by it today is not new, and who was found before stays. */
    public static function research(Watch $watch, Search $search): void
    {
        Together::write(function () use ($watch, $search): void {
            $watch->update(['search' => http_build_query($search->parameters())]);
            $known = DB::table('watch_finds')->where('watch_id', $watch->id)->pluck('record_id')->all();
            $ids = array_values(array_diff($search->ids(), $known));
            self::keep($watch, $ids, array_fill_keys($ids, null), CarbonImmutable::now());
        }, $watch);
    }

    /** Those whose time has come; runs that were missed are caught up once. */
    public static function runDue(): void
    {
        foreach (
            Watch::query()->with('offer.rules')->where('next_at', '<=', now())->orderBy('next_at')->get() as $watch
        ) {
            try {
                self::run($watch);
            } catch (Throwable $e) {
                // One that fails keeps none of the others from running, and is tried again at its next time.
                report($e);
                $watch->update(['next_at' => $watch->nextAfter(CarbonImmutable::now())]);
            }
        }
    }

    private static function run(Watch $watch): void
    {
        $now = CarbonImmutable::now();
        parse_str($watch->search, $query);
        $search = Search::from($watch->offer, $query);
        $ids = $search->ids();
        Together::write(function () use ($watch, $search, $ids, $now): void {
            $watch = Watch::query()->lockForUpdate()->findOrFail($watch->id);
            if ($watch->next_at > $now) {
                return;
            }
            $known = DB::table('watch_finds')->where('watch_id', $watch->id)->pluck('record_id')->all();
            $new = array_values(array_diff($ids, $known));
            $why = self::whatMadeThemNew($search->subject, $new, $watch->ran_at);
            self::keep($watch, $new, $why, $now);
            if ($new !== []) {
                NewcomersFound::dispatch($watch, $why, $watch->ran_at);
            }
            $watch->update(['ran_at' => $now, 'next_at' => $watch->nextAfter($now)]);
        }, $watch);
    }

    /**
     * @param  list<int>  $ids
     * @param  array<int, string|null>  $why
     */
    private static function keep(Watch $watch, array $ids, array $why, CarbonImmutable $now): void
    {
        Bulk::insert(
            'watch_finds',
            ['watch_id', 'record_id', 'why', 'found_at', 'unread'],
            array_map(
                fn (int $id): array => [$watch->id, $id, $why[$id], $now->toDateTimeString(), $why[$id] !== null],
                $ids,
            ),
        );
    }

    /**
     * A new record, a new signal, or a value that changed.
     *
     * @param  list<int>  $ids
     * @return array<int, string>
     */
    private static function whatMadeThemNew(Subject $subject, array $ids, CarbonImmutable $since): array
    {
        $why = [];
        foreach (array_chunk($ids, 1000) as $chunk) {
            $accounts = $subject === Subject::Accounts
                ? array_combine($chunk, $chunk)
                : DB::table('contacts')->whereIn('id', $chunk)->pluck('account_id', 'id')->all();
            $born = DB::table($subject->value)->whereIn('id', $chunk)->where('created_at', '>', $since)->pluck('id')
                ->flip();
            $signals = DB::table('signals')->whereIn('account_id', array_values($accounts))
                ->where('created_at', '>', $since)->orderBy('occurred_at')->pluck('title', 'account_id');
            foreach ($chunk as $id) {
                $signal = $signals[$accounts[$id] ?? 0] ?? null;
                $why[$id] = match (true) {
                    isset($born[$id]) => 'new in the base',
                    $signal !== null => mb_substr("new signal: $signal", 0, 255),
                    default => 'a value changed',
                };
            }
        }

        return $why;
    }
}
