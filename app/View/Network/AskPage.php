<?php

declare(strict_types=1);

namespace App\View\Network;

use App\Channels\Reach;
use App\KeepOut\EntriesInForce;
use App\Models\Ask;
use App\Models\AskState;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\User;
use App\Network\Asking;
use App\Reasons\Asks;
use App\Reasons\Drafts;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Reach\IntroPath;

/** A request for an introduction: as it is written, and what became of it. */
final readonly class AskPage
{
    /** @param  list<string>  $people */
    private function __construct(
        public ?Ask $ask,
        public Contact $contact,
        public array $people,
        public string $path,
        public string $request,
        public string $forward,
    ) {
    }

    /** @param  array{path: IntroPath, people: list<User|Contact>, why: list<array{string, float}>}  $way */
    public static function begin(Offer $offer, Contact $contact, User $by, array $way): self
    {
        $contact->loadMissing('account', 'positions');
        $draft = Drafts::for($offer, $contact->account, $contact);

        return new self(
            null, $contact, array_map(
                fn (User|Contact $one): string => $one instanceof User ? $one->name : $one->name(), $way['people'],
            ), implode('-', $way['path']->people), Asking::request($by, $way['people'][1], $contact, $way['why']),
            Asking::forward($by, $contact, $draft?->words() ?? (string) $offer->question),
        );
    }

    public static function of(Ask $ask): self
    {
        return new self($ask, $ask->contact, $ask->people, '', $ask->request, $ask->forward);
    }

    public function way(): string
    {
        return implode(' → ', $this->people);
    }

    public function introducer(): string
    {
        return $this->ask?->introducer() ?? $this->people[1];
    }

    public function remindOn(): string
    {
        return CarbonImmutable::today()->addWeekdays(Asks::PATIENCE)->toDateString();
    }

    public function address(): string
    {
        return $this->ask === null ? '' : Asking::address($this->ask);
    }

    /** Whether they have not answered though it is time. */
    public function isToBeReminded(): bool
    {
        return $this->ask?->state === AskState::Asked && ! ($this->ask->remind_on
            ?? $this->ask->asked_at->addWeekdays(Asks::PATIENCE))->isFuture();
    }

    /** They will not answer: what one does instead. */
    public function isHopeless(): bool
    {
        return $this->isToBeReminded() && ($this->ask->reminders ?? 0) >= Asks::REMINDERS;
    }

    /** All that the introducer is sent; later what reminds them. */
    public function letter(): string
    {
        if ($this->ask !== null && $this->isToBeReminded()) {
            return Asking::reminder($this->ask);
        }

        return "{$this->request}\n\n—\n{$this->forward}\n—\n\nOne click says yes or no: {$this->address()}";
    }

    /** A mail to the introducer, where an address of theirs is known. */
    public function mail(): ?string
    {
        $to = $this->ask?->askedUser?->email;
        if ($to === null && $this->ask?->askedContact !== null) {
            $to = Reach::of($this->ask->askedContact, EntriesInForce::now())->best(ChannelType::Email);
        }

        return $to === null ? null : 'mailto:'.rawurlencode($to).'?subject='
            .rawurlencode("{$this->contact->name()}: would you introduce us?").'&body='.rawurlencode($this->letter());
    }

    public function state(): string
    {
        $ask = $this->ask;
        if ($ask === null) {
            return '';
        }

        return ucfirst($ask->state->label()).', asked '.Format::ago($ask->asked_at)
            .($ask->reminders === 0 ? '' : ', reminded '.Format::count($ask->reminders, 'time'))
            .($ask->answered_at === null ? '' : ', answered '.Format::ago($ask->answered_at))
            .($ask->thanked_at === null ? '' : ', thanked').'.';
    }
}
