<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Reason\Likeness;
use Luftig\Core\Rules\Input;

/** Rule 21, of stories. */
final class StoryOperation implements Operation
{
    public static function name(): string
    {
        return 'story';
    }

    public static function summary(): string
    {
        return 'Which of our stories are of companies like an account.';
    }

    public static function fields(): array
    {
        return [
            'account' => '{industries [ISIC codes], headcount?, country?, technologies? [..]}',
            'stories[]' => '{id, industries, headcount?, country?, technologies?}',
            'answer' => '[{id, likeness}] from .4 on, the most alike first',
        ];
    }

    public static function example(): array
    {
        return [
            'account' => ['industries' => ['2310'], 'headcount' => 420, 'country' => 'DK', 'technologies' => []],
            'stories' => [
                ['id' => 'glassworks', 'industries' => ['2310'], 'headcount' => 380, 'country' => 'DK'],
                ['id' => 'school', 'industries' => ['85'], 'headcount' => 40, 'country' => 'FI'],
            ],
        ];
    }

    public static function answer(Input $input): array
    {
        $account = self::company($input->object('account'));
        $found = [];
        foreach ($input->objects('stories') as $story) {
            $id = $story->id('id');
            $likeness = self::company($story)->to($account);
            if ($likeness >= Likeness::LEAST) {
                $found[] = ['id' => $id, 'likeness' => $likeness];
            }
        }
        $input->done();
        usort($found, static fn (array $a, array $b): int => [$b['likeness'], (string) $a['id']]
            <=> [$a['likeness'], (string) $b['id']]);

        return $found;
    }

    private static function company(Input $input): Likeness
    {
        $company = new Likeness(
            $input->strings('industries'),
            $input->optionalInteger('headcount'),
            $input->optionalString('country'),
            $input->strings('technologies'),
        );
        $input->done();

        return $company;
    }
}
