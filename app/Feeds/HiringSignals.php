<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\Offer;
use App\Standings\RuleBook;
use App\Support\AccountIds;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Opening;
use Luftig\Core\Signal\Openings;
use Luftig\Core\Signal\Posting;
use Luftig\Core\Signal\RoleOfInterest;
use Luftig\Core\Text\Excerpt;
use stdClass;

/**
 * One hiring signal for each account and role of interest, dated by its newest opening (rule 2). It counts the openings
 * that are open; once none is, it stays as it was, and ages.
 */
final class HiringSignals
{
    private const CHUNK = 500;

    /** Two that tell of one role within so many days tell of the same. */
    private const SAME_DAYS = 45;

    /** How sure it is whose a posting is, by the name of the employer alone. */
    private const BY_NAME = .6;

    /** What an agency says of its client is a weak hint (rule 17). */
    private const FOR_CLIENT = .4;

    private const QUOTE = 400;

    /**
     * @param  list<int>  $accounts
     * @return int how many are new
     */
    public static function renew(array $accounts): int
    {
        if ($accounts === []) {
            return 0;
        }
        $postings = OpeningsOf::postings($accounts);
        $sources = DB::table('feeds')->pluck('confidence', 'id')->all();
        $names = DB::table('feeds')->pluck('name', 'id')->all();
        $wanted = [];
        foreach (Offer::query()->with('rules')->get() as $offer) {
            $roles = $offer->rules === null ? [] : RuleBook::of($offer->rules)->interests;
            foreach ($roles as $role) {
                foreach ($postings as $account => $rows) {
                    $open = array_filter($rows, fn (stdClass $row): bool => self::isOpen($row));
                    $counting = array_values(array_filter(
                        Openings::of(array_values(array_map(OpeningsOf::posting(...), $open)), $role),
                        fn (Opening $one): bool => $one->counts > 0 && self::isOf($one, $role, $roles),
                    ));
                    if ($counting !== []) {
                        $wanted[] = self::signal($account, $offer->id, $role, $counting, $rows, $sources, $names);
                    }
                }
            }
        }

        return KeepSignals::keep($wanted);
    }

    /** After roles of interest changed: those of roles that are no more go. */
    public static function renewAll(): void
    {
        $names = [];
        foreach (Offer::query()->with('rules')->get() as $offer) {
            foreach ($offer->rules === null ? [] : RuleBook::of($offer->rules)->interests as $role) {
                $names["$offer->id $role->name"] = true;
            }
        }
        $gone = DB::table('signals')->where('kind', Kind::Hiring->value)->where('fed', true)
            ->get(['id', 'account_id', 'offer_id', 'facts'])
            ->reject(fn (stdClass $row): bool => isset(
                $names[$row->offer_id.' '.(json_decode((string) $row->facts, true)['role'] ?? '')],
            ));
        DB::table('signals')->whereIn('id', $gone->pluck('id'))->delete();
        AccountIds::markStale($gone->pluck('account_id')->all());
        DB::table('openings')->distinct()->orderBy('account_id')->pluck('account_id')->chunk(self::CHUNK)
            ->each(fn ($accounts) => self::renew(array_values($accounts->all())));
    }

    /**
     * An opening that another role names by its title is that one's, even if its text speaks of this one too: nobody is
     * told twice of one opening.
     *
     * @param  list<RoleOfInterest>  $roles
     */
    private static function isOf(Opening $opening, RoleOfInterest $role, array $roles): bool
    {
        $title = $opening->newest()->title;

        return $role->titleMatches($title)
            || array_filter($roles, fn (RoleOfInterest $one): bool => $one->titleMatches($title)) === [];
    }

    private static function isOpen(stdClass $row): bool
    {
        $end = OpeningsOf::end($row);

        return $end === null || $end > CarbonImmutable::now()->toDateTimeString();
    }

    /**
     * @param  non-empty-list<Opening>  $openings
     * @param  array<int, stdClass>  $rows
     * @param  array<int, float>  $sure  feed → confidence
     * @param  array<int, string>  $names
     */
    private static function signal(
        int $account,
        int $offer,
        RoleOfInterest $role,
        array $openings,
        array $rows,
        array $sure,
        array $names,
    ): Wanted {
        $postings = array_merge(...array_map(fn (Opening $one): array => $one->postings, $openings));
        usort($postings, fn (Posting $a, Posting $b): int => $a->at <=> $b->at);
        $newest = $postings[count($postings) - 1];
        $row = $rows[$newest->id];
        $sources = [];
        foreach ($postings as $posting) {
            $own = $rows[$posting->id];
            [$most, $because] = match (true) {
                $own->client !== null => [self::FOR_CLIENT, 'An agency seeks; for whom a person has said.'],
                isset($own->facts['domain']) => [1.0, "By the domain {$own->facts['domain']}."],
                default => [self::BY_NAME, 'By the name of the employer.'],
            };
            $sources[(int) $posting->id] = [min($sure[$own->feed_id] ?? 0.0, $most), $because];
        }
        $many = count($openings);
        $text = $row->facts['text'] ?? '';

        return new Wanted(
            sha1("hiring|$account|$offer|{$role->name}"),
            $account,
            Kind::Hiring,
            $many === 1 ? "{$newest->title} sought" : "{$newest->title} sought, one of $many openings",
            CarbonImmutable::createFromTimestampUTC((int) $newest->at),
            Openings::strength($openings),
            $sources,
            $names[$row->feed_id] ?? 'postings',
            $row->link,
            $text === '' ? null : mb_strimwidth(
                ($role->text === null ? null : Excerpt::of($text, $role->text)) ?? $text, 0, self::QUOTE, '…',
            ),
            ['role' => $role->name, 'openings' => $many],
            CarbonImmutable::createFromTimestampUTC((int) $postings[0]->at),
            $role->functions,
            $offer,
            isSame: fn (stdClass $other): bool => $role->titleMatches($other->title),
            days: self::SAME_DAYS,
            confidence: max(array_column($sources, 0)),
        );
    }
}
