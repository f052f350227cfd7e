<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Ask;
use App\Models\AskState;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\User;
use App\Support\Together;

/** Introductions that are asked for: an ask is an approach, with a reminder as its next step until it is answered. */
final class Asks
{
    /** Weekdays after which somebody who has not answered is reminded. */
    public const PATIENCE = 5;

    /** Whoever says nothing after so many reminders will not answer. */
    public const REMINDERS = 2;

    /**
     * @param  list<User|Contact>  $people  from the one who asks to the contact
     * @param  string|null  $remindOn  a day
     */
    public static function begin(
        Offer $offer,
        Contact $to,
        User $by,
        array $people,
        string $request,
        string $forward,
        ?string $remindOn,
    ): Ask {
        $introducer = $people[1];

        return Together::write(function () use (
            $offer,
            $to,
            $by,
            $people,
            $introducer,
            $request,
            $forward,
            $remindOn,
        ): Ask {
            $approach = RecordApproach::record([
                'kind' => ApproachKind::AskIntroduction,
                'next_step' => $remindOn === null ? null : 'Remind '.self::name($introducer),
                'next_step_on' => $remindOn,
            ], $offer, $to->account, $to, $by, null);

            return Ask::query()->create([
                'offer_id' => $offer->id, 'contact_id' => $to->id, 'user_id' => $by->id,
                'asked_user_id' => $introducer instanceof User ? $introducer->id : null,
                'asked_contact_id' => $introducer instanceof Contact ? $introducer->id : null,
                'approach_id' => $approach->id, 'people' => array_map(self::name(...), $people),
                'request' => $request, 'forward' => $forward, 'asked_at' => now(), 'remind_on' => $remindOn,
            ]);
        });
    }

    /**
     * They were reminded; if they say nothing still, it is looked at again some days later. Whoever has answered
     * meanwhile, or was reminded often enough, is not.
     *
     * @return bool whether it counts
     */
    public static function remind(Ask $ask): bool
    {
        return Together::write(function () use ($ask): bool {
            if ($ask->state !== AskState::Asked || $ask->reminders >= self::REMINDERS) {
                return false;
            }
            $reminders = $ask->reminders + 1;
            $ask->update([
                'reminders' => $reminders, 'reminded_at' => now(),
                'remind_on' => today()->addWeekdays(self::PATIENCE),
            ]);
            $step = $reminders < self::REMINDERS ? 'Remind '.$ask->introducer()
                : 'Take '.$ask->introducer().' as not answering, and another way';
            self::approach($ask)?->update(['next_step' => $step, 'next_step_on' => $ask->remind_on]);

            return true;
        }, $ask);
    }

    /** What became of it; then nobody need be reminded, and whoever agreed is asked how it went. */
    public static function became(Ask $ask, AskState $state, ?string $answer = null): void
    {
        Together::write(function () use ($ask, $state, $answer): void {
            $isOpen = $state === AskState::Asked;
            $ask->update([
                'state' => $state, 'answered_at' => $isOpen ? null : now(), 'answer' => $answer ?? $ask->answer,
                'remind_on' => $isOpen ? today()->addWeekdays(self::PATIENCE) : null,
            ]);
            self::approach($ask)?->update(match ($state) {
                AskState::Asked => [
                    'next_step' => 'Remind '.$ask->introducer(), 'next_step_on' => $ask->remind_on,
                ],
                AskState::Agreed => [
                    'next_step' => 'Hear from '.$ask->introducer().' how it went',
                    'next_step_on' => today()->addWeekdays(self::PATIENCE),
                ],
                default => ['next_step' => null, 'next_step_on' => null],
            });
        }, $ask);
    }

    public static function name(User|Contact $person): string
    {
        return $person instanceof User ? $person->name : $person->name();
    }

    private static function approach(Ask $ask): ?Approach
    {
        return Approach::query()->whereKey($ask->approach_id)->whereNull('result')->first();
    }
}
