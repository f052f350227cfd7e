<?php

declare(strict_types=1);

namespace App\View\Feeds;

use App\Models\FeedItem;
use App\Models\ItemState;
use App\Models\Signal;
use App\Support\Format;

/** What a feed brought in a line, and what became of it. */
final readonly class ItemLine
{
    private function __construct(public FeedItem $item)
    {
    }

    public static function of(FeedItem $item): self
    {
        return new self($item);
    }

    public function about(): string
    {
        return Format::line(
            is_string($this->item->facts['employer'] ?? null) ? $this->item->facts['employer'] : null,
            is_string($this->item->facts['place'] ?? null) ? $this->item->facts['place'] : null,
            is_string($this->item->facts['paper'] ?? null) ? $this->item->facts['paper'] : null,
            $this->item->at === null ? null : Format::date($this->item->at),
        );
    }

    public function state(): string
    {
        return ucfirst($this->item->state->label()).($this->item->gone_at === null ? '' : ', no longer listed');
    }

    /** What it became, or why nothing. */
    public function outcome(): string
    {
        $signals = $this->item->signals->map(
            fn (Signal $signal): string => lcfirst($signal->kind->label()).': '.$signal->title,
        )->unique()->all();

        return match (true) {
            $signals !== [] => implode(' · ', $signals),
            $this->item->state === ItemState::Taken => 'It makes no signal: nothing that is looked for.',
            default => (string) $this->item->why,
        };
    }
}
