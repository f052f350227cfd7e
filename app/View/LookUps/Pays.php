<?php

declare(strict_types=1);

namespace App\View\LookUps;

use App\LookUps\FigureGains;
use App\LookUps\Gains;
use App\LookUps\Spending;
use App\Models\Offer;
use App\Models\User;
use App\Support\Format;

/** Where a look-up pays, and what it would bring. */
final readonly class Pays
{
    private function __construct(private Gains $gains, private float $left, private ?FigureGains $figures)
    {
    }

    public static function of(Offer $offer, User $user): self
    {
        $left = Spending::leftTo($user);

        return new self(Gains::for($offer, $user, $left), $left, null);
    }

    /** With figures of companies beside it. */
    public static function ofAll(Offer $offer, User $user): self
    {
        $left = Spending::leftTo($user);

        return new self(Gains::for($offer, $user, $left), $left, FigureGains::for($offer, $user, $left));
    }

    /** “9 figures for 9 credits would move the ranking” */
    public function saysOfFigures(): string
    {
        $many = count($this->figures->proposed ?? []);

        return $many === 0 ? '' : Format::count($many, 'figure').' for '
            .Format::count((int) round($this->figures->cost ?? 0), 'credit').' would move the ranking, up or down.';
    }

    /**
     * @return list<array{value: string, account: int, company: string, figure: string, service: string, chance: string,
     *     now: string, couldBe: string, gain: string, price: string}>
     */
    public function figures(): array
    {
        return array_map(fn (array $one): array => [
            'value' => "{$one['standing']->account_id}-{$one['figure']->value}",
            'account' => $one['standing']->account_id, 'company' => $one['standing']->account->name,
            'figure' => $one['figure']->label(), 'service' => $one['line']->service,
            'chance' => Format::percent($one['line']->chance), 'now' => Format::priority($one['line']->now),
            'couldBe' => implode('–', array_unique(
                array_map(Format::priority(...), [$one['low'], $one['high']]),
            )),
            'gain' => Format::points($one['line']->gain()), 'price' => Format::worth($one['line']->price),
        ], $this->figures->proposed ?? []);
    }

    public function isAny(): bool
    {
        return $this->gains->proposed !== [];
    }

    /** “12 look-ups for 30 credits would bring 5 more accounts into this week’s plan” */
    public function says(): string
    {
        $many = count($this->gains->proposed);
        if ($many === 0) {
            return $this->left <= 0
                ? 'Nothing may be spent at present, so no look-up is proposed.'
                : 'No look-up would move the ranking: whom one would contact first has a checked address.';
        }

        return Format::count($many, 'look-up').' for '.Format::count((int) round($this->gains->cost), 'credit')
            .($this->gains->more > 0
                ? ' would bring '.Format::count($this->gains->more, 'more account').' into this week’s plan'
                : ' would raise the best of this week’s plan').'.';
    }

    /**
     * @return list<array{contact: int, name: string, title: string, account: int, company: string, service: string,
     *     chance: string, now: string, with: string, gain: string, price: string}>
     */
    public function rows(): array
    {
        return array_map(fn (array $one): array => [
            'contact' => $one['contact']->id, 'name' => $one['contact']->name(),
            'title' => (string) $one['contact']->title, 'account' => $one['standing']->account_id,
            'company' => $one['standing']->account->name, 'service' => $one['service']->name,
            'chance' => Format::percent($one['line']->chance), 'now' => Format::priority($one['line']->now),
            'with' => Format::priority($one['line']->with), 'gain' => Format::points($one['line']->gain()),
            'price' => Format::worth($one['line']->price),
        ], $this->gains->proposed);
    }
}
