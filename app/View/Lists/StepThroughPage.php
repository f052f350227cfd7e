<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Finder\ResultRows;
use App\Models\KeptList;
use App\Models\Offer;
use App\Support\Format;
use Luftig\Core\Search\Subject;

/** A list that is decided one after the other. */
final readonly class StepThroughPage
{
    /** @param  array<int, string>  $others  lists to put one on */
    private function __construct(
        public KeptList $list,
        public ?RecordCard $card,
        public ?int $next,
        public string $progress,
        public int $kept,
        public bool $isEmpty,
        public array $others,
    ) {
    }

    public static function of(Offer $offer, KeptList $list): self
    {
        $next = $list->members()->whereNull('keep')->value('record_id');
        $rows = ResultRows::of($offer, Subject::from($list->subject), $next === null ? [] : [(int) $next]);
        $size = $list->members()->count();
        $decided = $list->members()->whereNotNull('keep')->count();
        $kept = $list->members()->where('keep', true)->count();

        return new self(
            $list,
            RecordCard::of($rows),
            $next === null ? null : (int) $next,
            Format::number($decided).' of '.Format::number($size).' decided, '.Format::number($kept).' kept',
            $kept,
            $size === 0,
            KeptList::query()->where('offer_id', $list->offer_id)->where('subject', $list->subject)
                ->whereKeyNot($list->id)
                ->orderBy('name')->pluck('name', 'id')->all(),
        );
    }

    public function keep(): string
    {
        return 'Make a list of the '.Format::number($this->kept).' kept';
    }
}
