<?php

declare(strict_types=1);

namespace Tests\Core;

use Luftig\Core\Shell\Shell;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ShellTest extends TestCase
{
    /** @return list<array{string}> */
    public static function operations(): array
    {
        return [
            ['timing'], ['fit'], ['access'], ['priority'], ['match'], ['domain'], ['relation'], ['spot-check'],
            ['title'], ['contacts'], ['identity'],
        ];
    }

    #[DataProvider('operations')]
    public function test_each_operation_answers_its_own_example(string $operation): void
    {
        [$help, $code] = Shell::run([$operation, '--help'], fn (): string => '');
        self::assertSame(0, $code);
        $example = substr($help, strpos($help, "Example:\n") + 9);

        [$answer, $code] = Shell::run([$operation], fn (): string => $example);
        self::assertSame(0, $code, $answer);
        self::assertArrayNotHasKey('error', json_decode($answer, true));
    }

    public function test_numbers_come_unrounded_and_the_lines_add_up(): void
    {
        [$answer] = Shell::run(['priority'], fn (): string => '{"fit":0.8,"push":1.1,"access":0.5}');
        $answer = json_decode($answer, true);

        self::assertEqualsWithDelta(68.99744811276125, $answer['priority'], 1e-12);
        self::assertSame($answer['points'], array_sum($answer['lines']));
    }

    public function test_a_drag_has_no_share(): void
    {
        [$answer] = Shell::run(
            ['timing'],
            fn (): string => '{"now":"2026-11-23T09:00:00Z","signals":[{"id":"a","kind":"decline",'
                .'"occurred_at":"2026-11-20","strength":1,"confidence":1},{"id":"b","kind":"news",'
                .'"occurred_at":"2026-11-22","strength":1,"confidence":1}],"catalogue":{"news":{"weight":0.4}}}',
        );
        $signals = json_decode($answer, true)['signals'];

        self::assertSame(['a', null, -.35], [$signals[0]['id'], $signals[0]['share'], $signals[0]['push']]);
        self::assertSame(['b', 1.0, .4], [$signals[1]['id'], (float) $signals[1]['share'], $signals[1]['push']]);
    }

    /** @return list<array{string, string, string|int|null}> */
    public static function mistakes(): array
    {
        return [
            [
                'timing',
                '{"now":"2026-11-23","signals":[{"id":1,"kind":"wedding","occurred_at":"2026-11-23","strength":1,'
                    .'"confidence":1}]}',
                'signals[0].kind',
            ],
            ['timing', '{"now":"2026-02-30","signals":[]}', 'now'],
            [
                'timing',
                '{"now":"2026-11-23","signals":[],"catalogue":{"news":{"half_life":0}}}',
                'catalogue.news.half_life',
            ],
            [
                'fit',
                '{"criteria":[{"name":"x","field":"country","mode":"must","range":[1,2]}],"account":{}}',
                'criteria[0].range',
            ],
            ['fit', '{"criteria":[],"account":{"heads":3}}', 'account.heads'],
            [
                'fit',
                '{"criteria":[{"name":"x","field":"text","mode":"prefer","query":"(a"}],"account":{}}',
                'criteria[0].query',
            ],
            ['match', '{"query":"a AND","text":""}', 2],
            ['priority', '{"fit":2,"push":0,"access":0}', 'fit'],
            ['domain', '{}', 'text'],
            ['domain', 'no json', null],
            ['marriage', '{}', null],
        ];
    }

    #[DataProvider('mistakes')]
    public function test_mistakes_name_their_place_and_exit_with_one(
        string $operation,
        string $input,
        string|int|null $at,
    ): void {
        [$answer, $code] = Shell::run([$operation], fn (): string => $input);
        $error = json_decode($answer, true)['error'];

        self::assertSame([1, $at], [$code, $error['at']], $error['message']);
    }

    public function test_a_list_is_answered_one_by_one(): void
    {
        [$answer, $code] = Shell::run(['domain'], fn (): string => '[{"text":"a.example"},{"text":3}]');
        $answers = json_decode($answer, true);

        self::assertSame(0, $code);
        self::assertSame('a.example', $answers[0]['domain']);
        self::assertSame('text', $answers[1]['error']['at']);
    }

    public function test_contacts_keep_their_ids_and_none_is_lost(): void
    {
        $ask = function (string $contacts): array {
            return json_decode(
                Shell::run(
                    ['contacts'],
                    fn (): string => '{"headcount":420,"buyer_roles":[{"name":"M","functions":["maintenance"]}],'
                        .'"contacts":['
                        .$contacts.']}',
                )[0],
                true,
            );
        };
        $contact = fn (string $id, string $more = ''): string => '{"id":'.$id
            .',"title":"Head of Maintenance","push":1,"access":0.5'.$more.'}';
        self::assertSame(
            ['12', '7'],
            $ask($contact('"12"').','.$contact('"7"'))['taken'],
            'digits in quotes stay a text, and texts go by letters',
        );
        self::assertSame(
            [7, 12, '3'],
            array_column($ask($contact('"3"').','.$contact('12').','.$contact('7'))['ranked'], 'id'),
        );
        self::assertSame('contacts[1].id', $ask($contact('5').','.$contact('5'))['error']['at']);
        self::assertCount(2, $ask($contact('5').','.$contact('"5"'))['ranked'], 'a number and a text are two');
        self::assertSame([['id' => '9', 'why' => 'kept_out']], $ask($contact('"9"', ',"kept_out":true'))['skipped']);
        self::assertSame($ask($contact('1', ',"country":"SE"')), $ask($contact('1', ',"country":"se"')));
    }

    public function test_the_push_of_their_own_and_whom_the_reason_is_about_change_the_answer(): void
    {
        $ask = fn (string $more): array => json_decode(
            Shell::run(
                ['contacts'],
                fn (): string => '{"headcount":420,"buyer_roles":[{"name":"M","functions":["maintenance"],'
                    .'"neighbours":["operations"]}],"contacts":[{"id":1,"title":"Plant Planner","push":0.5,"access":0.6'
                    .$more.'},{"id":2,"title":"Head of Maintenance","push":1,"access":0.6}]}',
            )[0],
            true,
        );
        $priority = fn (array $answer): float => array_column($answer['ranked'], 'priority', 'id')[1];
        self::assertGreaterThan($priority($ask('')), $priority($ask(',"push_own":0.5')));
        self::assertSame([2], $ask('')['taken']);
        self::assertSame([1, 2], $ask(',"about":true')['taken']);
    }

    /** @return list<array{string, string}> operation, input that no rule is made for */
    public static function extremes(): array
    {
        return [
            ['priority', '{"fit":0.8,"push":1e308,"access":0.5}'],
            ['priority', '{"fit":0.8,"push":-1e308,"access":0.5}'],
            [
                'contacts',
                '{"headcount":1,"buyer_roles":[{"name":"M","functions":["maintenance"]}],"contacts":[{"id":1,'
                    .'"title":"x","push":1e308,"access":0.5}]}',
            ],
            ['fit', '{"criteria":[{"name":"x","field":"region","mode":"must","any":[" "]}],"account":{}}'],
            ['priority', '[[1]]'], ['priority', '"x"'], ['priority', 'null'], ['priority', '{"fit":"\\ud800"}'],
            ['match', str_repeat('[', 600)],
        ];
    }

    #[DataProvider('extremes')]
    public function test_anything_that_json_can_hold_is_answered_with_a_sentence(string $operation, string $json): void
    {
        $answer = json_decode(Shell::run([$operation], fn (): string => $json)[0], true);
        self::assertMatchesRegularExpression(
            '/^[A-Z].+\.$/su',
            $answer['error']['message'] ?? $answer[0]['error']['message'] ?? '',
        );
    }

    public function test_no_zero_has_a_sign(): void
    {
        [$answer] = Shell::run(['priority'], fn (): string => '{"fit":0,"push":-0.0,"access":-0.0}');
        self::assertStringNotContainsString('-0.0', $answer);
    }
}
