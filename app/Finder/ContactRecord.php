<?php

declare(strict_types=1);

namespace App\Finder;

use App\Support\Districts;
use Luftig\Core\Index\Record;
use Luftig\Core\Person\Career;
use Luftig\Core\Person\PositionHeld;
use Luftig\Core\Person\Title;
use Luftig\Core\Search\Field;

/** What the Finder knows of a contact, made of the rows that tell of them. */
final class ContactRecord
{
    /** Up to so many days one is new in a position. */
    private const NEW = 180;

    /** @var array<int, array<string, list<string>>> reading → seniority and functions */
    private array $read = [];

    /**
     * @param  list<string>  $roles  names of the buyer roles
     * @param  int  $today  in days since 1970
     */
    public function __construct(
        private readonly array $roles,
        private readonly int $today,
        private readonly CustomerTimes $customers,
        private readonly FoldedLines $folds,
        private readonly Districts $districts,
    ) {
    }

    /**
     * In plain steps, since it is done a million times.
     *
     * @param  list<mixed>  $row
     * @param  list<list<mixed>>  $positions
     * @param  list<list<mixed>>  $channels  type, state and day of activity from the eighth on
     * @param  list<list<string>>  $affiliations  kind and name
     * @param  list<mixed>|null  $ranked  id, priority, part, buyer role
     * @param  int|null  $active  day on which they last wrote or reacted, since 1970
     * @param  string|null  $standing  of their account; those of accounts that are out are never proposed, and stand
     *     last
     */
    public function of(
        int $account,
        array $row,
        array $positions,
        array $channels,
        array $affiliations,
        ?array $ranked,
        ?int $active,
        ?string $standing,
    ): Record {
        [$id, $title, $reading, $about, $interests, $city, $country] = $row;
        $values = $this->titleValues($reading);
        $values['part'] = [$ranked[2] ?? 'none'];
        $values['channel'] = [];
        foreach ($channels as [7 => $type, 8 => $state, 9 => $day]) {
            foreach (self::channelValues($type, $state) as $value) {
                if (! in_array($value, $values['channel'], true)) {
                    $values['channel'][] = $value;
                }
            }
            if ($day !== null && $day > ($active ?? 0)) {
                $active = $day;
            }
        }
        if (isset($ranked[3])) {
            $values['buyer_role'] = [$this->roles[$ranked[3]] ?? ''];
        } elseif ($reading !== 0) {
            $values['buyer_role'] = [];
        }
        if ($country !== null) {
            $values['own_country'] = [$country];
        }
        if ($city !== null) {
            $of = $this->districts->cityOf($city, $country, null, null);
            $values['own_city'] = $of === null ? [$city] : [$city, $of];
        }
        foreach ($affiliations as [$kind, $name]) {
            $values[$kind][] = $name;
        }
        $numbers = $active === null ? [] : ['engaged' => $active];
        $before = null;
        if ($positions !== []) {
            [$held, $ofPositions, $before] = $this->career($account, $positions);
            $values += $held;
            $numbers += $ofPositions;
        }
        $texts = $title === null || $title === '' ? [] : ['title' => $this->folds->line($title)];
        if ($about !== null || $interests !== null) {
            $texts['about'] = $this->folds->line("$about $interests");
        }

        $isOut = $standing === 'out' || $standing === 'kept_out';
        $order = ($ranked[1] ?? 0.0) + ($isOut ? AccountRecord::OUT : 0);

        return new Record($id, $values, $numbers, $texts, order: $order, parts: $before);
    }

    /**
     * What positions tell: how somebody came to the present one and from where, since when, and the earlier ones.
     *
     * @param  non-empty-list<list<mixed>>  $positions
     * @return array{array<string, list<string>>, array<string, int>, list<Record>|null}
     */
    private function career(int $account, array $positions): array
    {
        $career = Career::at($account, array_map(
            static fn (array $position): PositionHeld => new PositionHeld(
                $position[0], (string) $position[2], Title::unpacked($position[3]), $position[4], $position[5],
            ),
            $positions,
        ));
        $since = $career->now?->since;
        $before = array_values(array_filter($positions, static fn (array $position): bool => $position[5] !== null));
        $values = [];
        if ($since !== null) {
            $values[Field::Arrival->value] = [
                $this->today - $since > self::NEW ? 'settled' : $career->arrival()->value,
            ];
        }
        if ($before !== []) {
            $values[Field::Origin->value] = array_filter($before, $this->customers->had(...)) === []
                ? ['elsewhere']
                : ['customer'];
        }
        $starts = array_filter(array_column($positions, 4), is_int(...));
        $numbers = array_filter(
            [
                Field::InPosition->value => $since,
                Field::InCompany->value => $career->atAccountSince(),
                Field::AtWork->value => $starts === [] ? null : min($starts),
            ],
            is_int(...),
        );

        return [$values, $numbers, $before === [] ? null : array_map(
            fn (array $position): Record => self::positionBefore(
                (string) $position[2], (string) $position[1], (int) $position[5], $this->folds,
            ),
            $before,
        )];
    }

    /** @param  int  $ended  day, since 1970 */
    public static function positionBefore(string $title, string $company, int $ended, FoldedLines $folds): Record
    {
        $texts = array_filter(
            [Field::BeforeTitle->value => $title, Field::BeforeCompany->value => $company],
            static fn (string $text): bool => $text !== '',
        );

        return new Record(0, [], [Field::BeforeEnded->value => $ended], array_map($folds->line(...), $texts));
    }

    /** @return array<string, list<string>> */
    private function titleValues(int $reading): array
    {
        if (! isset($this->read[$reading])) {
            $title = Title::unpacked($reading);
            $this->read[$reading] = $title->isUnknown() ? [] : [
                Field::Seniority->value => [$title->seniority->value],
                Field::BusinessFunction->value => array_map(
                    fn ($function): string => $function->value,
                    $title->functions(),
                ),
            ];
        }

        return $this->read[$reading];
    }

    /** @return list<string> what a channel counts as */
    private static function channelValues(string $type, string $state): array
    {
        return match (true) {
            $type !== 'email' => [$type],
            in_array($state, ['invalid', 'disposable', 'off'], true) => ['email_dead'],
            $state === 'valid' => ['email', 'email_checked'],
            default => ['email'],
        };
    }
}
