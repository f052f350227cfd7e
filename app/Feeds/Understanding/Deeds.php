<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Contacts\Fingerprints;
use App\Feeds\Brought;
use App\Feeds\KeepSignals;
use App\Feeds\Understanding;
use App\Feeds\Wanted;
use App\Intake\Candidates;
use App\Intake\Ledger;
use App\Models\Feed;
use App\Models\ItemState;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Strength;
use stdClass;

/**
 * What people did with posts: a signal of whoever is a contact, by their profile, one for each post, of the most that
 * they did; whoever is nobody's contact is a candidate.
 */
final class Deeds implements Understanding
{
    private const SAYS = [
        'wrote' => 'Wrote', 'commented' => 'Commented on', 'passed on' => 'Passed on', 'reacted' => 'Reacted to',
    ];

    private const SAME_DAYS = 30;

    public function __construct(private readonly Fingerprints $erased = new Fingerprints)
    {
    }

    public function take(Feed $feed, array $items): int
    {
        $people = DB::table('contacts')->leftJoin('contacts AS kept', 'kept.id', '=', 'contacts.merged_into')
            ->whereIn('contacts.profile', array_map(fn (Brought $one): string => $one->facts['profile'], $items))
            ->selectRaw('LOWER(contacts.profile) AS profile, COALESCE(kept.id, contacts.id) AS id')
            ->selectRaw('COALESCE(kept.account_id, contacts.account_id) AS account')->get()->keyBy('profile');
        $wanted = $candidates = $active = [];
        foreach ($items as $item) {
            $person = $people[mb_strtolower($item->facts['profile'])] ?? null;
            if ($person !== null) {
                $item->becomes(ItemState::Taken, 'By their profile.', $person->account);
                $one = $this->wanted($feed, $item, $person);
                if ($one->strength >= ($wanted[$one->mark]->strength ?? 0)) {
                    $wanted[$one->mark] = $one;
                }
                $active[$person->id] = max($active[$person->id] ?? '', $item->at->toDateTimeString());
            } elseif ($this->erased->hasErased([$item->facts['profile']])) {
                $item->forget();
            } else {
                $item->becomes(ItemState::Dropped, 'Nobody has this profile: kept as a candidate.');
                $candidates[$item->id] = self::candidate($feed, $item);
            }
        }
        // What feeds bring is no intake that could be undone.
        (new Candidates)->keep($candidates, new Ledger(0));
        foreach ($active as $contact => $at) {
            DB::table('channels')->where('contact_id', $contact)->where('type', 'social')
                ->where(fn ($either) => $either->whereNull('active_at')->orWhere('active_at', '<', $at))
                ->update(['active_at' => $at]);
        }

        return KeepSignals::keep($this->greatest(array_values($wanted)));
    }

    private function wanted(Feed $feed, Brought $item, stdClass $person): Wanted
    {
        $post = (string) ($item->facts['post'] ?? '');
        $about = isset($item->facts['topic'])
            ? "“{$item->facts['topic']}”" : 'a post: '.preg_replace('~^https?://~', '', $post);

        return new Wanted(
            sha1("post|{$person->id}|$post"),
            $person->account,
            Kind::PostEngagement,
            self::SAYS[$item->facts['deed']]." $about",
            $item->at,
            Strength::ofEngagement($item->facts['deed']),
            [$item->id => [$feed->confidence, 'By their profile.']],
            $feed->name,
            $post,
            $item->facts['quote'] ?? null,
            ['deed' => $item->facts['deed']] + (isset($item->facts['topic']) ? ['topic' => $item->facts['topic']] : []),
            contact: $person->id,
            isSame: fn (stdClass $other): bool => $other->contact_id === $person->id && $other->link === $post,
            days: self::SAME_DAYS,
            confidence: $feed->confidence,
        );
    }

    /**
     * Of two deeds under one post the greater counts, whichever came first.
     *
     * @param  list<Wanted>  $wanted
     * @return list<Wanted>
     */
    private function greatest(array $wanted): array
    {
        $marks = array_map(fn (Wanted $one): string => $one->mark, $wanted);
        $there = DB::table('signals')->whereIn('fingerprint', $marks)
            ->pluck('strength', 'fingerprint')->all();

        return array_values(array_filter(
            $wanted,
            fn (Wanted $one): bool => $one->strength >= ($there[$one->mark] ?? 0.0),
        ));
    }

    /** @return array<string, mixed> */
    private static function candidate(Feed $feed, Brought $item): array
    {
        return [
            'profile' => mb_substr($item->facts['profile'], 0, 190),
            'name' => mb_substr($item->facts['name'] ?? $item->facts['profile'], 0, 201),
            'company' => isset($item->facts['company']) ? mb_substr($item->facts['company'], 0, 190) : null,
            'title' => isset($item->facts['title']) ? mb_substr($item->facts['title'], 0, 255) : null,
            'link' => mb_substr((string) ($item->facts['post'] ?? ''), 0, 190), 'deed' => $item->facts['deed'],
            'occurred_at' => $item->at->toDateTimeString(),
            'topic' => isset($item->facts['topic']) ? mb_substr($item->facts['topic'], 0, 190) : null,
            'quote' => $item->facts['quote'] ?? null, 'source' => mb_substr($feed->name, 0, 80),
        ];
    }
}
