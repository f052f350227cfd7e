<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Models\Contact;
use App\Models\Reason;
use App\Models\Standing;
use App\Models\StandingState;
use App\Reasons\Proposal;
use App\Standings\SignalLine;
use App\Support\Format;
use App\View\Steps;
use Carbon\CarbonImmutable;
use Locale;
use Luftig\Core\Company\Industries;
use Luftig\Core\Signal\Catalogue;

/** An approach that is planned, as a row and as the one in focus. */
final readonly class PlanRow
{
    private const BARBS = 2;

    private const LINES = 6;

    private const WORDS = 110;

    /** A priority that falls by less is not spoken of. */
    private const LITTLE = 3;

    /**
     * The act-by day of the approach (rule 18): the first day on which a signal that its words rest on is no longer
     * fresh, at the latest the account's. What faded already says nothing of the time that is left.
     */
    public ?CarbonImmutable $actBy;

    /**
     * @param  list<SignalLine>  $lines
     * @param  list<Contact>  $others  whom rule 9 takes beside the first
     * @param  Reason|null  $reason  that is ready for the first
     * @param  Steps|null  $steps  by which channel the first is reached now
     */
    public function __construct(
        public Standing $standing,
        public array $lines,
        public ?Contact $contact,
        public Proposal $draft,
        public Catalogue $catalogue,
        public array $others = [],
        public ?Reason $reason = null,
        public ?Steps $steps = null,
    ) {
        $days = array_map(
            fn (SignalLine $line): CarbonImmutable => $line->freshUntil($catalogue),
            array_filter($draft->restsOn, fn (SignalLine $line): bool => $line->isFresh()),
        );
        $days = $standing->act_by === null ? $days : [$standing->act_by, ...$days];
        $this->actBy = $days === [] ? null : min($days);
    }

    public function group(CarbonImmutable $today): string
    {
        if ($this->standing->state === StandingState::Waiting) {
            return 'waiting';
        }
        $days = $this->actBy === null ? null : $today->diffInDays($this->actBy);

        return match (true) {
            $days === null, $days < 0 => 'later',
            $days <= 1 => 'hours',
            $this->actBy <= $today->endOfWeek() => 'week',
            $days <= 14 => 'fortnight',
            default => 'later',
        };
    }

    /** What to say, or that it is written down. */
    public function headline(): string
    {
        return $this->reason === null ? $this->draft->headline() : Format::cut($this->reason->words, self::WORDS);
    }

    /** What waiting a working week would cost, in words; nothing where it costs little. */
    public function cost(): string
    {
        $later = $this->standing->later ?? 0.0;
        $lost = (int) round(($this->standing->priority ?? 0.0) - $later);

        return match (true) {
            $this->standing->priority === null || $lost < self::LITTLE => '',
            $this->standing->later === null => 'In a working week nothing speaks for it any more.',
            default => "In a working week its priority would be {$lost} lower.",
        };
    }

    public function address(): string
    {
        return route('today', ['focus' => $this->standing->account_id]);
    }

    /** The same approach, to somebody else there. */
    public function addressTo(Contact $other): string
    {
        return route('today', ['focus' => $this->standing->account_id, 'to' => $other->id]);
    }

    public function records(): string
    {
        return route('reasons.create', [
            $this->standing->account_id, 'contact' => $this->contact?->id, 'angle' => $this->draft->angle,
        ]);
    }

    /** In which language the words are, where it is not ours. */
    public function language(): string
    {
        return $this->draft->language === 'en' ? ''
            : ' · in '.Locale::getDisplayLanguage($this->draft->language, 'en');
    }

    /** The same approach by another angle; nothing where no other holds. */
    public function otherwise(): ?string
    {
        return $this->draft->others === [] ? null : route('today', array_filter([
            'focus' => $this->standing->account_id, 'to' => $this->contact?->id, 'angle' => $this->draft->others[0],
        ]));
    }

    public function priority(): string
    {
        return Format::priority($this->standing->priority);
    }

    public function way(): string
    {
        return $this->steps?->label() ?? 'no contact known';
    }

    /** @return list<SignalLine> as many as a row has room for */
    public function barbs(): array
    {
        return array_slice($this->lines, 0, self::BARBS);
    }

    public function more(): int
    {
        return max(0, count($this->lines) - self::BARBS);
    }

    /** @return list<SignalLine> */
    public function why(): array
    {
        return array_slice($this->lines, 0, self::LINES);
    }

    /** Where it is, what it makes, how many it is. */
    public function about(): string
    {
        $account = $this->standing->account;
        $industry = $account->industries->first()?->code;

        return Format::line(
            $account->headquarters()?->city,
            $industry === null ? null : lcfirst(Industries::name($industry)),
            $account->headcount === null ? null : Format::heads($account->headcount, $account->headcount_given),
        );
    }
}
