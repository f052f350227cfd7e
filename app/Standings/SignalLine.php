<?php

declare(strict_types=1);

namespace App\Standings;

use App\Models\Signal;
use App\Models\Standing;
use Carbon\CarbonImmutable;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Stage;

/** A signal's line in a standing, with all that made it. */
final readonly class SignalLine
{
    public function __construct(
        public Signal $signal,
        public Kind $kind,
        public float $freshness,
        public float $novelty,
        public int $place,
        public float $push,
        public ?float $share,
        public Stage $stage,
        public float $weight,
    ) {
    }

    /**
     * @param  iterable<int, Signal>  $signals
     * @return list<self> as many of a standing's lines as have their signal, the strongest first, drags last
     */
    public static function of(Standing $standing, iterable $signals, Catalogue $catalogue): array
    {
        $byId = [];
        foreach ($signals as $signal) {
            $byId[$signal->id] = $signal;
        }
        $lines = [];
        foreach ($standing->lines as [$id, $kind, $freshness, $novelty, $place, $push, $share]) {
            if (isset($byId[$id])) {
                $kind = Kind::from($kind);
                $lines[] = new self(
                    $byId[$id],
                    $kind,
                    $freshness,
                    $novelty,
                    (int) $place,
                    $push,
                    $share,
                    $catalogue->of($kind)->stage(
                        ($standing->computed_at->getTimestamp() - $byId[$id]->occurred_at->getTimestamp()) / 86400,
                    ),
                    $catalogue->of($kind)->weight,
                );
            }
        }

        return $lines;
    }

    /** Pushes for the account, and may be spoken of. */
    public function mayBeSaid(): bool
    {
        return $this->push > 0 && $this->kind->mayBeQuoted();
    }

    public function isFresh(): bool
    {
        return $this->stage === Stage::Fresh || $this->stage === Stage::Rising;
    }

    /** What it would push if it were wholly fresh. */
    public function freshPush(): float
    {
        return $this->freshness > 0 ? abs($this->push) / $this->freshness : 0.0;
    }

    /** The first day on which it is no longer fresh. */
    public function freshUntil(Catalogue $catalogue): CarbonImmutable
    {
        return CarbonImmutable::parse($this->signal->occurred_at)
            ->addSeconds((int) ceil($catalogue->of($this->kind)->freshAge * 86400))->addDay()->startOfDay();
    }
}
