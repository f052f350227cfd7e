<?php

declare(strict_types=1);

namespace App\View\Contacts;

use App\Channels\FirstSteps;
use App\Channels\Guesses;
use App\KeepOut\EntriesInForce;
use App\Lists\RecordTags;
use App\Models\Account;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\LookUpService;
use App\Models\Offer;
use App\Models\Position;
use App\Models\Reason;
use App\Models\RuleSet;
use App\Models\Signal;
use App\Models\Standing;
use App\Models\Tag;
use App\Models\TitleLesson;
use App\Models\User;
use App\Network\CommonGround;
use App\Network\Ties;
use App\Reasons\AngleUse;
use App\Reasons\Drafts;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Support\Format;
use App\Support\FunctionNames;
use App\Support\Phone;
use App\View\Account\BuyingGroup;
use App\View\Account\GroupRow;
use App\View\Accounts\Ranking;
use App\View\Happened;
use App\View\Lists\ListChoices;
use App\View\Network\Way;
use App\View\Steps;
use App\View\Ways;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\Title;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Search\Subject;

/** One contact: what is known of them and from where, their part, and what happened. */
final readonly class ContactPage
{
    private const REASONS = 10;

    private const APPROACHES = 20;

    public Title $title;

    public Tenure $times;

    /**
     * @param  Collection<int, Happened>  $happened
     * @param  Collection<int, Reason>  $reasons
     * @param  Collection<int, Approach>  $approaches
     * @param  list<array{user: User, strength: float, because: string}>  $ties
     * @param  array<string, string>  $affiliations
     * @param  Collection<int, Tag>  $tags
     */
    private function __construct(
        private Offer $offer,
        public Contact $contact,
        public Account $account,
        private User $reader,
        public ?GroupRow $row,
        public ?ContactPoints $points,
        public Collection $happened,
        public Collection $reasons,
        public Collection $approaches,
        private array $ties,
        private array $affiliations,
        public Collection $tags,
        public ?TitleLesson $lesson,
        public ?Ways $ways,
        private EntriesInForce $barred,
        public ?Steps $steps,
    ) {
        $this->title = Title::unpacked($contact->reading);
        $this->times = Tenure::of($contact);
    }

    public static function of(Offer $offer, Contact $contact, User $reader): self
    {
        $contact->load('account.places', 'channels', 'positions.account', 'notes.user');
        $account = $contact->account;
        $standing = Standing::query()->with('ruleSet')->where('offer_id', $offer->id)->where('account_id', $account->id)
            ->first();
        $barred = EntriesInForce::now();
        $group = $standing === null ? null : BuyingGroup::of($offer, $account, $standing, $reader, $contact, $barred);
        $row = $group?->row($contact);
        $signals = Signal::query()->with('contact')->where('contact_id', $contact->id)->ofOffer($offer)
            ->orderByDesc('occurred_at')->get();
        $catalogue = $standing === null ? null : RuleBook::catalogueOf($standing->ruleSet);
        $all = $standing === null ? [] : Ranking::lines($offer, $standing->newCollection([$standing]))[$account->id];
        CommonGround::load(collect([$contact]));
        $draft = Drafts::of($offer, $account, $contact, $all, used: AngleUse::at([$account->id])[$account->id] ?? []);
        $isOut = $barred->contact($contact->id) !== null || $barred->account($account->id, $account->domain) !== null;

        return new self(
            $offer,
            $contact,
            $account,
            $reader,
            $row,
            $row?->ranked === null ? null : new ContactPoints($account, $contact, $row->ranked, $group, $all),
            Happened::of(
                $signals,
                $catalogue === null ? [] : SignalLine::of($standing, $signals, $catalogue),
                $catalogue,
            ),
            Reason::query()->with('user')->where('contact_id', $contact->id)->latest()->limit(self::REASONS)->get(),
            Approach::query()->with('user')->where('contact_id', $contact->id)->latest('made_at')
                ->limit(self::APPROACHES)->get(),
            (new Ties(collect([$contact])))->of($contact),
            self::affiliations($contact),
            RecordTags::of('contacts', $contact->id),
            TitleLesson::query()->with('user')->where('title', $contact->title)->first(),
            $isOut ? null : Ways::toAccount($account, $contact, $draft, $barred),
            $barred,
            $isOut ? null : Steps::of(
                FirstSteps::for($offer, $reader, collect([$contact])), $contact, $all, $barred,
            ),
        );
    }

    /** How long they are where they are, and where they live. */
    public function about(): string
    {
        return Format::line(
            $this->times->inPosition() === null ? null : $this->times->inPosition().' in the position',
            $this->times->inCompany() === null ? null : $this->times->inCompany().' in the company',
            $this->contact->city,
        );
    }

    public function readAs(): string
    {
        return 'Read as '.FunctionNames::title($this->title)
            .($this->lesson === null ? '' : ', as '.($this->lesson->user->name ?? 'somebody').' taught it');
    }

    public function isOut(): ?string
    {
        return $this->barred->contact($this->contact->id);
    }

    public function isMine(): bool
    {
        return $this->row?->reservation?->user_id === $this->reader->id;
    }

    public function heldBy(): ?string
    {
        $held = $this->row?->reservation;

        return $held === null || $this->isMine()
            ? null
            : 'reserved by '.$held->user->name.' until '.Format::day($held->until);
    }

    public function part(): string
    {
        return $this->row?->part()?->label() ?? 'no part';
    }

    public function partBy(): string
    {
        return $this->row?->isByHand() === true
            ? 'set by hand; the rules say '.($this->row->ranked?->part->label() ?? 'no part')
            : 'part in buying';
    }

    public function whyNot(): string
    {
        return match (true) {
            (bool) $this->row?->place?->removed => 'Removed from the buying group by hand.',
            $this->title->isUnknown() && $this->contact->title !== null => 'By the rules this title takes no part in '
                .'buying, because it cannot be read.',
            default => 'By the rules this title takes no part in buying.',
        };
    }

    public function mayTeach(): bool
    {
        return $this->contact->title !== null && $this->reader->can('create', RuleSet::class);
    }

    /**
     * @return array<int, array{position: Position, months: string, title: string, company: string,
     *     account: Account|null}>
     */
    public function positions(): array
    {
        return $this->contact->positions->map(fn (Position $position): array => [
            'position' => $position,
            'months' => Format::months($position->since, $position->until),
            'title' => $position->title ?? 'title unknown',
            'company' => $position->account->name ?? $position->company ?? 'company unknown',
            'account' => $position->account,
        ])->all();
    }

    /** @return array<int, array{channel: Channel, value: string, about: string, worth: string, states: array<string,
     *     string>}> with what can be said of an address */
    public function channels(): array
    {
        return $this->contact->channels->map(function (Channel $channel): array {
            $kept = $this->barred->address($channel->value);

            return [
                'channel' => $channel, 'value' => $channel->value,
                'states' => self::states($channel),
                'about' => Format::line(
                    $channel->label().(($kind = Phone::kind($channel->value)) === null ? '' : ", $kind")
                        .($channel->active_at === null ? '' : ', active '.Format::ago($channel->active_at))
                        .($channel->checked_at === null ? '' : ' '.Format::ago($channel->checked_at)),
                    $channel->source === null ? null : "found by {$channel->source}",
                    $kept === null ? null : "kept out: $kept",
                ),
                'worth' => Format::part($kept === null ? $channel->asRule(CarbonImmutable::now())->worth() : 0.0),
            ];
        })->all();
    }

    /** @return array<string, string> state → what somebody who found it out says */
    private static function states(Channel $channel): array
    {
        $says = match ($channel->type) {
            ChannelType::Email => [
                AddressState::Valid->value => 'It works', AddressState::Invalid->value => 'It is dead',
            ],
            ChannelType::DirectPhone => [
                AddressState::Valid->value => 'It is direct', AddressState::Shared->value => 'It is the switchboard',
                AddressState::Invalid->value => 'It is dead',
            ],
            default => [],
        };

        return $says !== [] && $channel->state->isDead() ? [AddressState::Unknown->value => 'It works again']
            : array_diff_key($says, [$channel->state->value => '']);
    }

    /** @return array<int|string, string> */
    public function lists(): array
    {
        return ListChoices::of($this->offer, Subject::Contacts);
    }

    /** @return array<string, string> */
    public function channelTypes(): array
    {
        return ['email' => 'an e-mail address', 'phone' => 'a direct phone', 'profile' => 'a profile'];
    }

    /** @return array<string, string> address that is likely theirs → its chance */
    public function guesses(): array
    {
        return $this->isOut() === null ? array_map(Format::percent(...), Guesses::of($this->contact)) : [];
    }

    /** Whether a service can be asked for an address: there is none that was checked. */
    public function mayLookUp(): bool
    {
        return $this->isOut() === null && LookUpService::query()->that(LookUpService::FINDS)->exists()
            && ! $this->contact->channels->contains(fn (Channel $one): bool => $one->type === ChannelType::Email
                && $one->state === AddressState::Valid);
    }

    public function guessedFrom(): string
    {
        $known = Guesses::learnedFrom($this->contact);

        return $known === 0 ? 'by how most houses write them' : 'by '.Format::count($known, 'address', 'addresses')
            .' of the house';
    }

    /** @return list<Way> from whoever looks */
    public function waysIn(): array
    {
        return Way::to($this->contact, $this->reader, barred: $this->barred);
    }

    /** @return list<array{says: string, url: string}> */
    public function asked(): array
    {
        return Way::asked($this->contact);
    }

    /** @return array<int, array{who: string, because: string, strength: string}> */
    public function relations(): array
    {
        return array_map(fn (array $tie): array => [
            'who' => $tie['user']->name, 'because' => $tie['because'], 'strength' => Format::percent($tie['strength']),
        ], $this->ties);
    }

    /** @return array<string, array{string, int}> field → what it is called, how long it may be */
    public function correctable(): array
    {
        return [
            'first_name' => ['First name', 100], 'last_name' => ['Last name', 100], 'title' => ['Title', 190],
            'city' => ['City', 190],
            'country' => ['Country', 190], 'profile' => ['Profile address', 190],
        ];
    }

    /** @return array<string, string> */
    public function facts(): array
    {
        $contact = $this->contact;
        $byHand = array_map(fn (string $field): string => str_replace('_', ' ', $field), $contact->by_hand ?? []);

        return array_filter([
            'About' => $contact->about, 'Interests' => $contact->interests, 'Profile' => $contact->profile,
            'Country' => $contact->country,
            ...$this->affiliations,
            'Source' => implode(', ', array_filter([
                $contact->source, $contact->seen_at === null ? null : 'seen '.Format::date($contact->seen_at),
            ])),
            'Set by hand' => implode(', ', $byHand),
        ], fn (?string $value): bool => $value !== null && $value !== '');
    }

    /** @return array<string, string> */
    private static function affiliations(Contact $contact): array
    {
        $named = DB::table('affiliations')->where('contact_id', $contact->id)->orderBy('name')->get(['kind', 'name'])
            ->groupBy('kind');
        $kinds = ['language' => 'Languages', 'school' => 'Schools', 'association' => 'Associations'];
        $said = [];
        foreach ($kinds as $kind => $label) {
            $said[$label] = ($named[$kind] ?? collect())->pluck('name')->implode(', ');
        }

        return $said;
    }
}
