<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Company\Shown;
use Luftig\Core\Company\TechnologyHistory;
use Luftig\Core\Company\Visit;
use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;

/** Rule 24. */
final class TechnologiesOperation implements Operation
{
    public static function name(): string
    {
        return 'technologies';
    }

    public static function summary(): string
    {
        return 'What a company runs, since when, and what came and went.';
    }

    public static function fields(): array
    {
        return [
            'visits[]' => '{at, reached (true or false), found [{name, by: script, header, meta, cookie, text}]}, of '
                .'one page',
            'postings[]' => '{at, name}: a posting that names a technology; may be absent',
            'groups' => '{variant: what it counts as}; may be absent',
            'answer: in_use[]' => '{name, since, last_seen, confidence}',
            'answer: adopted[], dropped[]' => '{name, at}',
        ];
    }

    public static function example(): array
    {
        return [
            'visits' => [
                ['at' => '2026-10-01T00:00:00Z', 'reached' => true, 'found' => []],
                [
                    'at' => '2026-11-01T00:00:00Z', 'reached' => true,
                    'found' => [['name' => 'Vedliko Plan', 'by' => 'script']],
                ],
            ],
            'postings' => [['at' => '2026-11-10T00:00:00Z', 'name' => 'Vedliko-Plan v2']],
        ];
    }

    public static function answer(Input $input): array
    {
        $usages = TechnologyHistory::of(
            array_map(self::visit(...), $input->objects('visits')),
            $input->has('postings') ? array_map(self::posting(...), $input->objects('postings')) : [],
            $input->stringMap('groups'),
        );
        $input->done();
        $answer = ['in_use' => [], 'adopted' => [], 'dropped' => []];
        foreach ($usages as $usage) {
            if ($usage->since !== null && $usage->lastSeen !== null) {
                $answer['in_use'][] = [
                    'name' => $usage->name, 'since' => self::time($usage->since),
                    'last_seen' => self::time($usage->lastSeen), 'confidence' => $usage->confidence(),
                ];
            }
            foreach (['adopted' => $usage->adopted, 'dropped' => $usage->dropped] as $what => $times) {
                foreach ($times as $at) {
                    $answer[$what][] = ['name' => $usage->name, 'at' => self::time($at)];
                }
            }
        }

        return $answer;
    }

    private static function visit(Input $input): Visit
    {
        $found = array_map(static function (Input $one): array {
            $by = $one->choice('by', Shown::class);
            if ($by === Shown::Posting) {
                throw Mistake::at($one->place('by'), 'What a posting names stands under postings.');
            }
            $found = [$one->string('name'), $by];
            $one->done();

            return $found;
        }, $input->objects('found'));
        $visit = new Visit($input->time('at'), $input->boolean('reached'), $found);
        $input->done();

        return $visit;
    }

    /** @return array{float, string} */
    private static function posting(Input $input): array
    {
        $named = [$input->time('at'), $input->string('name')];
        $input->done();

        return $named;
    }

    private static function time(float $at): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', (int) $at);
    }
}
