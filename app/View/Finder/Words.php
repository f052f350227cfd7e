<?php

declare(strict_types=1);

namespace App\View\Finder;

use App\Finder\Search;
use App\Finder\StepForm;
use App\Finder\TypicalWords;
use App\Support\Format;
use Illuminate\Support\Str;
use Luftig\Core\Search\Field;

/** Words of those found, told apart from all others, and words that their queries could add. */
final readonly class Words
{
    /**
     * @param  array<string, list<array{says: string, here: string, shares: string, title: string, only: string,
     *     without: string}>>  $frequent  by where they stand
     * @param  array<string, list<array{word: string, more: string, url: string}>>  $additions  by query
     */
    private function __construct(public array $frequent, public array $additions)
    {
    }

    public static function of(Search $search): self
    {
        $everybody = $search->withSteps([]);
        $frequent = [];
        foreach (TypicalWords::frequent($search, $everybody) as $field => $phrases) {
            $where = Field::from($field) === Field::Title ? 'in titles' : 'in what accounts say';
            $frequent[$where] = array_map(
                fn (array $phrase): array => self::phrase($search, $everybody, $phrase),
                $phrases,
            );
        }
        $additions = [];
        foreach (array_keys($search->steps) as $i) {
            $more = TypicalWords::additions($search, $everybody, $i);
            if ($more !== []) {
                $additions[$search->steps[$i]->says()] = array_map(fn (array $one): array => [
                    'word' => Str::afterLast($one['step']->says(), ' OR '), 'more' => Format::number($one['more']),
                    'url' => self::address($search, array_replace($search->steps, [$i => $one['step']])),
                ], $more);
            }
        }

        return new self($frequent, $additions);
    }

    public function isEmpty(): bool
    {
        return $this->frequent === [] && $this->additions === [];
    }

    /**
     * @param  array{step: StepForm, here: int, all: int}  $phrase
     * @return array{says: string, here: string, shares: string, title: string, only: string, without: string}
     */
    private static function phrase(Search $search, Search $everybody, array $phrase): array
    {
        ['step' => $step, 'here' => $here, 'all' => $all] = $phrase;
        [$total, $of] = [$search->total(), $everybody->total()];

        return [
            'says' => trim($step->says(), '"'), 'here' => Format::number($here),
            'shares' => Format::percent($here / max(1, $total)).' / '.Format::percent($all / max(1, $of)),
            'title' => Format::number($here).' of '.Format::number($total).' here, '.Format::number($all).' of '
                .Format::number($of).' in all',
            'only' => self::address($search, [...$search->steps, $step]),
            'without' => self::address($search, [...$search->steps, $step->with(['x' => '1'])]),
        ];
    }

    /** @param  array<int, StepForm>  $steps */
    private static function address(Search $search, array $steps): string
    {
        return route('finder', $search->parameters(array_values($steps)));
    }
}
