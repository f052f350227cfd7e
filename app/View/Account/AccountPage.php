<?php

declare(strict_types=1);

namespace App\View\Account;

use App\KeepOut\EntriesInForce;
use App\Lists\RecordTags;
use App\Models\Account;
use App\Models\CustomerPeriod;
use App\Models\Decision;
use App\Models\Offer;
use App\Models\Place;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\Tag;
use App\Models\User;
use App\Network\CommonGround;
use App\Reasons\AngleUse;
use App\Reasons\Drafts;
use App\Reasons\StorySet;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Support\AccountField;
use App\Support\Countries;
use App\Support\Format;
use App\View\Choices;
use App\View\Happened;
use App\View\Lists\ListChoices;
use App\View\Rules\StoryPage;
use App\View\Ways;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Str;
use Luftig\Core\Company\Industries;
use Luftig\Core\Search\Subject;
use Luftig\Core\Signal\Kind;

/** One account, with all that is known and why it ranks where it ranks. */
final readonly class AccountPage
{
    private const SHOWN = 8;

    /** So many of those before are listed. */
    private const EARLIER = 100;

    private const APPROACHES = 6;

    /**
     * @param  Collection<int, Happened>  $happened
     * @param  Collection<int, Tag>  $tags
     */
    private function __construct(
        private Offer $offer,
        public Account $account,
        public ?Standing $standing,
        public Neighbours $neighbours,
        public ?BuyingGroup $group,
        public ?Ribbon $ribbon,
        public ?AccountPoints $points,
        private Collection $happened,
        public ?Decision $decision,
        public Collection $tags,
        public ?Ways $ways,
        public ?string $addressee,
    ) {
    }

    /** @param  array<string, mixed>  $query  of the address, which says the order one steps through */
    public static function of(Offer $offer, Account $account, User $rep, array $query): self
    {
        $account->load(['signals' => fn ($signals) => $signals->with('contact')->ofOffer($offer)]);
        $account->load(
            'places', 'industries', 'technologies', 'extras', 'customerPeriods', 'notes.user', 'notes.contact',
            'approaches.contact',
            'approaches.user',
            'owner', 'parent',
        );
        $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $account->id)
            ->first();
        $book = $standing === null ? null : RuleBook::of($standing->ruleSet);
        $lines = $book === null ? [] : SignalLine::of($standing, $account->signals, $book->catalogue);
        $barred = EntriesInForce::now();
        $group = $standing === null ? null : BuyingGroup::of($offer, $account, $standing, $rep, barred: $barred);
        $to = $group->chosen[0]->contact ?? null;
        CommonGround::load(collect(array_filter([$to])));
        $draft = Drafts::of($offer, $account, $to, $lines, used: AngleUse::at([$account->id])[$account->id] ?? []);

        return new self(
            $offer,
            $account,
            $standing,
            Neighbours::of($offer, $account->id, $query),
            $group,
            $book === null ? null : Ribbon::of($account, $standing, $book),
            $standing === null
                ? null
                : new AccountPoints($standing, $lines, $standing->ruleSet->criteria, $group?->through()),
            Happened::of($account->signals, $lines, $book?->catalogue),
            Decision::query()->with('user')->where('offer_id', $offer->id)->where('account_id', $account->id)->first(),
            RecordTags::of('accounts', $account->id),
            $standing === null || $barred->account($account->id, $account->domain) !== null ? null
                : Ways::toAccount($account, $to, $draft, $barred),
            $to?->name(),
        );
    }

    /** @return array{says: string, alike: string}|null the story of a company like it, where one may be told */
    public function story(): ?array
    {
        $told = StorySet::of($this->offer)->for($this->account);

        return $told === null ? null : [
            'says' => StoryPage::says($told[0]), 'alike' => 'alike by '.Format::part($told[1]),
        ];
    }

    public function about(): string
    {
        $account = $this->account;
        $industry = $account->industries->first()?->code;
        $place = $account->headquarters();

        return Format::line(
            $account->domain,
            $industry === null ? 'industry unknown' : lcfirst(Industries::name($industry))." (ISIC $industry)",
            implode(', ', array_filter([$place?->city, Countries::name($place?->country)])) ?: 'place unknown',
            Format::heads($account->headcount, $account->headcount_given),
            $account->growth === null ? null : Format::growth($account->growth).' in a year',
            $account->sites === null || $account->sites === 0 ? null : Format::count($account->sites, 'site'),
        );
    }

    /** Why it stands anywhere but in the ranking. */
    public function state(): ?string
    {
        return match (true) {
            $this->standing === null || $this->standing->state === StandingState::Ranked => null,
            $this->standing->cause !== null => $this->standing->inWords(),
            $this->standing->state === StandingState::Waiting => 'Waiting: no live signal counts for it',
            default => $this->standing->inWords(),
        };
    }

    public function looksLikeAgency(): bool
    {
        return str_starts_with((string) $this->standing?->cause, 'agency, by');
    }

    public function isKeptOut(): bool
    {
        return $this->standing?->state === StandingState::KeptOut;
    }

    public function decided(): ?string
    {
        $owner = $this->account->owner === null ? null : 'owner '.$this->account->owner->name;

        return match ($this->decision?->decision) {
            null, 'dropped' => null,
            'kept' => Format::line('Kept by '.$this->decision->user->name, $owner),
            default => Format::line(
                'Put off to '.($this->decision->until === null ? 'another day' : Format::day($this->decision->until))
                    .' by '.$this->decision->user->name,
                $owner,
            ),
        };
    }

    public function is(string $decision): bool
    {
        return $this->decision?->decision === $decision;
    }

    /** The path to go on to, when this one is decided. */
    public function next(): string
    {
        return Str::after($this->neighbours->after() ?? $this->neighbours->back, url('/'));
    }

    public function growth(): Growth
    {
        return Growth::of($this->account);
    }

    public function sought(): SoughtRoles
    {
        return SoughtRoles::of($this->account);
    }

    /** @return Collection<int, Happened> the newest */
    public function happened(): Collection
    {
        return $this->happened->take(self::SHOWN);
    }

    /** @return Collection<int, Happened> */
    public function earlier(): Collection
    {
        return $this->happened->skip(self::SHOWN)->take(self::EARLIER)->values();
    }

    public function saysEarlier(): string
    {
        $count = max(0, $this->happened->count() - self::SHOWN);

        return $count > self::EARLIER ? self::EARLIER.' of '.Format::number($count).' earlier' : "$count earlier";
    }

    public function technologies(): Technologies
    {
        return Technologies::of($this->account, $this->offer);
    }

    /** @return array<int|string, string> */
    public function lists(string $subject): array
    {
        return ListChoices::of($this->offer, Subject::from($subject));
    }

    /** @return array<int, array{string, bool}> contact → name, and whether it is one to contact now */
    public function people(): array
    {
        $people = [];
        foreach (
            $this->group === null
                ? []
                : [...$this->group->chosen, ...array_merge(...array_values($this->group->parts))] as $row
        ) {
            $people[$row->contact->id] ??= [
                Format::line($row->contact->name(), $row->contact->title),
                in_array($row, $this->group->chosen ?? [], true),
            ];
        }

        return $people;
    }

    /** @return array<int|string, string> sorts of signal that can be added */
    public function kinds(): array
    {
        return ['' => 'choose'] + Choices::of(Kind::class);
    }

    /** @return array<string, array{string, string}> what is known, and from where */
    public function facts(): array
    {
        $account = $this->account;
        $from = Provenance::of($account);
        $named = [
            'Industry' => ['industries', $account->industries->pluck('code')->filter()
                ->map(fn (mixed $code): string => Industries::name((string) $code))->implode(' · ')],
            'Revenue' => ['revenue_amount', $this->revenue()],
            'Parent' => ['parent_id', $account->parent?->name],
            'Place' => ['place', self::place($account->headquarters())],
            'Other places' => ['other_places', $account->places->reject(
                fn (Place $place): bool => (bool) $place->headquarters,
            )->map(self::place(...))->implode(' · ')],
            'What they run' => ['technologies', $account->technologies->pluck('name')->implode(', ')],
            'Customer' => ['customer', $account->customerPeriods->map(self::period(...))->implode(' · ')],
        ];
        foreach (AccountField::all() as $column => $field) {
            $value = $account->getAttribute($column);
            $named[$field->label] = [$column, $value === null ? null : $field->kind->shown($value)];
        }
        foreach ($account->extras as $extra) {
            $named[$extra->name] = ['extras', (string) $extra->getRelation('pivot')->value];
        }
        $facts = [];
        foreach ($named as $label => [$field, $value]) {
            if ($value !== null && $value !== '') {
                $facts[$label] = [$value, $from->from($field)];
            }
        }

        return $facts;
    }

    private static function place(?Place $place): string
    {
        return $place === null ? '' : implode(', ', array_filter(
            [$place->city, $place->region, $place->postal_code, Countries::name($place->country)],
        ));
    }

    /** @return array<int, array{at: CarbonImmutable, says: string, result: string}> */
    public function approaches(): array
    {
        return $this->account->approaches->take(self::APPROACHES)->map(fn ($approach): array => [
            'at' => $approach->made_at,
            'says' => $approach->kind->label().($approach->contact === null ? '' : ' to '.$approach->contact->name())
                .', '.($approach->user->name ?? 'somebody'),
            'result' => $approach->result?->label() ?? 'no result yet',
        ])->values()->all();
    }

    private function revenue(): ?string
    {
        $account = $this->account;
        if ($account->revenue_amount === null) {
            return null;
        }
        $given = $account->revenue_given
            ?? Format::money($account->revenue_amount, (string) $account->revenue_currency);

        return $account->revenue_currency === 'EUR'
            ? $given
            : $given.' ('.Format::money((float) $account->revenue, 'EUR').')';
    }

    private static function period(CustomerPeriod $period): string
    {
        return ($period->since === null ? 'yes' : 'since '.Format::month($period->since))
            .($period->until === null ? '' : ' until '.Format::month($period->until))
                .($period->best ? ', among the best' : '');
    }
}
