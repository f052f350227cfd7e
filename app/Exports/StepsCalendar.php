<?php

declare(strict_types=1);

namespace App\Exports;

use App\Models\Approach;
use App\Models\User;
use Carbon\CarbonImmutable;
use Sabre\VObject\Component\VCalendar;

/** Next steps of a rep, and whom they come back to later, as a calendar (RFC 5545): an entry a day each. */
final class StepsCalendar
{
    /** Days back that stay in it. */
    private const BACK = 30;

    public static function of(User $user): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Luftig//Next steps//EN', 'X-WR-CALNAME' => 'Next steps']);
        $since = $user->today()->subDays(self::BACK)->toDateString();
        $steps = Approach::query()->with('account', 'contact')->where('user_id', $user->id)->where(
            fn ($either) => $either->where('later_on', '>=', $since)
                ->orWhere(fn ($step) => $step->whereNull('result')->where('next_step_on', '>=', $since)),
        )->orderBy('id')->get();
        foreach ($steps as $approach) {
            $whom = $approach->contact?->name() ?? 'somebody';
            if ($approach->result === null && $approach->next_step_on !== null) {
                self::entry($calendar, $approach, 'step', $approach->next_step_on, "{$approach->next_step}: $whom");
            }
            if ($approach->later_on !== null) {
                self::entry($calendar, $approach, 'later', $approach->later_on, "Come back to $whom");
            }
        }

        return $calendar->serialize();
    }

    private static function entry(
        VCalendar $calendar,
        Approach $approach,
        string $what,
        CarbonImmutable $on,
        string $says,
    ): void {
        $entry = $calendar->createComponent('VEVENT', [
            'UID' => "$what-{$approach->id}@luftig", 'SUMMARY' => "$says, {$approach->account->name}",
            'DTSTAMP' => ($approach->updated_at ?? $approach->made_at)->utc()->toDateTime(),
            'URL' => $approach->reason_id === null ? route('accounts.show', $approach->account_id)
                : route('reasons.show', $approach->reason_id),
            'TRANSP' => 'TRANSPARENT',
        ], false);
        $calendar->add($entry);
        $entry->add('DTSTART', $on->toDateTime(), ['VALUE' => 'DATE']);
    }
}
