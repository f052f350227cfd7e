<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Standings\SignalLine;
use App\Support\Format;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;
use Luftig\Core\Signal\Stage;

/**
 * A signal in its smallest form: a shaft as long as it is fresh, with a stroke on it for what it would push wholly
 * fresh.
 */
final class Barb extends Component
{
    private const FOOT = 6.0;

    private const SHAFT = 34.0;

    private const SHORTEST = .12;

    private const APART = 4.2;

    public readonly string $tone;

    public readonly bool $hollow;

    public readonly string $says;

    public readonly string $title;

    public readonly string $text;

    /** @param  bool  $bare  without words beside it, as these stand there already */
    public function __construct(public readonly SignalLine $line, public readonly bool $bare = false)
    {
        $against = $line->push < 0;
        $this->tone = $against ? 'against' : ($line->stage === Stage::Fading ? 'fading' : '');
        $this->hollow = $line->stage === Stage::Rising;
        $this->says = ($against ? 'speaks against, ' : '').$line->stage->value.', push '.Format::part($line->push);
        $this->text = $line->signal->title;
        $this->title = "{$line->signal->title} · {$this->says}";
    }

    public function path(): string
    {
        $end = self::FOOT + self::SHAFT * max(self::SHORTEST, $this->line->freshness);
        $strokes = array_map(
            fn (int $i): string => 'M'.round(max(4.0, $end - self::APART * $i), 1).' 9.5l3-7',
            range(0, $this->strokes() - 1),
        );

        return 'M6 9.5H'.round($end, 1).implode('', $strokes);
    }

    public function render(): View
    {
        return view('components.barb');
    }

    private function strokes(): int
    {
        foreach (['.35' => 4, '.2' => 3, '.1' => 2] as $least => $strokes) {
            if ($this->line->freshPush() >= (float) $least) {
                return $strokes;
            }
        }

        return 1;
    }
}
