<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** One language's reading of a title, part by part. */
final class TitleReading
{
    /** How many letters were understood. */
    public readonly int $letters;

    private readonly int $all;

    /** @var array<string, array{Seniority, int}> status → the highest rank and the functions of its parts */
    private array $positions = [];

    /** A word for the head of a firm was read. */
    private bool $firm = false;

    /** It was said that something is over. */
    private bool $over = false;

    private ?Status $last = null;

    /** @param  list<list<list<string>>>  $clauses */
    public function __construct(private readonly Dictionary $dictionary, array $clauses)
    {
        $understood = $all = 0;
        foreach ($clauses as $parts) {
            foreach ($parts as $words) {
                $all += array_sum(array_map(strlen(...), $words));
            }
            $understood += $this->clause($parts);
        }
        $this->letters = $understood;
        $this->all = $all;
    }

    public function isWhole(): bool
    {
        return $this->letters >= $this->all;
    }

    /** What is current counts before what is former, and a position of one's own before a seat on a board. */
    public function title(): Title
    {
        // An assistant who also runs the office is an assistant.
        if (
            isset($this->positions['assistant'], $this->positions['current'])
            && $this->positions['current'][0]->rank() <= Seniority::Specialist->rank()
        ) {
            unset($this->positions['current']);
        }
        foreach ([Status::Current, Status::Acting, Status::Assistant, Status::Board, Status::Former] as $status) {
            if (isset($this->positions[$status->value])) {
                [$seniority, $functions] = $this->positions[$status->value];
                if ($this->firm && $seniority === Seniority::Director && $functions === 0) {
                    return new Title($status, Seniority::Chief, BusinessFunction::GeneralManagement->bit());
                }

                return new Title($status, $seniority, $functions);
            }
        }

        return $this->over ? new Title(Status::Former, Seniority::Unknown, 0) : Title::unknown();
    }

    /**
     * @param  list<list<string>>  $parts
     * @return int how many letters were understood
     */
    private function clause(array $parts): int
    {
        $letters = 0;
        $status = null;
        $read = [];
        foreach ($parts as $words) {
            [$meanings, $understood] = $this->dictionary->read($words);
            $letters += $understood;
            $part = [];
            foreach ($meanings as [$meaning]) {
                if ($meaning->mark === Mark::Employer) {
                    $read[] = $part;
                    $letters = max($letters, array_sum(array_map(strlen(...), array_merge(...$parts))));
                    break 2;
                }
                if ($meaning->mark === Mark::And) {
                    $read[] = $part;
                    $part = [];
                } elseif ($meaning->status === Status::Assistant) {
                    // Whom they assist is not what they are.
                    $this->keep(Status::Assistant, Seniority::Specialist, BusinessFunction::Administration->bit());

                    return $letters;
                } else {
                    $part[] = $meaning;
                }
            }
            $read[] = $part;
        }
        foreach ($read as $meanings) {
            $status = $this->part($meanings, $status);
        }

        return $letters;
    }

    /**
     * @param  list<Meaning>  $meanings
     * @param  Status|null  $before  the status of the part before, in the same clause
     * @return Status|null the status that goes on
     */
    private function part(array $meanings, ?Status $before): ?Status
    {
        $seniority = $weakSeniority = Seniority::Unknown;
        $functions = $weakFunctions = 0;
        $status = null;
        $junior = false;
        foreach ($meanings as $meaning) {
            if ($meaning->mark === Mark::Slogan) {
                return $before;
            }
            $this->over = $this->over || $meaning->status === Status::Former;
            $this->firm = $this->firm || $meaning->mark === Mark::Firm;
            $status = self::stronger($status, $meaning->status);
            $junior = $junior || $meaning->seniority === Seniority::Junior;
            $seniority = self::higher($seniority, $meaning->seniority);
            $weakSeniority = self::higher($weakSeniority, $meaning->weakSeniority);
            $functions |= $meaning->functions;
            $weakFunctions |= $meaning->weakFunctions;
        }
        if ($status === Status::Board) {
            $this->keep(Status::Board, Seniority::Unknown, 0);

            return $before;
        }
        $seniority = $seniority === Seniority::Unknown ? $weakSeniority : $seniority;
        if ($junior && $seniority->rank() <= Seniority::Specialist->rank()) {
            $seniority = Seniority::Junior;
        }
        $functions = $functions === 0 ? $weakFunctions : $functions;
        if ($seniority === Seniority::Unknown && $functions === 0) {
            // "(former)", "on leave": of what stands before.
            if ($status !== null && $this->last !== null && $this->last !== $status) {
                $this->turn($this->last, $status);
            }

            return $status ?? $before;
        }
        // Functions without a rank belong to the position before.
        $status ??= $before ?? ($seniority === Seniority::Unknown ? $this->last : null) ?? Status::Current;
        $this->keep($status, $seniority, $functions);

        return $status === Status::Current ? null : $status;
    }

    private function keep(Status $status, Seniority $seniority, int $functions): void
    {
        [$rank, $set] = $this->positions[$status->value] ?? [Seniority::Unknown, 0];
        $this->positions[$status->value] = [self::joined($rank, $seniority), $set | $functions];
        $this->last = $status;
    }

    private function turn(Status $from, Status $to): void
    {
        $this->positions[$to->value] = $this->positions[$from->value];
        unset($this->positions[$from->value]);
        $this->last = $to;
    }

    /** The higher rank; but whoever learns a trade is junior in it. */
    private static function joined(Seniority $a, Seniority $b): Seniority
    {
        $pair = [$a, $b];

        return in_array(Seniority::Junior, $pair, true) && in_array(Seniority::Specialist, $pair, true)
            ? Seniority::Junior
            : self::higher($a, $b);
    }

    private static function higher(Seniority $a, Seniority $b): Seniority
    {
        return $b->rank() > $a->rank() ? $b : $a;
    }

    /** A seat on a board, and what is over, say more than what is for a while. */
    private static function stronger(?Status $a, ?Status $b): ?Status
    {
        $order = [Status::Former, Status::Board, Status::Acting];
        foreach ($order as $status) {
            if ($a === $status || $b === $status) {
                return $status;
            }
        }

        return $a ?? $b;
    }
}
