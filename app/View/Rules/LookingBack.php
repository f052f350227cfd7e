<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Models\Offer;
use App\Models\RuleSet;
use App\Reasons\Answers;
use App\Reasons\Lessons;
use App\Support\Format;
use Luftig\Core\Learning\LookBack;

/** How well rules that are not saved would have told who answers (rule 22). */
final class LookingBack
{
    /** In a sentence; null where no two approaches can be compared. */
    public static function says(Offer $offer, RuleSet $rules): ?string
    {
        $approaches = Answers::of($offer)->approaches;
        if ($approaches->isEmpty() || $offer->rules === null) {
            return null;
        }
        $backs = (new Lessons($offer, $approaches))->lookingBack(['by those' => $rules]);
        $now = $backs['by these rules'];

        return $now->concordance === null ? null : 'Looking back, they would have ranked who answered above who did '
            .'not in '.self::share($backs['by those']).' of '.Format::count($now->pairs, 'pair')
            .'; the rules in force did in '.self::share($now).'. Fit counts as it was then.';
    }

    private static function share(LookBack $back): string
    {
        return Format::percent((float) $back->concordance).' ('.Format::percent((float) $back->low).' – '
            .Format::percent((float) $back->high).')';
    }
}
