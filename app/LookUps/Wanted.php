<?php

declare(strict_types=1);

namespace App\LookUps;

use App\KeepOut\EntriesInForce;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use Illuminate\Support\Collection;
use Luftig\Core\Person\Title;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;

/** Whom one asks for, and whom not and why: nobody who is kept out, out, not eligible, or reached already (rule 23). */
final readonly class Wanted
{
    private const CHUNK = 1000;

    /**
     * @param  list<Contact>  $contacts  in the order that was given
     * @param  array<string, int>  $others  why not → how many
     */
    private function __construct(public array $contacts, public array $others)
    {
    }

    /**
     * @param  list<int>  $ids
     * @param  float|null  $least  priority of their account
     */
    public static function of(Offer $offer, array $ids, ?float $least = null): self
    {
        $barred = EntriesInForce::now();
        $wanted = $others = [];
        foreach (array_chunk($ids, self::CHUNK) as $some) {
            $contacts = Contact::query()->with('account.places', 'channels')->whereIn('id', $some)->get()->keyBy('id');
            $standings = Standing::query()->where('offer_id', $offer->id)
                ->whereIn('account_id', $contacts->pluck('account_id')->unique()->all())->get()->keyBy('account_id');
            foreach ($some as $id) {
                $contact = $contacts[$id] ?? null;
                $why = $contact === null ? 'no longer there'
                    : self::whyNot($offer, $contact, $standings, $barred, $least);
                if ($why !== null) {
                    $others[$why] = ($others[$why] ?? 0) + 1;
                } elseif ($contact !== null) {
                    $wanted[] = $contact;
                }
            }
        }

        return new self($wanted, $others);
    }

    /** @param  Collection<int, Standing>  $standings  by account */
    private static function whyNot(
        Offer $offer,
        Contact $contact,
        Collection $standings,
        EntriesInForce $barred,
        ?float $least,
    ): ?string {
        $account = $contact->account;
        $standing = $standings[$account->id] ?? null;
        $isReached = $contact->channels->contains(
            fn ($one): bool => $one->type === ChannelType::Email && $one->state === AddressState::Valid,
        );

        return match (true) {
            $contact->merged_into !== null => 'the same as somebody else',
            $account->domain === null => 'of a company without a domain',
            $barred->contact($contact->id) !== null,
            $barred->account($account->id, $account->domain) !== null,
            $standing?->state === StandingState::KeptOut => 'kept out',
            $standing?->state === StandingState::Out => 'of an account that is out',
            ($offer->rules->buyer_roles ?? []) !== []
                && ! in_array($contact->id, array_column($standing->contacts ?? [], 0), true),
            ! Title::unpacked($contact->reading)->status->holds() => 'in no part of buying',
            $isReached => 'with a checked address already',
            $least !== null && ($standing->priority ?? 0) < $least => 'of an account below that priority',
            default => null,
        };
    }
}
