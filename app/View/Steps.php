<?php

declare(strict_types=1);

namespace App\View;

use App\Channels\FirstSteps;
use App\Channels\Reach;
use App\KeepOut\EntriesInForce;
use App\Models\Contact;
use App\Standings\SignalLine;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Luftig\Core\Reach\ChannelType;
use Luftig\Core\Reach\LocalHour;
use Luftig\Core\Reach\NextStep;
use Luftig\Core\Reach\NextSteps;
use Luftig\Core\Reach\Step;
use Luftig\Core\Signal\Kind;

/** What to do first to reach somebody, and what then, in words. */
final readonly class Steps
{
    /** So many are told. */
    private const TOLD = 3;

    private ?CarbonImmutable $there;

    private function __construct(private NextSteps $next, private Reach $reach, private Contact $contact)
    {
        $this->there = FirstSteps::nowAt($contact);
    }

    /**
     * @param  FirstSteps  $first  that knows of the contact
     * @param  list<SignalLine>  $lines  what speaks for their account
     */
    public static function of(FirstSteps $first, Contact $contact, array $lines, EntriesInForce $barred): self
    {
        $reach = Reach::of($contact, $barred);
        $posts = array_filter($lines, fn (SignalLine $line): bool => $line->kind === Kind::PostEngagement
            && $line->signal->contact_id === $contact->id && $line->isFresh());

        return new self($first->of($contact, $reach, $posts !== []), $reach, $contact);
    }

    /** The first, as a row has room for it. */
    public function label(): string
    {
        $first = $this->next->first();

        return $first === null ? $this->reach->label()
            : match ($first->step) {
                Step::Comment => 'a comment first',
                Step::Connect => 'social, active',
                Step::Message => 'a message',
                Step::Email => $this->reach->labelOf(ChannelType::Email),
                Step::Call => $this->isDirect() ? 'direct phone' : 'switchboard',
                Step::Introduction => 'through one of us',
            }.($first->isNow ? '' : ', '.$this->opens());
    }

    /** “First a comment under what they wrote, then a call, then an e-mail.” */
    public function says(): string
    {
        $told = array_map($this->step(...), array_slice($this->next->steps, 0, self::TOLD));

        return $told === [] ? '' : 'First '.implode(', then ', $told).'.';
    }

    /** “It is 10:04 in Kaunas.” */
    public function hour(): string
    {
        $city = $this->contact->account->headquarters()?->city;

        return $this->there === null ? ''
            : 'It is '.$this->there->format('H:i').' '.($city === null ? 'there' : "in $city").'.';
    }

    /** What each is worth, which says why it comes where it does. */
    public function why(): string
    {
        return 'By the worth of the channel and by what was answered before: '.implode(', ', array_map(
            fn (NextStep $one): string => $this->noun($one->step).' '.Format::percent($one->worth), $this->next->steps,
        ));
    }

    private function step(NextStep $one): string
    {
        return $this->noun($one->step).($one->isNow ? '' : ' '.$this->opens());
    }

    private function noun(Step $step): string
    {
        return match ($step) {
            Step::Comment => 'a comment under the post',
            Step::Connect => 'a connection',
            Step::Message => 'a message',
            Step::Email => 'an e-mail',
            Step::Call => $this->isDirect() ? 'a call' : 'a call to the switchboard',
            Step::Introduction => 'an introduction',
        };
    }

    private function isDirect(): bool
    {
        return $this->reach->isDirect();
    }

    /** “from 13:00 there”, “on Monday from 8:00 there” */
    private function opens(): string
    {
        if ($this->there === null) {
            return '';
        }
        $hour = new LocalHour($this->there->dayOfWeekIso, 60 * $this->there->hour + $this->there->minute);
        $opens = $this->there->addMinutes($hour->untilCalls());

        return ($opens->isSameDay($this->there) ? '' : 'on '.$opens->format('l').' ').'from '
            .$opens->format('G:i').' there';
    }
}
