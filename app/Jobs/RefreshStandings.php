<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Contacts\CareerSignals;
use App\Contacts\OpeningFunctions;
use App\Feeds\HiringSignals;
use App\Feeds\TechnologySignals;
use App\Feeds\Understanding\Deeds;
use App\Finder\Indexes;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Network\Intros;
use App\Standings\Standings;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Computes what changed; or everything, of one offer after its rules changed and of all overnight. */
final class RefreshStandings implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $timeout = 3600;

    /** Seconds after which a job that was lost no longer stands in the way of the next. */
    public int $uniqueFor = 300;

    private function __construct(private readonly bool $all, private readonly ?int $offer = null)
    {
    }

    public static function ofChanged(): self
    {
        return new self(false);
    }

    public static function ofEverything(?Offer $offer = null): self
    {
        return new self(true, $offer?->id);
    }

    /** What waits already will see what changes until it begins; a second one would find nothing to do. */
    public function uniqueId(): string
    {
        return $this->all ? 'all-'.($this->offer ?? 'offers') : 'changed';
    }

    public function handle(Standings $standings): void
    {
        Intros::refreshIfChanged();
        if ($this->offer !== null) {
            // Whom openings concern, and what follows from positions, hangs on the rules.
            (new OpeningFunctions)->refreshAll();
            (new CareerSignals)->refreshAll();
            HiringSignals::renewAll();
            if ($this->isNew('technologies')) {
                TechnologySignals::renewAll();
            }
            if ($this->isNew('topics')) {
                Deeds::renewAll();
            }
        }
        $this->all
            ? $standings->all($this->offer === null ? null : Offer::query()->findOrFail($this->offer))
            : $standings->refresh();
        // So that nobody's first search of the morning waits for it; who saved rules does not wait for it either.
        defer(static fn () => Offer::query()->get()->each(Indexes::renew(...)));
    }

    /** Whether a part of the rules is another than in the version before. */
    private function isNew(string $part): bool
    {
        $versions = RuleSet::query()->where('offer_id', $this->offer)->latest('id')->limit(2)->get()
            ->map(fn (RuleSet $rules): mixed => $rules->getAttribute($part));

        return $versions->count() < 2 || $versions[0] !== $versions[1];
    }
}
