<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Events\ReasonRecorded;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Standing;
use App\Models\Story;
use App\Models\User;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use Carbon\CarbonImmutable;

/** Freezes a reason with what it rests on, and says when it expires (rule 19). */
final class RecordReason
{
    private const DAYS_OF_FACTS = 60;

    /**
     * @param  list<SignalLine>  $lines  the signals that the words mention
     * @param  list<string>  $facts  facts that the words mention
     * @param  string|null  $angle  by which they were proposed
     * @param  array<string, int|string>  $besides  what else is kept with the evidence
     */
    public static function record(
        Offer $offer,
        Account $account,
        ?Contact $contact,
        User $by,
        Standing $standing,
        string $words,
        ?string $channel,
        array $lines,
        array $facts,
        ?string $angle = null,
        array $besides = [],
    ): Reason {
        $catalogue = RuleBook::catalogueOf(
            $offer->rules ?? throw new \LogicException('An offer without rules has no reasons.'),
        );

        $reason = Reason::query()->create([
            'offer_id' => $offer->id, 'account_id' => $account->id, 'contact_id' => $contact?->id, 'user_id' => $by->id,
            'words' => $words, 'channel' => $channel,
            'expires_on' => self::expiry(
                $standing,
                array_map(fn (SignalLine $line): CarbonImmutable => $line->freshUntil($catalogue), $lines),
            ),
            'evidence' => $besides + [
                'account' => ['name' => $account->name, 'domain' => $account->domain],
                'contact' => $contact === null ? null : ['name' => $contact->name(), 'title' => $contact->title],
                'standing' => [
                    'priority' => $standing->priority, 'fit' => $standing->fit, 'push' => $standing->push,
                    'access' => $standing->access, 'act_by' => $standing->act_by?->toDateString(),
                    'rules' => $standing->rule_set_id,
                ],
                'signals' => array_map(fn (SignalLine $line): array => [
                    'id' => $line->signal->id, 'kind' => $line->kind->value, 'title' => $line->signal->title,
                    'occurred_at' => $line->signal->occurred_at->toIso8601ZuluString(),
                    'source' => $line->signal->source, 'quote' => $line->signal->quote, 'link' => $line->signal->link,
                    'freshness' => $line->freshness, 'push' => $line->push,
                    'fresh_until' => $line->freshUntil($catalogue)->toDateString(),
                ], $lines),
                'facts' => $facts, 'angle' => $angle,
                'story' => self::story($offer, $account, $facts)?->only(['id', 'name']),
            ],
        ]);
        ReasonRecorded::dispatch($reason);

        return $reason;
    }

    /**
     * From the words that stood on a screen, with what its angle rests on; null where they rest on nothing that is
     * known. A reason that says the same and is ready is that reason.
     *
     * @param  string  $angle  by which they were proposed; empty: by the heaviest
     * @param  array<string, int|string>  $besides  what else is kept with the evidence
     */
    public static function proposed(
        Offer $offer,
        Account $account,
        ?Contact $contact,
        User $by,
        string $words,
        ?string $channel,
        string $angle = '',
        array $besides = [],
    ): ?Reason {
        $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $account->id)
            ->first();
        if ($standing === null || $words === '') {
            return null;
        }
        $same = Reason::query()->inState('ready')->where('offer_id', $offer->id)->where('account_id', $account->id)
            ->where('contact_id', $contact?->id)->where('words', $words)->first();
        if ($same !== null) {
            return $same;
        }
        $draft = Drafts::for($offer, $account, $contact, $angle, onlyFresh: true)
            ?? throw new \LogicException('There is a standing.');
        $lines = $draft->restsOn;
        $facts = match (true) {
            $draft->story !== null, $draft->facts !== [] => [
                ...$draft->facts, ...$draft->story === null ? [] : [StorySet::fact($draft->story)],
            ],
            $lines === [] => array_slice(UndatedFacts::of($account), 0, 1),
            default => [],
        };

        return $lines === [] && $facts === [] ? null : self::record(
            $offer, $account, $contact, $by, $standing, $words, $channel, $lines, $facts, $draft->angle,
            $besides,
        );
    }

    /**
     * The story that is among the facts.
     *
     * @param  list<string>  $facts
     */
    private static function story(Offer $offer, Account $account, array $facts): ?Story
    {
        $story = StorySet::of($offer)->for($account)[0] ?? null;

        return $story !== null && in_array(StorySet::fact($story), $facts, true) ? $story : null;
    }

    /** @param  list<CarbonImmutable>  $freshUntil first days on which what it rests on is no longer fresh */
    private static function expiry(Standing $standing, array $freshUntil): CarbonImmutable
    {
        if ($freshUntil === []) {
            return CarbonImmutable::today()->addDays(self::DAYS_OF_FACTS);
        }
        $first = min($freshUntil);

        // An act-by day that lies behind us no longer says anything about these words.
        return $standing->act_by !== null && $standing->act_by > today() ? $first->min($standing->act_by) : $first;
    }
}
