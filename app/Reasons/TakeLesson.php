<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Approach;
use App\Models\Lesson;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Models\User;
use App\Standings\NewRules;
use App\Support\Together;

/** Takes what results speak for into the rules, as a version of its own, or declines it (rule 20). */
final class TakeLesson
{
    public static function accept(Offer $offer, Lessons $lessons, RuleSet $learned, User $by): Lesson
    {
        return Together::write(function () use ($offer, $lessons, $learned, $by): Lesson {
            $lesson = self::keep($offer, $lessons, $learned, $by, true);
            NewRules::change($offer, [
                'kinds' => $learned->kinds, 'points' => $learned->points, 'lesson_id' => $lesson->id,
            ], $by, 'Learned from '.count($lesson->approaches).' results');

            return $lesson;
        }, $offer);
    }

    public static function decline(Offer $offer, Lessons $lessons, RuleSet $learned, User $by): Lesson
    {
        return self::keep($offer, $lessons, $learned, $by, false);
    }

    /** Weights and lines are those of an earlier version again, in a new one. */
    public static function back(Offer $offer, RuleSet $to, User $by): void
    {
        NewRules::change($offer, [
            'kinds' => $to->kinds, 'points' => $to->points, 'lesson_id' => $to->lesson_id,
        ], $by, "The weights of version {$to->version}");
    }

    private static function keep(Offer $offer, Lessons $lessons, RuleSet $learned, User $by, bool $accepted): Lesson
    {
        return Lesson::query()->create([
            'offer_id' => $offer->id, 'user_id' => $by->id, 'prior_id' => $lessons->prior->id, 'accepted' => $accepted,
            'approaches' => array_values($lessons->approaches->map(fn (Approach $one): int => $one->id)->all()),
            'lines' => $lessons->lines(), 'log_odds' => $lessons->logOdds($learned),
        ]);
    }
}
