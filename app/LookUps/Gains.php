<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Finder\Computed;
use App\Models\Contact;
use App\Models\LookUp as Line;
use App\Models\LookUpService;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\User;
use App\Standings\FactsReader;
use App\Standings\RuleBook;
use App\Standings\StandingFacts;
use App\Standings\Standings;
use Carbon\CarbonImmutable;
use Luftig\Core\Priority\LookUp;
use Luftig\Core\Priority\LookUps;
use Luftig\Core\Priority\Points;
use Luftig\Core\Reach\Access;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Channel;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Signal\Timing;

/**
 * Which look-ups would pay (rule 23): for each ranked account the contact whom one would take first if each had a
 * checked address, what the account's priority would be then, and the share of a day's plan that it would enter: all of
 * it where it would stand among the first of a day, and the less of it the further behind it stands.
 */
final readonly class Gains
{
    /** So many of the best ranked accounts are looked at. */
    private const LOOKED_AT = 400;

    /** So many are proposed at once. */
    private const MOST = 15;

    /** What a checked address is worth of what is lacking to certainty (rule 5). */
    private const WORTH = .6 * .98;

    /**
     * @param  list<array{line: LookUp, contact: Contact, standing: Standing, service: LookUpService}>  $proposed
     * @param  int  $more  accounts that would come into this week's plan
     */
    private function __construct(public array $proposed, public float $gain, public float $cost, public int $more)
    {
    }

    /** @param  float  $budget  credits */
    public static function for(Offer $offer, User $user, float $budget): self
    {
        $services = LookUpService::query()->that(LookUpService::FINDS)->where('price', '>', 0)->get()->keyBy('name');
        /** @var array<int, float> $priorities by account, the best first */
        $priorities = array_map(floatval(...), Standing::query()->where('offer_id', $offer->id)
            ->where('state', StandingState::Ranked)->openTo($user)->orderByDesc('points')->limit(self::LOOKED_AT)
            ->toBase()->pluck('priority', 'account_id')->all());
        if ($services->isEmpty() || $priorities === [] || $budget <= 0 || $offer->rules === null) {
            return new self([], 0.0, 0.0, 0);
        }
        $places = array_values($priorities);
        rsort($places);
        $rules = $offer->rules;
        $first = Computed::of('gains', $offer, array_keys($priorities), fn (): array => self::first(
            RuleBook::of($rules), array_keys($priorities),
        ));
        $contacts = Contact::query()->whereIn('id', array_column($first, 0))->toBase()->pluck('account_id', 'id')
            ->all();
        $companies = Companies::of($contacts);
        $asked = self::asked(array_keys($contacts));
        $records = new Records;
        $candidates = $enters = [];
        foreach ($first as $account => [$id, $with, $isReached]) {
            if (! isset($contacts[$id])) {
                continue;
            }
            $place = self::place($places, $with);
            foreach ($services as $service) {
                if (! isset($asked["$id|{$service->id}"]) && $companies->hasDomain($contacts[$id])) {
                    $candidates[] = new LookUp(
                        $id,
                        $service->name,
                        $service->price,
                        $records->chance(
                            $service, $companies->country($contacts[$id]), $companies->size($contacts[$id]),
                        ),
                        $priorities[$account],
                        $with,
                        min(1.0, $user->pace / $place),
                    );
                }
            }
            $now = $isReached ? self::place($places, $priorities[$account]) : INF;
            $enters[$id] = $place <= $user->paceOfWeek() && $now > $user->paceOfWeek();
        }
        $best = array_slice(LookUps::within($budget, $candidates)->proposed, 0, self::MOST);

        $people = Contact::query()->with('account')->whereKey(array_map(fn (LookUp $one): int => (int) $one->id, $best))
            ->get()->getDictionary();
        $standings = Standing::query()->with('account')->where('offer_id', $offer->id)
            ->whereIn('account_id', array_column($people, 'account_id'))->get()->keyBy('account_id');
        $proposed = [];
        foreach ($best as $one) {
            $contact = $people[$one->id] ?? null;
            $standing = $contact === null ? null : $standings[$contact->account_id] ?? null;
            $service = $services[$one->service] ?? null;
            if ($contact !== null && $standing !== null && $service !== null) {
                $proposed[] = ['line' => $one] + compact('contact', 'standing', 'service');
            }
        }

        return new self(
            $proposed,
            array_sum(array_map(fn (LookUp $one): float => $one->gain(), $best)),
            array_sum(array_map(fn (LookUp $one): float => $one->price, $best)),
            count(array_filter($best, fn (LookUp $one): bool => $enters[$one->id])),
        );
    }

    /**
     * @param  list<int>  $accounts
     * @return array<int, array{int, float, bool}> account → whom one would take first if each had a checked address and
     *     who has none, the priority with it, and whether anybody is reached there now
     */
    private static function first(RuleBook $book, array $accounts): array
    {
        $now = CarbonImmutable::now();
        $checked = self::checked($accounts);
        $read = $chosen = $first = [];
        $which = '`id` IN ('.implode(',', $accounts).')';
        foreach (FactsReader::for($now, $book)->read($which) as $id => $facts) {
            $timing = Timing::of($book->catalogue, $facts->seriesFor($book->offer), $now->getTimestamp());
            // What is known beside it counts on; of an address that is doubtful now a little twice, for choosing only.
            $best = Standings::people($book, $facts, $timing, self::with(
                $facts,
                $book->offer,
                fn (int $one, float $access): float => isset($checked[$one]) ? $access
                    : 1 - (1 - $access) * (1 - self::WORTH),
            ))->contacts[0] ?? null;
            if ($best !== null && ! isset($checked[$best->id])) {
                $read[$id] = [$facts, $timing];
                $chosen[$id] = $best->id;
            }
        }
        $accesses = self::withAddress($chosen, $now);
        foreach ($read as $id => [$facts, $timing]) {
            $access = Standings::people($book, $facts, $timing, self::with(
                $facts,
                $book->offer,
                fn (int $one, float $access): float => $one === $chosen[$id] ? max($access, $accesses[$one]) : $access,
            ))->access;
            $fit = $book->profile->fitOf($facts->account)->value;
            $first[$id] = [
                $chosen[$id],
                Points::of($fit, $timing->push, $access, $book->lines)->priority(),
                max([0.0, ...array_column($facts->contactsFor($book->offer), 3)]) > 0,
            ];
        }

        return $first;
    }

    /**
     * @param  callable(int, float): float  $access  of a contact, by the one that is
     * @return list<array{int, int, string, float, float}>
     */
    private static function with(StandingFacts $facts, int $offer, callable $access): array
    {
        return array_map(
            fn (array $one): array => [$one[0], $one[1], $one[2], $access($one[0], $one[3]), $one[4]],
            $facts->contactsFor($offer),
        );
    }

    /**
     * @param  array<int>  $contacts
     * @return array<int, float> contact → the access if a checked address of theirs were known
     */
    private static function withAddress(array $contacts, CarbonImmutable $now): array
    {
        return Contact::query()->with('channels')->whereIn('id', $contacts)->get()->mapWithKeys(
            fn (Contact $one): array => [$one->id => Access::of([
                new Channel(ChannelType::Email, AddressState::Valid),
                ...$one->channels->map(fn ($channel): Channel => $channel->asRule($now))->all(),
            ], $one->intro)->value],
        )->all();
    }

    /**
     * @param  array<int>  $accounts
     * @return array<int, true> contacts with a checked address
     */
    private static function checked(array $accounts): array
    {
        return array_fill_keys(Contact::query()->whereIn('account_id', $accounts)->whereHas(
            'channels',
            fn ($one) => $one->where('type', ChannelType::Email)->where('state', AddressState::Valid),
        )->pluck('id')->all(), true);
    }

    /**
     * @param  array<int>  $contacts
     * @return array<string, true> contact|service of questions whose answer still holds
     */
    private static function asked(array $contacts): array
    {
        return array_fill_keys(Line::query()->lately()->whereIn('contact_id', $contacts)
            ->whereIn('state', [Line::FOUND, Line::NOTHING])->toBase()->get(['contact_id', 'look_up_service_id'])
            ->map(fn ($one): string => "{$one->contact_id}|{$one->look_up_service_id}")->all(), true);
    }

    /** @param  list<float>  $priorities  the highest first */
    public static function place(array $priorities, float $priority): int
    {
        $before = 0;
        foreach ($priorities as $one) {
            if ($one <= $priority) {
                break;
            }
            $before++;
        }

        return $before + 1;
    }
}
