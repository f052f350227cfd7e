<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Technology;
use App\Network\CommonGround;

/** What is known of an account without a date, as words can rest on it (rule 19). */
final class UndatedFacts
{
    /**
     * @param  Contact|null  $to  whose common ground with one of us is told, too
     * @return list<string>
     */
    public static function of(Account $account, ?Offer $offer = null, ?Contact $to = null): array
    {
        CommonGround::load(collect(array_filter([$to])));
        $account->loadMissing('technologies');
        $story = $offer === null ? null : StorySet::of($offer)->for($account)[0] ?? null;

        return array_values(array_filter([
            ...$account->technologies->map(fn (Technology $technology): string => 'runs '.$technology->name),
            ...collect(explode('; ', (string) $account->keywords))->filter()
                ->map(fn (string $phrase): string => "says “{$phrase}” of itself"),
            $account->sites > 1 ? 'has '.$account->sites.' sites' : null,
            $story === null ? null : StorySet::fact($story),
            ...array_map(CommonGround::fact(...), CommonGround::of($to)),
        ]));
    }
}
