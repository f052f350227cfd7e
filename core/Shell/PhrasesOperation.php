<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Likeness\Frequencies;
use Luftig\Core\Likeness\TypicalPhrase;
use Luftig\Core\Likeness\TypicalPhrases;
use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;
use Luftig\Core\Text\Grams;

/** Rule 14, of phrases. */
final class PhrasesOperation implements Operation
{
    private const MOST = 50;

    public static function name(): string
    {
        return 'phrases';
    }

    public static function summary(): string
    {
        return 'Phrases that are typical of some texts, against all the others.';
    }

    public static function fields(): array
    {
        return [
            'texts' => '{id: text}',
            'examples' => '[ids], at least one',
            'answer' => '[{phrase, z from 1.96 on, in (how many of the examples, at least 2)}], the most typical '
                .'first, '.self::MOST.' at most',
        ];
    }

    public static function example(): array
    {
        return [
            'texts' => [
                'film' => 'We blow stretch film for pallets.', 'foil' => 'Stretch film and shrink film.',
                'pipe' => 'Pipes and fittings for water works.', 'mill' => 'Flour and bran.',
                'yarn' => 'Yarn and cloth.', 'saw' => 'Boards and beams.',
            ],
            'examples' => ['film', 'foil'],
        ];
    }

    public static function answer(Input $input): array
    {
        $texts = $input->stringMap('texts');
        $here = [];
        foreach ($input->ids('examples') as $i => $id) {
            $here[$id] = Grams::of($texts[$id] ?? throw Mistake::at("examples[$i]", 'There is no text of this id.'));
        }
        if ($here === []) {
            throw Mistake::at('examples', 'Name at least one example.');
        }
        $input->done();

        return array_map(
            static fn (TypicalPhrase $one): array => ['phrase' => $one->phrase, 'z' => $one->z, 'in' => $one->in],
            TypicalPhrases::of(Frequencies::of($here), Frequencies::of(
                array_map(Grams::of(...), array_diff_key($texts, $here)),
            ), self::MOST),
        );
    }
}
