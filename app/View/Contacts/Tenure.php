<?php

declare(strict_types=1);

namespace App\View\Contacts;

use App\Models\Contact;
use App\Models\Position;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Luftig\Core\Person\Arrival;
use Luftig\Core\Person\Career;
use Luftig\Core\Person\PositionHeld;
use Luftig\Core\Person\Title;

/** How long somebody has been in the position and in the company, and how they came to it. */
final readonly class Tenure
{
    /** Up to so many days one is new in a position. */
    private const NEW = 180;

    private const DAY = 86400;

    /** @param  string|null  $arrival  in words, while they are new in the position */
    private function __construct(private ?int $position, private ?int $company, public ?string $arrival)
    {
    }

    /** @param  Contact  $contact  with `positions` */
    public static function of(Contact $contact): self
    {
        $day = fn (?CarbonImmutable $date): ?int => $date === null ? null : intdiv($date->getTimestamp(), self::DAY);
        $career = Career::at($contact->account_id, $contact->positions->map(
            fn (Position $position): PositionHeld => new PositionHeld(
                $position->account_id,
                (string) $position->title,
                Title::unpacked($position->reading),
                $day($position->since),
                $day($position->until),
            ),
        ));
        $since = $career->now?->since;
        $today = intdiv(CarbonImmutable::today()->getTimestamp(), self::DAY);

        return new self(
            $since === null ? null : max(0, $today - $since),
            $career->atAccountSince() === null ? null : max(0, $today - $career->atAccountSince()),
            $since === null || $today - $since > self::NEW ? null : (
                $career->arrival() === Arrival::Unknown
                    ? Arrival::Unknown->label()
                    : 'new: '.$career->arrival()->label()
            ),
        );
    }

    public function inPosition(): ?string
    {
        return self::inWords($this->position);
    }

    public function inCompany(): ?string
    {
        return self::inWords($this->company);
    }

    private static function inWords(?int $days): ?string
    {
        return match (true) {
            $days === null => null,
            $days < 60 => Format::count($days, 'day'),
            // Whole ones that have passed: who came eighteen months ago has not been there for two years.
            $days < 700 => Format::count((int) ($days / 30.4375), 'month'),
            default => Format::count((int) ($days / 365.25), 'year'),
        };
    }
}
