<?php

declare(strict_types=1);

namespace App\View\Feeds;

use App\Feeds\PressClasses;
use App\Models\FeedItem;
use App\Models\ItemKind;
use App\Models\PressClass;
use App\Support\Format;
use Illuminate\Support\Collection;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Text\Query;
use Luftig\Core\Text\QueryMistake;

/** What reports of the press are about, by the team's text queries; and what a query finds in those that came. */
final readonly class PressPage
{
    private const REPORTS = 1000;

    private const SHOWN = 6;

    /** @param  Collection<int, PressClass>  $classes */
    private function __construct(public Collection $classes)
    {
    }

    public static function of(): self
    {
        PressClasses::all();

        return new self(PressClass::query()->orderBy('position')->get());
    }

    public function says(PressClass $class): string
    {
        $kind = $class->kind->label();

        return $class->name === $kind ? $kind : "{$class->name}: counts as $kind";
    }

    /** @return array<string, string> */
    public function kinds(): array
    {
        $labels = [];
        foreach (Kind::cases() as $kind) {
            $labels[$kind->value] = $kind->label();
        }

        return $labels;
    }

    /**
     * Tried on the newest reports that feeds brought.
     *
     * @return array{says: string, titles: list<string>, mistake: string|null}
     */
    public static function trial(string $query): array
    {
        try {
            $read = Query::parse($query);
        } catch (QueryMistake $mistake) {
            return ['says' => '', 'titles' => [], 'mistake' => $mistake->inWords()];
        }
        $reports = FeedItem::query()->where('kind', ItemKind::Report)->latest('at')->limit(self::REPORTS)
            ->get(['id', 'title', 'facts']);
        $found = $reports->filter(fn (FeedItem $one): bool => $read->matches(
            $one->title.' '.(is_string($one->facts['text'] ?? null) ? $one->facts['text'] : ''),
        ));

        return [
            'says' => 'Found in '.Format::number($found->count()).' of the newest '
                .Format::count($reports->count(), 'report').'.',
            'titles' => array_values($found->take(self::SHOWN)->pluck('title')->all()), 'mistake' => null,
        ];
    }
}
