<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Channels\Reach;
use App\KeepOut\EntriesInForce;
use App\Lists\Trial;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\GroupPlace;
use App\Models\Offer;
use App\Models\Reservation;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\User;
use App\Standings\RuleBook;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Luftig\Core\Buying\Choice;
use Luftig\Core\Buying\Choosable;
use Luftig\Core\Buying\Part;
use Luftig\Core\Person\Title;
use Luftig\Core\Priority\ContactPoints;

/** Gives rule 9 what it needs to choose: for a rep, the few people of an account to contact now. */
final readonly class ContactChoice
{
    private const DAYS_OF_ACCOUNT = 14;

    private const DAYS_OF_CONTACT = 30;

    /** Until an offer has buyer roles, whoever is reached best comes first. */
    private const LEAST = 20;

    private EntriesInForce $barred;

    public function __construct(private Offer $offer, private User $rep, ?EntriesInForce $barred = null)
    {
        $this->barred = $barred ?? EntriesInForce::now();
    }

    /**
     * @param  Collection<int, Standing>  $standings  of several accounts, with `account`
     * @param  Collection<int, Contact>  $contacts  theirs, with `channels`
     * @return array<int, Choice> by account
     */
    public function of(Collection $standings, Collection $contacts): array
    {
        $ids = $standings->pluck('account_id')->all();
        $pressed = self::pressed($ids);
        $approached = Approach::query()->whereIn('account_id', $ids)->whereNotNull('contact_id')
            ->where('made_at', '>=', now()->subDays(self::DAYS_OF_CONTACT))->groupBy('contact_id')
            ->selectRaw('contact_id, MAX(made_at) AS made_at')->toBase()->pluck('made_at', 'contact_id');
        $reserved = Reservation::query()->whereIn('account_id', $ids)->where('until', '>=', today())
            ->where('user_id', '<>', $this->rep->id)->pluck('user_id', 'contact_id');
        $held = Trial::holding($this->offer, 'contacts', $contacts->pluck('id')->all());
        $heldAccounts = Trial::holding($this->offer, 'accounts', $ids);
        $places = GroupPlace::query()->where('offer_id', $this->offer->id)->whereIn('account_id', $ids)->get()
            ->keyBy('contact_id');
        $byAccount = $contacts->groupBy('account_id');
        $withRoles = ($this->offer->rules->buyer_roles ?? []) !== [];
        $about = $this->about($standings, $contacts);
        $choices = [];
        foreach ($standings as $standing) {
            $ranked = array_column($standing->contacts ?? [], null, 0);
            $choosable = ($byAccount[$standing->account_id] ?? collect())->map(function (
                Contact $contact,
            ) use ($ranked, $approached, $reserved, $held, $heldAccounts, $places, $withRoles, $about): Choosable {
                $place = $places[$contact->id] ?? null;
                $row = $place?->removed === true || $place?->part === Part::Blocker
                    ? null
                    : $ranked[$contact->id] ?? null;
                $made = $approached[$contact->id] ?? null;
                // Who takes no part is not asked how they are reached.
                $access = $row === null && $withRoles ? 0.0 : Reach::of($contact, $this->barred)->access;

                return new Choosable(
                    $contact->id,
                    $row !== null ? (float) $row[1] : (
                        $withRoles
                        || $place?->part === Part::Blocker
                        || $place?->removed === true ? null : self::LEAST + $access * (100 - self::LEAST)
                    ),
                    $place->part ?? ($row === null ? null : Part::from($row[2])),
                    Title::unpacked($contact->reading)->functions,
                    $access > 0,
                    $this->barred->contact($contact->id) !== null,
                    isset($reserved[$contact->id]),
                    $made === null
                        ? null
                        : CarbonImmutable::parse($made, 'UTC')->diffInSeconds(CarbonImmutable::now()) / 86400,
                    isset($held[$contact->id]) || isset($heldAccounts[$contact->account_id]),
                    isset($about[$contact->id]) && $row !== null,
                );
            });
            $choices[$standing->account_id] = Choice::of(
                $choosable,
                Choice::most($standing->account->headcount),
                $pressed[$standing->account_id] ?? 0,
            );
        }

        return $choices;
    }

    /**
     * Whom the strongest live signal of their account is about, as far as they take part in buying.
     *
     * @param  Collection<int, Standing>  $standings
     * @param  Collection<int, Contact>  $contacts
     * @return array<int, true> by contact
     */
    private function about(Collection $standings, Collection $contacts): array
    {
        $strongest = $standings->map(fn (Standing $standing): ?int => $standing->lines[0][0] ?? null)->filter()->all();
        $whose = Signal::query()->whereIn('id', $strongest)->whereNotNull('contact_id')->pluck('contact_id')->all();
        $byId = $contacts->keyBy('id');
        $roles = $this->offer->rules === null ? null : RuleBook::of($this->offer->rules)->roles;
        $about = [];
        foreach ($standings as $standing) {
            foreach ($whose as $id) {
                $contact = $byId[$id] ?? null;
                if ($contact === null || $contact->account_id !== $standing->account_id) {
                    continue;
                }
                $account = $standing->account->loadMissing('places');
                $role = $roles?->of(
                    $contact->reading,
                    (string) $contact->title,
                    $account->headquarters()?->country,
                    $account->headcount,
                );
                if ($role !== null && $role->match >= ContactPoints::MATCH) {
                    $about[$id] = true;
                }
            }
        }

        return $about;
    }

    /** What the team together does to an account, where it is as much as the account bears; else null. */
    public static function pressure(Account $account): ?string
    {
        $made = self::pressed([$account->id])[$account->id] ?? 0;
        $taken = Reservation::query()->where('account_id', $account->id)->where('until', '>=', today())->count();
        $most = Choice::most($account->headcount);

        return $made + $taken < $most
            ? null
            : "The team presses this account: $made of its people were approached in ".self::DAYS_OF_ACCOUNT
                ." days and $taken are reserved, of at most $most.";
    }

    /**
     * @param  array<int>  $accounts
     * @return array<int, int> account → approaches of the last 14 days
     */
    private static function pressed(array $accounts): array
    {
        return Approach::query()->whereIn('account_id', $accounts)
            ->where('made_at', '>=', now()->subDays(self::DAYS_OF_ACCOUNT))->groupBy('account_id')
            ->selectRaw('account_id, COUNT(*) AS n')->toBase()->pluck('n', 'account_id')->all();
    }
}
