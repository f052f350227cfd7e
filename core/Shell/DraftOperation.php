<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Reason\Words;
use Luftig\Core\Rules\Input;

/** Rule 21, of drafts. */
final class DraftOperation implements Operation
{
    private const APPROACHES = ['comment', 'connect', 'message', 'email', 'letter', 'call'];

    public static function name(): string
    {
        return 'draft';
    }

    public static function summary(): string
    {
        return 'Words for an approach, their slots filled, and whether they fit.';
    }

    public static function fields(): array
    {
        return [
            'approach' => implode(', ', self::APPROACHES),
            'template' => 'words with slots: {{slot}}, {{#slot}}…{{/slot}}, {{^slot}}…{{/slot}}; of a mail a first '
                .'line “Subject: …” may be the subject',
            'slots' => '{name: text}',
            'answer: text' => 'an open slot stands in brackets',
            'answer: open[]' => 'slots that could not be filled',
            'answer: length, limit' => 'characters; words of a mail or letter; points to say of a call',
            'answer: fits' => 'whether no slot is open and no limit exceeded',
        ];
    }

    public static function example(): array
    {
        return [
            'approach' => 'connect',
            'template' => 'Hello {{first_name}}, you seek a {{role}}.{{#story}} {{story}}{{/story}}',
            'slots' => ['first_name' => 'Pernille', 'role' => 'maintenance planner'],
        ];
    }

    public static function answer(Input $input): array
    {
        $approach = $input->string('approach');
        if (! in_array($approach, self::APPROACHES, true)) {
            throw Mistake::at('approach', 'An approach is one of '.implode(', ', self::APPROACHES).'.');
        }
        $words = Words::of($approach, $input->string('template'), $input->stringMap('slots'));
        $input->done();

        return [
            'text' => ($words->subject === null ? '' : "Subject: {$words->subject}\n\n").$words->text,
            'open' => $words->open, 'length' => $words->length, 'limit' => $words->limit, 'fits' => $words->fits,
        ];
    }
}
