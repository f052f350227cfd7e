<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

use Luftig\Core\Mistake;

/**
 * A pattern of signals and facts (rule 21). It holds for somebody when all needed parts do; each part rests on the
 * signal of most push that meets it, and parts that are welcome add what they find.
 */
final readonly class Angle
{
    private const FACT = .05;

    private const PARTICULAR = .1;

    /** Days for which an angle is not proposed again to whom it was used on, and to others there. */
    private const REST = 90;

    private const REST_OF_COLLEAGUES = 14;

    /**
     * @param  list<AnglePart>  $needed
     * @param  list<AnglePart>  $welcome
     *
     * @throws Mistake where nothing is needed
     */
    public function __construct(public int|string $id, public array $needed, public array $welcome = [])
    {
        if ($needed === []) {
            throw Mistake::at('needed', 'An angle needs at least one signal or fact.');
        }
    }

    /** @return Holding|null null: it does not hold */
    public function of(AngleContact $contact): ?Holding
    {
        $signals = $facts = [];
        foreach ([...$this->needed, ...$this->welcome] as $i => $part) {
            $isMet = $part->fact === null
                ? $this->signal($part, $contact, $signals) : $this->fact($part, $contact, $facts);
            if (! $isMet && $i < count($this->needed)) {
                return null;
            }
        }
        $weight = array_sum(array_column($signals, 1)) + self::FACT * count($facts);

        return new Holding(
            $this->id,
            $weight * (1 + self::PARTICULAR * (count($this->needed) - 1)),
            array_column($signals, 0),
            array_values($facts),
        );
    }

    /**
     * Those that hold, the heaviest first.
     *
     * @param  list<self>  $angles
     * @param  list<array{int|string, int|string, float}>  $used  angle, contact there, and how many days ago
     * @return list<Holding>
     */
    public static function holding(array $angles, AngleContact $contact, array $used = []): array
    {
        $resting = [];
        foreach ($used as [$angle, $whom, $days]) {
            if ($days < ($whom === $contact->id ? self::REST : self::REST_OF_COLLEAGUES)) {
                $resting[$angle] = true;
            }
        }
        $holding = [];
        foreach ($angles as $at => $angle) {
            $one = isset($resting[$angle->id]) ? null : $angle->of($contact);
            if ($one !== null) {
                $holding[] = [$one->weight, count($angle->needed), -$at, $one];
            }
        }
        usort($holding, static fn (array $a, array $b): int => array_slice($b, 0, 3) <=> array_slice($a, 0, 3));

        return array_column($holding, 3);
    }

    /** @param  array<int|string, array{int|string, float}>  $found  signal and push, added to */
    private function signal(AnglePart $part, AngleContact $contact, array &$found): bool
    {
        $best = null;
        foreach ($contact->signals as $signal) {
            if ($part->isMetBy($signal) && ($best === null || $signal->push > $best->push)) {
                $best = $signal;
            }
        }
        if ($best !== null) {
            $found[$best->id] = [$best->id, $best->push];
        }

        return $best !== null;
    }

    /** @param  array<string, array{string, string}>  $found  added to */
    private function fact(AnglePart $part, AngleContact $contact, array &$found): bool
    {
        if ($part->isNewIn($contact->positionDays)) {
            $found[AnglePart::NEW] = [AnglePart::NEW, (string) (int) $contact->positionDays];

            return true;
        }
        foreach ($contact->facts as [$type, $value]) {
            if ($part->isFact($type, $value)) {
                $found["$type $value"] = [$type, $value];

                return true;
            }
        }

        return false;
    }
}
