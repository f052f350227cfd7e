<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\Story;
use App\Network\CommonGround;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use Carbon\CarbonImmutable;
use Illuminate\Support\Str;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Person\Title;
use Luftig\Core\Person\TitleReader;
use Luftig\Core\Reason\Angle;
use Luftig\Core\Reason\AngleContact;
use Luftig\Core\Reason\AngleSignal;
use Luftig\Core\Reason\Holding;
use Luftig\Core\Signal\Kind;

/** Proposes what to say: the heaviest angle that holds and of which no slot is open (rule 21). */
final class Drafts
{
    /** What somebody else's deed, and what concerns no function of theirs, counts of its push (rule 8). */
    private const HALF = .5;

    private const QUARTER = .25;

    /** Languages by country. */
    private const LANGUAGES = [
        'SE' => 'sv', 'DE' => 'de', 'AT' => 'de', 'CH' => 'de', 'DK' => 'da', 'NO' => 'no', 'FI' => 'fi', 'NL' => 'nl',
        'PL' => 'pl', 'FR' => 'fr',
    ];

    /**
     * From what is fresh; where nothing is, a plan may be led by what fades, a reason not.
     *
     * @param  list<SignalLine>  $lines
     * @param  string|null  $angle  another one than the heaviest, by its name
     * @param  list<array{string, int|string, float}>  $used  angles used there: which, on whom, how many days ago
     */
    public static function of(
        Offer $offer,
        Account $account,
        ?Contact $to,
        array $lines,
        bool $onlyFresh = false,
        ?string $angle = null,
        array $used = [],
    ): Proposal {
        $set = AngleSet::of($offer);
        $sayable = array_values(array_filter($lines, fn (SignalLine $line): bool => $line->mayBeSaid()));
        $fresh = array_values(array_filter($sayable, fn (SignalLine $line): bool => $line->isFresh()));
        $byId = [];
        foreach ($fresh !== [] || $onlyFresh ? $fresh : $sayable as $line) {
            $byId[$line->signal->id] = $line;
        }
        $story = self::story($offer, $account);
        $used = array_map(fn (array $one): array => [$set->nameNow($one[0]), $one[1], $one[2]], $used);
        $proposals = [];
        foreach (Angle::holding($set->angles, self::seen($account, $to, $byId, $story), $used) as $holding) {
            $proposal = self::proposal($offer, $set, $account, $to, $holding, $byId, $story);
            // One that cannot be said whole is not proposed.
            if ($proposal->of('message')->open === []) {
                $proposals[$proposal->angle] = $proposal;
            }
        }
        $chosen = $proposals[$angle ?? ''] ?? (reset($proposals) ?: self::last($offer, $account, $to));

        // One after the other, so that each is met on the way round.
        $names = array_map(strval(...), array_keys($proposals));
        $at = (int) array_search($chosen->angle, $names, true);

        return $chosen->beside([...array_slice($names, $at + 1), ...array_slice($names, 0, $at)]);
    }

    /**
     * To somebody of an account, by all that is known there; null where it was not computed yet.
     *
     * @param  string  $angle  another one than the heaviest, by its name
     */
    public static function for(
        Offer $offer,
        Account $account,
        ?Contact $to,
        string $angle = '',
        bool $onlyFresh = false,
    ): ?Proposal {
        $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $account->id)
            ->first();
        if ($standing === null) {
            return null;
        }
        $signals = Signal::query()->with('contact')->where('account_id', $account->id)->ofOffer($offer)->get();
        CommonGround::load(collect(array_filter([$to])));

        return self::of(
            $offer, $account->loadMissing('places', 'industries', 'technologies'), $to,
            SignalLine::of($standing, $signals, RuleBook::catalogueOf($standing->ruleSet)), $onlyFresh, $angle,
        );
    }

    /**
     * By one angle alone, whatever else would be said and whatever slot stays open; null where it does not hold.
     *
     * @param  list<SignalLine>  $lines
     */
    public static function by(
        AngleSet $set,
        Angle $angle,
        Offer $offer,
        Account $account,
        ?Contact $to,
        array $lines,
    ): ?Proposal {
        $byId = [];
        foreach ($lines as $line) {
            if ($line->mayBeSaid() && $line->isFresh()) {
                $byId[$line->signal->id] = $line;
            }
        }
        $story = self::story($offer, $account);
        $holding = $angle->of(self::seen($account, $to, $byId, $story));

        return $holding === null ? null : self::proposal($offer, $set, $account, $to, $holding, $byId, $story);
    }

    /** @param  array<int, SignalLine>  $lines */
    private static function seen(Account $account, ?Contact $to, array $lines, ?Story $story): AngleContact
    {
        return new AngleContact(
            $to->id ?? 0, self::days($to), array_map(
                fn (SignalLine $line): AngleSignal => self::signal($line, $to),
                array_values(array_filter($lines, fn (SignalLine $line): bool => ! self::isTheirChair($line, $to))),
            ), self::facts($account, $story, $to),
        );
    }

    /** Whether the one who is sought would do what they do: who leads a plant is not told that a plant manager is. */
    private static function isTheirChair(SignalLine $line, ?Contact $to): bool
    {
        $role = $to === null || $line->kind !== Kind::Hiring ? null : Slots::role($line->signal->title);
        if ($role === null) {
            return false;
        }
        $theirs = Title::unpacked($to->reading);
        $sought = TitleReader::standard()->read($role);
        $leads = Seniority::Manager->rank();

        return $sought->functions !== 0 && $sought->functions === $theirs->functions
            && min($sought->seniority->rank(), $theirs->seniority->rank()) >= $leads;
    }

    /** Where none of the team's own can be said: what can be said of any house that fits. */
    private static function last(Offer $offer, Account $account, ?Contact $to): Proposal
    {
        $set = AngleSet::neutral();
        $name = $set->angles[count($set->angles) - 1]->id;

        return self::proposal($offer, $set, $account, $to, new Holding($name, 0.0, [], []), []);
    }

    private static function days(?Contact $to): ?float
    {
        $since = $to !== null && $to->relationLoaded('positions')
            ? $to->positions->whereNull('until')->max('since') : null;

        return $since instanceof CarbonImmutable ? $since->diffInDays(CarbonImmutable::now()) : null;
    }

    private static function signal(SignalLine $line, ?Contact $to): AngleSignal
    {
        $signal = $line->signal;
        $isOwn = $to !== null && $signal->contact_id === $to->id;
        $concerns = $to !== null && ($signal->concerns & Title::unpacked($to->reading)->functions) !== 0;
        $part = match (true) {
            $isOwn || $signal->contact_id === null && $concerns => 1.0,
            $signal->contact_id !== null && $line->kind->isEngagement() => self::QUARTER,
            default => self::HALF,
        };

        return new AngleSignal(
            $signal->id,
            $line->kind,
            match (true) {
                $isOwn => 'own', $signal->contact_id === null => 'account', default => 'colleague',
            },
            trim("{$signal->title} ".($signal->facts['topic'] ?? '')." {$signal->quote}"),
            $signal->facts['role'] ?? null,
            true,
            $part * $line->push,
        );
    }

    /** @return list<array{string, string}> */
    private static function facts(Account $account, ?Story $story, ?Contact $to): array
    {
        $facts = [['fits', '']];
        foreach ($account->relationLoaded('technologies') ? $account->technologies->pluck('name') : [] as $name) {
            $facts[] = ['technology', (string) $name];
        }

        foreach (CommonGround::of($to) as [$kind, $name]) {
            $facts[] = [$kind, $name];
        }

        return $story === null ? $facts : [...$facts, ['story', (string) $story->id]];
    }

    /** @param  array<int, SignalLine>  $lines */
    private static function proposal(
        Offer $offer,
        AngleSet $set,
        Account $account,
        ?Contact $to,
        Holding $holding,
        array $lines,
        ?Story $story = null,
    ): Proposal {
        $restsOn = array_map(fn (int|string $id): SignalLine => $lines[$id], $holding->restsOn);
        [$language, $words] = $set->words((string) $holding->angle, self::languages($account, $to));
        $common = array_values(array_filter(
            CommonGround::of($to),
            fn (array $one): bool => in_array([$one[0], $one[1]], $holding->facts, true),
        ));

        return new Proposal(
            (string) $holding->angle, $set->say((string) $holding->angle), $language, $words,
            Slots::of($offer, $account, $to, $restsOn) + self::told($story, $language) + self::shared($common),
            $restsOn,
            story: in_array('story', array_column($holding->facts, 0), true) ? $story : null,
            facts: array_map(CommonGround::fact(...), $common),
        );
    }

    /**
     * @param  list<array{string, string, string}>  $common
     * @return array<string, string> the slots of what they have in common with one of us
     */
    private static function shared(array $common): array
    {
        $slots = [];
        foreach ($common as [$kind, $name, $who]) {
            $slots += [$kind => $name, 'teammate' => $who];
        }

        return $slots;
    }

    /** The story of a company like the account, where one may be told. */
    private static function story(Offer $offer, Account $account): ?Story
    {
        return StorySet::of($offer)->for($account)[0] ?? null;
    }

    /** @return array<string, string> the slots of a story, where it is written in the language */
    private static function told(?Story $story, string $language): array
    {
        $slots = [];
        foreach ($story->words[$language] ?? [] as $part => $text) {
            $slots["story_$part"] = $text;
        }

        // What was done, where a sentence begins with it.
        return $slots === [] ? [] : $slots + ['story_then' => Str::ucfirst($slots['story_done'])];
    }

    /** @return list<string> */
    private static function languages(Account $account, ?Contact $to): array
    {
        $country = $to->country ?? ($account->relationLoaded('places') ? $account->headquarters()?->country : null);

        return isset(self::LANGUAGES[$country]) ? [self::LANGUAGES[$country]] : [];
    }
}
