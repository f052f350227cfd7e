<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Channels\Reach;
use App\Models\Contact;
use App\Models\GroupPlace;
use App\Models\Position;
use App\Models\Reservation;
use App\Support\Format;
use App\View\Choices;
use Luftig\Core\Buying\Part;
use Luftig\Core\Buying\Skip;
use Luftig\Core\Person\Title;
use Luftig\Core\Priority\RankedContact;

/** A person of an account, with all that is known of their part in buying. */
final readonly class GroupRow
{
    /**
     * @param  RankedContact|null  $ranked  null: takes no part by the rules
     * @param  GroupPlace|null  $place  what somebody set by hand
     * @param  string|null  $barred  why they are kept out
     * @param  Skip|null  $skip  why they are not among those to contact now; null: they are
     */
    public function __construct(
        public Contact $contact,
        public ?RankedContact $ranked,
        public ?GroupPlace $place,
        public Reach $reach,
        public ?string $barred,
        public ?Reservation $reservation,
        public ?Skip $skip,
    ) {
    }

    public function part(): ?Part
    {
        return $this->place?->removed === true ? null : $this->place->part ?? $this->ranked?->part;
    }

    public function isByHand(): bool
    {
        return $this->place !== null && ($this->place->removed || $this->place->part !== null);
    }

    public function title(): Title
    {
        return Title::unpacked($this->contact->reading);
    }

    /** How they are reached, since when they are where they are, to whom they report, and why not now. */
    public function about(?string $reportsTo): string
    {
        $since = $this->contact->positions
            ->first(
                fn (Position $position): bool => $position->until === null
                    && $position->account_id === $this->contact->account_id,
            )?->since;

        return Format::line(
            $this->reach->label(),
            $since === null ? null : 'in the position since '.Format::month($since),
            $reportsTo === null ? null : "reports to $reportsTo",
        );
    }

    public function priority(): string
    {
        return $this->ranked === null ? '' : Format::priority($this->ranked->priority);
    }

    /** @return array<int|string, string> what somebody may set */
    public function choices(): array
    {
        return ['' => 'as it is'] + Choices::of(Part::class) + ['out' => 'does not belong here'] + (
            $this->isByHand() ? ['computed' => 'as the rules say'] : []
        );
    }

    /** What the rules say where somebody said otherwise. */
    public function byHand(): string
    {
        return 'Set by '.($this->place->user->name ?? 'somebody').'; the rules say '
            .($this->ranked?->part->label() ?? 'no part');
    }

    /** Why not now, in words. */
    public function why(): ?string
    {
        return match (true) {
            $this->place?->removed => 'removed by '.($this->place->user->name ?? 'somebody'),
            $this->place?->part === Part::Blocker => 'marked as a blocker',
            $this->barred !== null => 'kept out: '.$this->barred,
            $this->skip === Skip::Reserved && $this->reservation !== null => 'reserved by '
                .$this->reservation->user->name.' until '.$this->reservation->until->format('j M'),
            default => $this->skip?->label(),
        };
    }
}
