<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Contacts\Fingerprints;
use App\Feeds\Brought;
use App\Feeds\Caring;
use App\Feeds\KeepItems;
use App\Feeds\KeepSignals;
use App\Feeds\Understanding;
use App\Feeds\Wanted;
use App\Intake\Candidates;
use App\Intake\Ledger;
use App\Models\Feed;
use App\Models\ItemKind;
use App\Models\ItemState;
use App\Standings\RuleBook;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Strength;
use Luftig\Core\Signal\Topic;
use stdClass;

/**
 * What people did with posts on one of our topics: a signal of whoever is a contact, by their profile, one for each
 * post, of the most that they did; whoever is nobody's contact is a candidate.
 */
final class Deeds implements Understanding
{
    private const SAYS = [
        'wrote' => 'Wrote', 'commented' => 'Commented on', 'passed on' => 'Passed on', 'reacted' => 'Reacted to',
    ];

    private const SAME_DAYS = 30;

    /** Older ones are spent whatever the topics are. */
    private const DAYS = 60;

    private const CHUNK = 500;

    public function __construct(
        private readonly Fingerprints $erased = new Fingerprints,
        private readonly Caring $caring = new Caring,
    ) {
    }

    /** After topics changed: what was done lately is understood once more. */
    public static function renewAll(): void
    {
        foreach (Feed::query()->get() as $feed) {
            DB::table('feed_items')->where('feed_id', $feed->id)->where('kind', ItemKind::Deed->value)
                ->where('state', '<>', ItemState::Refused->value)->where('at', '>=', now()->subDays(self::DAYS))
                ->orderBy('id')->pluck('id')->chunk(self::CHUNK)
                ->each(fn ($ids) => KeepItems::again($feed, ItemKind::Deed, array_values($ids->all())));
        }
    }

    public function take(Feed $feed, array $items): int
    {
        $people = DB::table('contacts')->leftJoin('contacts AS kept', 'kept.id', '=', 'contacts.merged_into')
            ->whereIn('contacts.profile', array_map(fn (Brought $one): string => $one->facts['profile'] ?? '', $items))
            ->selectRaw('LOWER(contacts.profile) AS profile, COALESCE(kept.id, contacts.id) AS id')
            ->selectRaw('COALESCE(kept.account_id, contacts.account_id) AS account')->get()->keyBy('profile');
        $wanted = $candidates = $active = [];
        foreach ($items as $item) {
            $person = $people[mb_strtolower($item->facts['profile'] ?? '')] ?? null;
            $offers = $this->offers($item);
            if ($this->erased->hasErased([$item->facts['profile'] ?? null])) {
                $item->forget();
            } elseif ($offers === []) {
                $item->becomes(ItemState::Dropped, 'The post is on none of our topics.', $person?->account);
            } elseif ($person !== null) {
                $item->becomes(ItemState::Taken, 'By their profile.', $person->account);
                foreach ($offers as $offer) {
                    $one = $this->wanted($feed, $item, $person, $offer);
                    if ($one->strength >= ($wanted[$one->mark]->strength ?? 0)) {
                        $wanted[$one->mark] = $one;
                    }
                }
                $active[$person->id] = max($active[$person->id] ?? '', $item->at->toDateTimeString());
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

        // First, so that what is told to one offer now is not taken for what all were told before.
        KeepSignals::withdraw(
            DB::table('signals')->where('kind', Kind::PostEngagement->value)->whereIn(
                'id',
                DB::table('signal_sources')->whereIn('feed_item_id', array_map(
                    fn (Brought $one): int => $one->id,
                    $items,
                ))->select('signal_id'),
            ),
            array_values($wanted),
        );

        return KeepSignals::keep($this->greatest(array_values($wanted)));
    }

    /** @return list<int|null> offers to which the post is worth a look; null alone: to all alike */
    private function offers(Brought $item): array
    {
        $facts = $item->facts;
        $text = implode("\n", array_filter([$facts['topic'] ?? '', $facts['about'] ?? '', $facts['quote'] ?? '']));

        return $this->caring->offers(
            fn (RuleBook $book): bool => $book->topics === [] || Topic::of($text, $book->topics) !== null,
        );
    }

    private function wanted(Feed $feed, Brought $item, stdClass $person, ?int $offer): Wanted
    {
        $post = (string) ($item->facts['post'] ?? '');
        $about = isset($item->facts['topic'])
            ? "“{$item->facts['topic']}”" : 'a post: '.preg_replace('~^https?://~', '', $post);

        return new Wanted(
            sha1("post|{$person->id}|$post".($offer === null ? '' : "|$offer")),
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
            offer: $offer,
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
