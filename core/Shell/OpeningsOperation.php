<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;
use Luftig\Core\Signal\Opening;
use Luftig\Core\Signal\Openings;
use Luftig\Core\Signal\Posting;
use Luftig\Core\Signal\RoleOfInterest;

/** Rule 17. */
final class OpeningsOperation implements Operation
{
    public static function name(): string
    {
        return 'openings';
    }

    public static function summary(): string
    {
        return 'Openings told from postings, and how strongly they speak for an account.';
    }

    public static function fields(): array
    {
        return [
            'postings[]' => '{id, employer, title, place, posted_at, text, employment_type, agency_hint?}; place, text '
                .'and employment_type may be empty',
            'role' => '{title_query, text_query?, employment_types? (full-time)}; absent: every opening counts 1',
            'answer: openings[]' => '{ids, title, agency (true or false), counts (1, .5 or 0)}',
            'answer: strength' => '0–1',
        ];
    }

    public static function example(): array
    {
        return [
            'postings' => [
                [
                    'id' => 1, 'employer' => 'Glasverk Tunhede A/S', 'title' => 'Maintenance planner (m/f/x)',
                    'place' => 'Hobro', 'posted_at' => '2026-11-01T08:00:00Z',
                    'text' => 'You know compressed air and steam.', 'employment_type' => 'FULL_TIME',
                ],
                [
                    'id' => 2, 'employer' => 'Glasverk Tunhede', 'title' => 'Maintenance Planner', 'place' => 'Hobro',
                    'posted_at' => '2026-11-20T08:00:00Z', 'text' => 'You know compressed air and steam.',
                    'employment_type' => 'full-time',
                ],
            ],
            'role' => ['title_query' => '"maintenance planner"', 'text_query' => '"compressed air"'],
        ];
    }

    public static function answer(Input $input): array
    {
        $postings = array_map(self::posting(...), $input->objects('postings'));
        $role = $input->optionalObject('role');
        $openings = Openings::of($postings, $role === null ? null : self::role($role));
        $input->done();

        return [
            'openings' => array_map(static fn (Opening $one): array => [
                'ids' => array_map(static fn (Posting $posting): int|string => $posting->id, $one->postings),
                'title' => $one->newest()->title, 'agency' => $one->agency() !== null, 'counts' => $one->counts,
            ], $openings),
            'strength' => Openings::strength($openings),
        ];
    }

    private static function posting(Input $input): Posting
    {
        $posting = new Posting(
            $input->id('id'),
            $input->string('employer'),
            $input->string('title'),
            $input->optionalString('place') ?? '',
            $input->time('posted_at'),
            $input->optionalString('text') ?? '',
            $input->optionalString('employment_type') ?? '',
            $input->boolean('agency_hint') ? true : null,
        );
        $input->done();

        return $posting;
    }

    private static function role(Input $input): RoleOfInterest
    {
        $role = new RoleOfInterest(
            '',
            $input->optionalQuery('title_query')
                ?? throw Mistake::at($input->place('title_query'), 'A role of interest needs a query for its titles.'),
            $input->optionalQuery('text_query'),
            0,
            $input->strings('employment_types'),
        );
        $input->done();

        return $role;
    }
}
