<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Models\Standing;
use App\Support\Format;
use App\View\Account\Ribbon as Time;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\View\Component;

/**
 * An account's time as it is drawn: the curve of timing over a wedge for each signal, in a field of 1,200 units across.
 */
final class Ribbon extends Component
{
    private const LEFT = 190;

    private const RIGHT = 1172;

    private const TOP = 18;

    private const CURVE = 56;

    private const STEP = 29;

    private const THICKEST = 9;

    private const TEXT = 29;

    private const MONTH = 30;

    public readonly int $height;

    public readonly string $says;

    public function __construct(public readonly Time $ribbon, private readonly Standing $standing)
    {
        $this->height = self::TOP + self::CURVE + 22 + self::STEP * count($ribbon->wedges) + 26;
        $this->says = 'Timing is '.Format::part($standing->timing()).' today; '
            .($standing->act_by === null ? 'no act-by day' : 'act by '.Format::day($standing->act_by)).'. '
            .count($ribbon->wedges).' signals are drawn; they are listed under What happened.';
    }

    public function today(): string
    {
        return Format::part($this->standing->timing()).' today';
    }

    /** The curve as an area, as far as today, and from today on. */
    public function area(): string
    {
        return 'M'.$this->point(-Time::BACK, 0.0).'L'.$this->curve(-Time::BACK, Time::AHEAD).'L'
            .$this->point(Time::AHEAD, 0.0).'Z';
    }

    public function past(): string
    {
        return 'M'.$this->curve(-Time::BACK, 0);
    }

    public function ahead(): string
    {
        return 'M'.$this->curve(0, Time::AHEAD);
    }

    /** @return list<array{text: string, title: string, y: int, path: string, tone: string, at: float|null}> */
    public function wedges(): array
    {
        $wedges = [];
        foreach ($this->ribbon->wedges as $i => $wedge) {
            $middle = self::TOP + self::CURVE + 24 + self::STEP * $i;
            $at = -$wedge['signal']->occurred_at->diffInSeconds(CarbonImmutable::now()) / 86400;
            $wedges[] = [
                'text' => Format::cut($wedge['signal']->title, self::TEXT),
                'title' => $wedge['signal']->title,
                'y' => $middle,
                'path' => $this->wedge($wedge['thickness'], $middle), 'tone' => $wedge['against'] ? 'against' : 'for',
                'at' => $at >= -Time::BACK && $at <= Time::AHEAD ? $this->x($at) : null,
            ];
        }

        return $wedges;
    }

    /** @return array{x: float, textX: float, textY: int, anchor: string, text: string}|null */
    public function actBy(): ?array
    {
        $day = $this->ribbon->actBy;
        if ($day === null || $this->standing->act_by === null || $day < -Time::BACK || $day > Time::AHEAD) {
            return null;
        }

        return [
            'x' => $this->x($day), 'textX' => $this->x($day) + ($day > 10 ? -6 : 6), 'textY' => abs($day) < 8 ? 28 : 13,
            'anchor' => $day > 10 ? 'end' : 'start',
            'text' => ($day < 0 ? 'ran out' : 'act by').' '.Format::day($this->standing->act_by),
        ];
    }

    /** @return array<string, float> day as it is written → where */
    public function months(): array
    {
        $months = [];
        for ($day = -Time::BACK; $day <= Time::AHEAD; $day += self::MONTH) {
            if ($day !== 0) {
                $months[CarbonImmutable::today()->addDays($day)->format('j M')] = $this->x($day);
            }
        }

        return $months;
    }

    public function x(float $day): float
    {
        return round(self::LEFT + (self::RIGHT - self::LEFT) * ($day + Time::BACK) / (Time::BACK + Time::AHEAD), 1);
    }

    public function render(): View
    {
        return view('components.ribbon');
    }

    private function point(float $day, float $timing): string
    {
        return $this->x($day).' '.round(self::TOP + self::CURVE * (1 - $timing), 1);
    }

    private function curve(int $from, int $to): string
    {
        return implode(
            'L',
            array_map(fn (int $day): string => $this->point($day, $this->ribbon->timing[$day]), range($from, $to)),
        );
    }

    /** @param  array<int, float>  $thickness  day → 0–1 */
    private function wedge(array $thickness, int $middle): string
    {
        $edge = fn (array $days, int $side): string => implode('L', array_map(
            fn (int $day): string => $this->x($day).' '.round($middle + $side * self::THICKEST * $thickness[$day], 1),
            $days,
        ));
        $days = array_keys($thickness);

        return 'M'.$edge($days, -1).'L'.$edge(array_reverse($days), 1).'Z';
    }
}
