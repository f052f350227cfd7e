<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Reason\Angle;
use Luftig\Core\Reason\AngleContact;
use Luftig\Core\Reason\AngleSignal;
use Luftig\Core\Reason\Holding;
use Luftig\Core\Rules\Angles;
use Luftig\Core\Rules\Input;
use Luftig\Core\Signal\Kind;

/** Rule 21, of angles. */
final class AngleOperation implements Operation
{
    private const DAY = 86_400;

    public static function name(): string
    {
        return 'angle';
    }

    public static function summary(): string
    {
        return 'Which angles hold for a contact, the heaviest first.';
    }

    public static function fields(): array
    {
        return [
            'now' => 'ISO 8601, UTC',
            'contact' => '{id, position_since?, signals [{id, kind, whose: own, colleague or account, text?, role?, '
                .'live, push}], facts? [{type, value}]}',
            'angles[]' => '{id, needed [part], welcome? [part]}; a part is {kind?, whose?, role?, query?, live? '
                .'(true)} or {fact, value?}; the fact new_in_position asks for less than so many days',
            'used[]' => '{angle, contact, at}: of the contact and of colleagues there; may be absent',
            'answer' => '[{id, weight, rests_on [signal ids], facts [{type, value}]}]',
        ];
    }

    public static function example(): array
    {
        return [
            'now' => '2026-11-23T09:00:00Z',
            'contact' => ['id' => 7, 'signals' => [
                ['id' => 1, 'kind' => 'hiring', 'whose' => 'account', 'text' => 'Maintenance planner sought',
                    'live' => true, 'push' => .3],
            ], 'facts' => [['type' => 'technology', 'value' => 'Vedliko Plan']]],
            'angles' => [
                ['id' => 'relief', 'needed' => [['kind' => 'hiring', 'query' => 'planner']],
                    'welcome' => [['fact' => 'technology']]],
                ['id' => 'money', 'needed' => [['kind' => 'funding']]],
            ],
        ];
    }

    public static function answer(Input $input): array
    {
        $now = $input->time('now');
        $contact = self::contact($input->object('contact'), $now);
        $angles = array_map(Angles::read(...), $input->objects('angles'));
        $used = $input->has('used') ? array_map(static function (Input $one) use ($now): array {
            $used = [$one->id('angle'), $one->id('contact'), ($now - $one->time('at')) / self::DAY];
            $one->done();

            return $used;
        }, $input->objects('used')) : [];
        $input->done();

        return array_map(static fn (Holding $one): array => [
            'id' => $one->angle, 'weight' => $one->weight, 'rests_on' => $one->restsOn,
            'facts' => array_map(
                static fn (array $fact): array => ['type' => $fact[0], 'value' => $fact[1]],
                $one->facts,
            ),
        ], Angle::holding($angles, $contact, $used));
    }

    private static function contact(Input $input, float $now): AngleContact
    {
        $since = $input->optionalTime('position_since');
        $contact = new AngleContact(
            $input->id('id'),
            $since === null ? null : ($now - $since) / self::DAY,
            array_map(self::signal(...), $input->objects('signals')),
            $input->has('facts') ? array_map(static function (Input $one): array {
                $fact = [$one->string('type'), $one->string('value')];
                $one->done();

                return $fact;
            }, $input->objects('facts')) : [],
        );
        $input->done();

        return $contact;
    }

    private static function signal(Input $input): AngleSignal
    {
        $whose = $input->string('whose');
        if (! in_array($whose, AngleSignal::WHOSE, true)) {
            throw Mistake::at($input->place('whose'), 'A signal is own, of a colleague, or of the account.');
        }
        $signal = new AngleSignal(
            $input->id('id'),
            $input->choice('kind', Kind::class),
            $whose,
            $input->optionalString('text') ?? '',
            $input->optionalString('role'),
            $input->boolean('live'),
            $input->number('push'),
        );
        $input->done();

        return $signal;
    }
}
