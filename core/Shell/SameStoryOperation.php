<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Rules\Input;
use Luftig\Core\Signal\Story;

/** Rule 25. */
final class SameStoryOperation implements Operation
{
    public static function name(): string
    {
        return 'same-story';
    }

    public static function summary(): string
    {
        return 'Whether two reports tell the same story.';
    }

    public static function fields(): array
    {
        return [
            'a, b' => '{title, at, links? [..]}',
            'answer: same' => 'true or false',
            'answer: share' => 'share of the words of both titles, without stop words, that stand in both, 0–1',
        ];
    }

    public static function example(): array
    {
        return [
            'a' => ['title' => 'Glasverk Tunhede builds a fourth line', 'at' => '2026-11-20T08:00:00Z'],
            'b' => ['title' => 'A fourth line for Glasverk Tunhede', 'at' => '2026-11-21T08:00:00Z'],
        ];
    }

    public static function answer(Input $input): array
    {
        $a = self::story($input->object('a'));
        $b = self::story($input->object('b'));
        $input->done();

        return ['same' => $a->isSame($b), 'share' => $a->share($b)];
    }

    private static function story(Input $input): Story
    {
        $story = new Story($input->string('title'), $input->time('at'), $input->strings('links'));
        $input->done();

        return $story;
    }
}
