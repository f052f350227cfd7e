<?php

declare(strict_types=1);

namespace App\Finder;

use Illuminate\Support\Facades\DB;
use Luftig\Core\Likeness\Frequencies;
use Luftig\Core\Likeness\TypicalPhrase;
use Luftig\Core\Likeness\TypicalPhrases;
use Luftig\Core\Search\Comparison;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;
use Luftig\Core\Text\Fold;
use Luftig\Core\Text\Grams;
use Luftig\Core\Text\Query;

/**
 * Words that are frequent in what was found and rare elsewhere, and words that a query could add. They are picked from
 * samples; what is shown of them is counted.
 */
final class TypicalWords
{
    private const SAMPLE = 400;

    /** So many times as frequent here as among the others a phrase has to be, counted and not only in the samples. */
    private const RARE = 2;

    /** Fields whose texts are looked at. */
    private const LOOKED_AT = [Field::Title, Field::Words];

    /**
     * @return array<string, list<array{step: StepForm, here: int, all: int}>> field → phrases, the most typical first
     */
    public static function frequent(Search $search, Search $everybody): array
    {
        $found = [];
        foreach (self::LOOKED_AT as $field) {
            if ($field->suits($search->subject)) {
                $steps = array_map(
                    fn (string $phrase): StepForm => self::step($field, $phrase),
                    self::phrases($search, $everybody, $field),
                );
                $counted = array_map(
                    fn (StepForm $step): array => [
                        'step' => $step,
                        'here' => $search->meeting($step),
                        'all' => $everybody->meeting($step),
                    ],
                    $steps,
                );
                [$some, $others] = [$search->total(), $everybody->total() - $search->total()];
                $found[$field->value] = array_values(array_filter(
                    $counted,
                    fn (array $one): bool => self::RARE * ($one['all'] - $one['here']) * $some < $one['here'] * $others,
                ));
            }
        }

        return array_filter($found);
    }

    /**
     * Words that are typical of those found and that the query of a step does not ask for, with how many more would be
     * found if it did.
     *
     * @return list<array{step: StepForm, more: int}>
     */
    public static function additions(Search $search, Search $everybody, int $i): array
    {
        $step = $search->steps[$i];
        if (
            $step->field->test() !== Comparison::Query
            || $step->excludes()
            || ! in_array($step->field, self::LOOKED_AT, true)
        ) {
            return [];
        }
        $query = $step->query();
        $isList = Query::pasted($query) !== [];
        $additions = [];
        foreach (self::phrases($search, $everybody, $step->field) as $phrase) {
            $wider = $step->with([
                'q' => $isList
                    ? Pasted::short("$query\n$phrase")
                    : (preg_match('/\s/', $query) === 1 ? "($query)" : $query).' OR '.self::quoted($phrase),
            ]);
            $more = $search->withSteps(array_values(array_replace($search->steps, [$i => $wider])))->total()
                - $search->total();
            if ($more > 0) {
                $additions[] = ['step' => $wider, 'more' => $more];
            }
        }

        return $additions;
    }

    /** @return list<string> */
    private static function phrases(Search $search, Search $everybody, Field $field): array
    {
        $own = $search->spread(self::SAMPLE);
        $others = array_values(array_diff($everybody->spread(3 * self::SAMPLE), $own));
        $texts = self::texts($search->subject, $field, $own);
        $typical = TypicalPhrases::of(
            Frequencies::of(array_map(Grams::of(...), $texts)),
            Frequencies::of(array_map(Grams::of(...), self::texts($search->subject, $field, $others))),
            8,
        );
        // Shown as they are written, and not as they are compared.
        $written = [];
        preg_match_all('/[\p{L}\p{N}]+/u', mb_strtolower(implode(' ', $texts)), $words);
        foreach ($words[0] as $word) {
            $written[trim(Fold::line($word))] ??= $word;
        }

        return array_map(fn (TypicalPhrase $one): string => implode(
            ' ',
            array_map(fn (string $word): string => $written[$word] ?? $word, explode(' ', $one->phrase)),
        ), $typical);
    }

    /**
     * @param  list<int>  $ids
     * @return list<string>
     */
    private static function texts(Subject $subject, Field $field, array $ids): array
    {
        $texts = $field === Field::Title
            ? DB::table('contacts')->whereIn('id', $ids)->whereNotNull('title')->pluck('title')
            : DB::table('accounts')->whereIn(
                'id',
                $subject === Subject::Accounts
                    ? $ids
                    : DB::table('contacts')->whereIn('id', $ids)->select('account_id'),
            )->leftJoin('site_texts', 'account_id', '=', 'accounts.id')
                ->selectRaw("CONCAT_WS('; ', keywords, description, site_texts.text) AS words")->pluck('words');

        return array_values($texts->all());
    }

    private static function step(Field $field, string $phrase): StepForm
    {
        return StepForm::of($field, ['q' => self::quoted($phrase)]);
    }

    private static function quoted(string $phrase): string
    {
        return str_contains($phrase, ' ') ? "\"$phrase\"" : $phrase;
    }
}
