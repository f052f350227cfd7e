<?php

declare(strict_types=1);

namespace App\View\Components;

use App\Models\Approach;
use App\Models\Offer;
use App\Models\User;
use App\Support\Format;
use App\View\Asset;
use App\View\Help;
use App\View\Screen;
use Illuminate\Contracts\View\View as Rendered;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\View;
use Illuminate\View\Component;

/** What stands round every screen: the navigation, how far somebody is today, the offer they work for. */
final class Layout extends Component
{
    public readonly ?User $user;

    public readonly int $used;

    public readonly string $pace;

    /** @var Collection<int, Offer> */
    public readonly Collection $offers;

    public readonly ?Offer $offer;

    /** @param  string  $at  the screen it is part of */
    public function __construct(public readonly string $title, public readonly string $at = '')
    {
        $this->user = request()->user();
        $this->offers = View::shared('offers', collect());
        $this->offer = app()->bound(Offer::class) ? app(Offer::class) : null;
        $this->used = $this->user === null ? 0 : Approach::query()->todayBy($this->user)->count();
        $this->pace = $this->user === null ? '' : Format::number($this->used).' of '.Format::number($this->user->pace);
    }

    public function asset(string $file): string
    {
        return Asset::url($file);
    }

    /** Of today's pace, 0–1. */
    public function share(): float
    {
        return $this->user === null ? 0.0 : min(1.0, $this->used / max(1, $this->user->pace));
    }

    /** @return list<Screen> */
    public function navigation(): array
    {
        return Screen::navigation();
    }

    /** @return list<Screen> */
    public function menu(): array
    {
        return $this->user === null ? [] : once(fn (): array => Screen::menu($this->user));
    }

    /** @return list<string> what the screen is for */
    public function help(): array
    {
        return Help::of(request()->route()?->getName());
    }

    /** @return array<string, string> what it does → its keys, parted by blanks; several words are said as they are */
    public function keys(): array
    {
        $all = $this->all();

        return [
            'move' => '↑ ↓ or K J', 'open what is in focus' => 'Enter', 'close, or go back' => 'Esc',
            'record a reason' => 'R', 'later' => 'L', 'keep out' => 'X', 'note' => 'N',
            'on Today: another angle, change the reason first, ask for an introduction' => 'W E I',
            'copy the words, write a mail, call, open the profile' => 'C M H O',
            'keep, drop' => 'P D', 'add to a list' => 'A', 'the account before, the next' => '← →',
            'in a buying group: the part above, below' => 'Shift ↑ ↓',
            'go to any account, contact, list or screen' => '/',
            implode(', ', array_map(fn (Screen $one): string => $one->label(), $all)) => 'G then '
                .implode(' ', array_map(fn (Screen $one): string => strtoupper($one->key()), $all)),
        ];
    }

    public function render(): Rendered
    {
        return view('components.layout');
    }

    /** @return list<Screen> */
    private function all(): array
    {
        return $this->user === null ? [] : [...$this->navigation(), ...$this->menu()];
    }
}
