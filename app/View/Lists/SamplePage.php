<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Finder\ResultRows;
use App\Finder\Search;
use App\Lists\Sample;
use App\Models\KeptList;
use App\Models\Offer;
use App\Support\Format;
use Luftig\Core\Search\Subject;

/** A spot check: the one to be judged next, and how good the list is as far as one knows (rule 13). */
final readonly class SamplePage
{
    /** @param  list<array{says: string, misses: string, url: string}>  $shared  what the misses share */
    private function __construct(
        public KeptList $list,
        private Sample $sample,
        public ?RecordCard $card,
        public array $shared,
    ) {
    }

    public static function of(Offer $offer, KeptList $list, Search $search): self
    {
        $sample = Sample::of($list);
        $rows = ResultRows::of($offer, Subject::from($list->subject), array_slice($sample->next, 0, 1));

        return new self($list, $sample, RecordCard::of($rows), array_map(fn (array $one): array => [
            'says' => "Without {$one['step']->field->label()}: {$one['step']->says()}",
            'misses' => "{$one['misses']} misses, no hit",
            'url' => $one['address'],
        ], $sample->exclusions($offer, $search)));
    }

    public function left(): string
    {
        return count($this->sample->next).' left to judge, drawn evenly over the list';
    }

    public function nothingLeft(): string
    {
        return $this->sample->size === 0
            ? 'The list is empty.'
            : 'The sample is judged; it is known well enough how good the list is.';
    }

    public function isBegun(): bool
    {
        return $this->sample->fits !== [];
    }

    public function interval(): string
    {
        return Format::percent($this->sample->check->low).' – '.Format::percent($this->sample->check->high);
    }

    public function judged(): string
    {
        return 'of it fits, with 95 % confidence: '.(int) array_sum($this->sample->fits).' of '
            .count($this->sample->fits).' judged';
    }

    public function expected(): string
    {
        $check = $this->sample->check;
        $more = $check->more > 0
            ? "{$check->more} more to judge until that is known to within 10 points."
            : 'That is known well enough.';

        return 'Of '.Format::number($this->sample->size).', '.Format::number(floor($check->expected[0])).' to '
            .Format::number(ceil($check->expected[1]))." are good. $more";
    }
}
