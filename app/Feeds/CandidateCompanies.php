<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Intake\ByHand;
use App\Intake\UndoIntake;
use App\Models\Account;
use App\Models\CandidateCompany;
use App\Models\CandidateState;
use App\Models\FeedItem;
use App\Models\User;
use App\Support\AccountIds;
use App\Support\Bulk;
use App\Support\Together;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\CompanyName;

/** Companies that turned up in a source and are in no list: by their domain, or else by their name. */
final class CandidateCompanies
{
    /** @param  array<Brought>  $items  about nobody in the base */
    public static function see(array $items): void
    {
        $seen = $of = [];
        foreach ($items as $item) {
            $domain = $item->facts['domain'] ?? null;
            $name = (string) ($item->facts['employer'] ?? $domain ?? '');
            if ($name === '') {
                continue;
            }
            $mark = $domain === null ? self::markOfName(CompanyName::of($name)->key()) : sha1($domain);
            $of[$item->id] = $mark;
            $seen[$mark] = [
                'mark' => $mark, 'name' => mb_substr($name, 0, 190), 'domain' => $domain,
                'place' => isset($item->facts['place']) ? mb_substr((string) $item->facts['place'], 0, 100) : null,
                'country' => $item->facts['country'] ?? null,
                'agency' => $item->agency, 'last_at' => $item->at->toDateTimeString(),
                'created_at' => now(), 'updated_at' => now(),
            ] + ($seen[$mark] ?? []);
        }
        if ($seen === []) {
            return;
        }
        CandidateCompany::query()->upsert(array_values($seen), ['mark'], [
            'last_at' => DB::raw('GREATEST(last_at, VALUES(last_at))'), 'updated_at' => now(),
            'agency' => DB::raw('COALESCE(agency, VALUES(agency))'),
        ]);
        $ids = CandidateCompany::query()->whereIn('mark', array_keys($seen))->pluck('id', 'mark');
        Bulk::set('feed_items', 'candidate_company_id', array_map(fn (string $mark): int => $ids[$mark], $of));
    }

    /** By which a company without a domain is told. */
    public static function markOfName(string $key): string
    {
        return sha1("name $key");
    }

    /** It becomes an account, and what was seen of it counts. */
    public static function accept(CandidateCompany $candidate, User $by): Account
    {
        return Together::write(function () use ($candidate, $by): Account {
            [$account, $intake] = ByHand::account(null, array_filter([
                'name' => $candidate->name, 'domain' => $candidate->domain, 'country' => $candidate->country,
                'city' => $candidate->place, 'status' => $candidate->agency === null ? null : 'agency',
            ], is_string(...)), $by);
            $candidate->update([
                'state' => CandidateState::Accepted, 'user_id' => $by->id, 'account_id' => $account->id,
                'intake_id' => $intake->id,
            ]);
            self::again($candidate);

            return $account;
        }, $candidate);
    }

    /**
     * It is an account that is there under another name, or with another domain: what was seen of it counts there, and
     * what comes of it from now on too.
     */
    public static function match(CandidateCompany $candidate, Account $account, User $by): void
    {
        Together::write(function () use ($candidate, $account, $by): void {
            $candidate->update([
                'state' => CandidateState::Accepted, 'user_id' => $by->id, 'account_id' => $account->id,
            ]);
            self::again($candidate);
        }, $candidate);
    }

    public static function aside(CandidateCompany $candidate, User $by): void
    {
        $candidate->update(['state' => CandidateState::Aside, 'user_id' => $by->id]);
    }

    /** As if nothing had been decided. */
    public static function reopen(CandidateCompany $candidate): void
    {
        Together::write(function () use ($candidate): void {
            [$intake, $account] = [$candidate->intake, $candidate->account_id];
            $intake !== null || $account === null ?: self::gather($candidate, $account);
            $items = $candidate->items()->pluck('id');
            $candidate->update([
                'state' => CandidateState::Open, 'user_id' => null, 'account_id' => null, 'intake_id' => null,
            ]);
            if ($intake !== null) {
                // What feeds told of it is told anew of a candidate.
                DB::table('signals')->where('account_id', $account)->where('fed', true)->delete();
                (new UndoIntake)->run($intake);
            } elseif ($account !== null) {
                DB::table('signals')->where('account_id', $account)->where('fed', true)
                    ->whereIn('id', DB::table('signal_sources')->whereIn('feed_item_id', $items)->select('signal_id'))
                    ->whereNotIn('id', DB::table('signal_sources')->whereNotIn('feed_item_id', $items)
                        ->select('signal_id'))->delete();
                AccountIds::markStale([$account]);
            }
            self::again($candidate);
        }, $candidate);
    }

    /** What came of it while it was matched. */
    private static function gather(CandidateCompany $candidate, int $account): void
    {
        DB::table('feed_items')->where('account_id', $account)->whereNull('candidate_company_id')
            ->whereRaw(
                $candidate->domain === null
                    ? "JSON_VALUE(facts, '$.domain') IS NULL AND JSON_VALUE(facts, '$.employer') = ?"
                    : "JSON_VALUE(facts, '$.domain') = ?",
                [$candidate->domain ?? $candidate->name],
            )->update(['candidate_company_id' => $candidate->id]);
    }

    private static function again(CandidateCompany $candidate): void
    {
        $alike = [];
        foreach ($candidate->items()->with('feed')->get() as $item) {
            $alike[$item->feed_id.$item->kind->value][] = $item;
        }
        foreach ($alike as $items) {
            KeepItems::again(
                $items[0]->feed, $items[0]->kind, array_map(fn (FeedItem $item): int => $item->id, $items),
            );
        }
    }
}
