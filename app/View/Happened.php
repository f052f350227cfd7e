<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Signal;
use App\Standings\SignalLine;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Luftig\Core\Signal\Catalogue;

/** A signal as it is told of: what, where from, how sure, and where it is in its life. */
final readonly class Happened
{
    private function __construct(public Signal $signal, public ?SignalLine $line, public string $about)
    {
    }

    /**
     * @param  iterable<Signal>  $signals
     * @param  list<SignalLine>  $lines  of those that are live
     * @return Collection<int, self>
     */
    public static function of(iterable $signals, array $lines, ?Catalogue $catalogue): Collection
    {
        $live = [];
        foreach ($lines as $line) {
            $live[$line->signal->id] = $line;
        }

        return collect($signals)->map(function (Signal $signal) use ($live, $catalogue): self {
            $line = $live[$signal->id] ?? null;

            return new self($signal, $line, Format::line(
                $signal->kind->label(),
                $signal->derived ? 'follows from the positions' : $signal->source,
                $signal->confidence < 1 ? Format::percent($signal->confidence).' sure' : null,
                $line === null ? self::stage($signal, $catalogue) : null,
            ));
        })->values();
    }

    private static function stage(Signal $signal, ?Catalogue $catalogue): ?string
    {
        return match (true) {
            $signal->occurred_at->isFuture() => 'announced',
            $catalogue === null => null,
            default => $catalogue->of($signal->kind)
                ->stage($signal->occurred_at->diffInSeconds(CarbonImmutable::now()) / 86400)->value,
        };
    }
}
