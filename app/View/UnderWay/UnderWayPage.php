<?php

declare(strict_types=1);

namespace App\View\UnderWay;

use App\Models\Intake;
use App\Models\IntakeState;
use App\Models\LookUpRun;
use App\Models\Offer;
use App\Models\User;
use App\View\Feeds\FeedLine;
use App\View\LookUps\RunPage;

/** All work that takes a while: what goes on now, what stopped half-way, and what ended lately. */
final readonly class UnderWayPage
{
    /** Days. */
    private const LATELY = 2;

    private const SHOWN = 10;

    /**
     * @param  list<Work>  $moving
     * @param  list<Work>  $stopped  that can be gone on with
     * @param  list<Work>  $ended
     */
    private function __construct(public array $moving, public array $stopped, public array $ended)
    {
    }

    public static function of(User $reader): self
    {
        $all = [...self::intakes($reader), ...self::runs($reader), ...self::feeds($reader), ...self::rankings()];
        $some = fn (callable $which): array => array_values(array_filter($all, $which));

        return new self(
            $some(fn (Work $one): bool => $one->isMoving),
            $some(fn (Work $one): bool => ! $one->isMoving && $one->goOn !== null),
            array_slice($some(fn (Work $one): bool => ! $one->isMoving && $one->goOn === null), 0, self::SHOWN),
        );
    }

    /** @return list<Work> */
    private static function intakes(User $reader): array
    {
        return array_values(Intake::query()->whereNot('state', IntakeState::Draft)
            ->where(fn ($either) => $either->where('updated_at', '>=', now()->subDays(self::LATELY))
                ->orWhereIn('state', IntakeState::open()))
            ->latest('updated_at')->limit(2 * self::SHOWN)->get()
            ->filter(fn (Intake $one): bool => $reader->can('view', $one))
            ->map(fn (Intake $one): Work => Works::ofIntake($one, $reader))->all());
    }

    /** @return list<Work> */
    private static function runs(User $reader): array
    {
        return array_values(LookUpRun::query()
            ->where(fn ($either) => $either->where('updated_at', '>=', now()->subDays(self::LATELY))
                ->orWhereIn('state', [LookUpRun::QUEUED, LookUpRun::RUNNING]))
            ->latest('updated_at')->limit(2 * self::SHOWN)->get()
            ->map(fn (LookUpRun $one): Work => Works::ofRun(RunPage::of($one), $reader))->all());
    }

    /** @return list<Work> those that are being asked */
    private static function feeds(User $reader): array
    {
        return array_values(array_map(
            fn (FeedLine $line): Work => Works::ofFeed($line, $reader),
            array_filter(FeedLine::all(), fn (FeedLine $line): bool => $line->isRunning()),
        ));
    }

    /** @return list<Work> */
    private static function rankings(): array
    {
        return array_values(array_filter(
            Offer::query()->with('rules')->orderBy('id')->get()->map(Works::ofRanking(...))->all(),
        ));
    }
}
