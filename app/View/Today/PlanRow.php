<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Channels\Reach;
use App\Models\Contact;
use App\Models\Standing;
use App\Reasons\Proposal;
use App\Standings\SignalLine;
use App\Support\Format;
use Locale;
use Luftig\Core\Company\Industries;

/** An approach that is planned, as a row and as the one in focus. */
final readonly class PlanRow
{
    private const BARBS = 2;

    private const LINES = 6;

    /**
     * @param  list<SignalLine>  $lines
     * @param  list<Contact>  $others  whom rule 9 takes beside the first
     */
    public function __construct(
        public Standing $standing,
        public array $lines,
        public ?Contact $contact,
        public ?Reach $reach,
        public Proposal $draft,
        public array $others = [],
    ) {
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
        return $this->reach?->label() ?? 'no contact known';
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
