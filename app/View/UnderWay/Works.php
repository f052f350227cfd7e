<?php

declare(strict_types=1);

namespace App\View\UnderWay;

use App\Models\Intake;
use App\Models\Offer;
use App\Models\User;
use App\Standings\Computing;
use App\Support\Format;
use App\View\Feeds\FeedLine;
use App\View\Intake\IntakePage;
use App\View\LookUps\RunPage;

/** Each sort of long work in the one form in which it is told of, with what a person may do about it. */
final class Works
{
    public static function ofIntake(Intake $intake, User $reader): Work
    {
        $isMoving = $intake->state->isMoving();
        $may = $reader->can('update', $intake);

        return new Work(
            $intake->name,
            IntakePage::stateOf($intake),
            $isMoving,
            $intake->state->hasProgress() ? $intake->progress() : null,
            $may && $intake->state->canBeStopped() ? route('intake.stop', $intake) : null,
            $may && $intake->state->canGoOn() ? route('intake.resume', $intake) : null,
            route('intake.show', $intake),
            done: Format::line(
                Format::count($intake->rows, 'row').' read', ...array_map(
                    fn (string $what, int $many): ?string => $many === 0 ? null : Format::number($many)." $what",
                    ['new', 'changed', 'wait', 'refused'],
                    [$intake->created, $intake->updated, $intake->waiting, $intake->rejected],
                ),
            ),
        );
    }

    public static function ofRun(RunPage $page, User $reader): Work
    {
        $run = $page->run;
        $may = $reader->can('update', $run);

        return new Work(
            $run->name,
            $page->about().($page->isMoving() ? ' You can leave this page; it goes on.' : ''),
            $page->isMoving(),
            $page->isMoving() ? $page->progress() : null,
            $may && $page->isMoving() ? route('look-ups.stop', $run) : null,
            $may && $page->mayGoOn() ? route('look-ups.resume', $run) : null,
            route('look-ups.run', $run),
            done: Format::line(...array_map(
                fn (array $one): string => "{$one['number']} {$one['label']}", $page->tally(),
            )),
        );
    }

    /** How much a source has to tell is not known before it has told it. */
    public static function ofFeed(FeedLine $line, User $reader): Work
    {
        $came = Format::count($line->last->came ?? 0, 'item');

        return new Work(
            $line->feed->name,
            $line->isRunning()
                ? ($line->feed->paused ? "Being stopped; $came came."
                    : "Being asked; $came came so far. You can leave this page; it goes on.")
                : ucfirst($line->state()).'.',
            $line->isMoving(),
            stop: $line->isRunning() && ! $line->feed->paused && $reader->can('update', $line->feed)
                ? route('feeds.pause', $line->feed) : null,
            url: route('feeds.show', $line->feed),
            method: 'patch',
        );
    }

    /** Null where all is computed. It is not stopped: rules that were in force before are saved again. */
    public static function ofRanking(Offer $offer): ?Work
    {
        $computing = Computing::of($offer);
        if ($computing->isDone()) {
            return null;
        }
        $says = $computing->behind > 0
            ? Format::number($computing->all - $computing->behind).' of '.Format::count($computing->all, 'account')
                ." computed by version {$offer->rules?->version} of the rules; the others stand as they were."
            : Format::count($computing->waiting, 'account waits', 'accounts wait').' to be computed anew.';

        return new Work(
            "Ranking of {$offer->name}", "$says You can leave this page; it goes on.", true, $computing->share(),
        );
    }
}
