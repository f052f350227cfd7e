<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Likeness\Alike;
use Luftig\Core\Likeness\Frequencies;
use Luftig\Core\Likeness\Lookalikes;
use Luftig\Core\Likeness\Profile;
use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;

/** Rule 14. */
final class LookalikesOperation implements Operation
{
    private const MOST = 50;

    public static function name(): string
    {
        return 'lookalikes';
    }

    public static function summary(): string
    {
        return 'Which accounts are alike to some examples, by what phrases, and which example stands apart.';
    }

    public static function fields(): array
    {
        return [
            'accounts[]' => '{id, text?, industries? [ISIC codes], headcount?}',
            'examples' => '[ids], at least one',
            'counter_examples' => '[ids]',
            'most' => 'so many results at most (50)',
            'answer' => '{results [{id, likeness 0–1, phrases}], the most alike first, examples among them, '
                .'counter-examples not; coherence 0–1; odd_one (id, or null)}',
        ];
    }

    public static function example(): array
    {
        $account = static fn (string $id, string $text): array => [
            'id' => $id, 'text' => $text, 'industries' => ['2220'], 'headcount' => 120,
        ];

        return [
            'accounts' => [
                $account('film', 'We blow stretch film for pallets, day and night.'),
                $account('foil', 'Stretch film and shrink film for pallets.'),
                $account('pipe', 'Pipes and fittings for water works.'),
            ],
            'examples' => ['film'], 'counter_examples' => ['pipe'],
        ];
    }

    public static function answer(Input $input): array
    {
        $profiles = [];
        foreach ($input->objects('accounts') as $i => $account) {
            $id = $account->id('id');
            if (isset($profiles[$id])) {
                throw Mistake::at("accounts[$i].id", 'This account stands here twice.');
            }
            $profiles[$id] = Profile::of(
                $id,
                $account->optionalString('text') ?? '',
                $account->strings('industries'),
                $account->optionalInteger('headcount'),
            );
            $account->done();
        }
        $examples = self::named($input, 'examples', $profiles);
        $counter = self::named($input, 'counter_examples', $profiles);
        $most = $input->optionalInteger('most') ?? self::MOST;
        $input->done();
        $both = array_intersect_key($examples, $counter);
        if ($both !== []) {
            throw Mistake::at('counter_examples', 'An example cannot be a counter-example too.');
        }
        $alike = Lookalikes::to(array_values($examples), array_values($counter), Frequencies::of(
            array_map(static fn (Profile $one): array => $one->grams, $profiles),
        ));
        $results = array_map($alike->of(...), array_values(array_diff_key($profiles, $counter)));
        usort($results, static fn (Alike $a, Alike $b): int => [$b->likeness, (string) $a->id]
            <=> [$a->likeness, (string) $b->id]);

        return [
            'results' => array_map(static fn (Alike $one): array => [
                'id' => $one->id, 'likeness' => $one->likeness, 'phrases' => $one->phrases,
            ], array_slice($results, 0, $most)),
            'coherence' => $alike->coherence(),
            'odd_one' => $alike->oddOne(),
        ];
    }

    /**
     * @param  array<array-key, Profile>  $profiles
     * @return array<array-key, Profile>
     */
    private static function named(Input $input, string $field, array $profiles): array
    {
        $named = [];
        foreach ($input->ids($field) as $i => $id) {
            $named[$id] = $profiles[$id] ?? throw Mistake::at("{$field}[$i]", 'There is no account of this id.');
        }

        return $named;
    }
}
