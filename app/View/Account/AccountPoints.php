<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Models\Channel;
use App\Models\Standing;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Support\Format;
use App\View\PointLine;
use Carbon\CarbonImmutable;
use Luftig\Core\Priority\PointLines;
use Luftig\Core\Priority\Points;
use Luftig\Core\Reach\ChannelType;

/** Why an account ranks where it ranks: its points, line by line, down to each number (rule 6). */
final readonly class AccountPoints
{
    /** So many signals are explained each by itself. */
    private const SHOWN = 40;

    private const PLACES = [1 => 'second', 2 => 'third', 3 => 'fourth'];

    private PointLines $worth;

    /**
     * @param  list<SignalLine>  $lines
     * @param  list<array<string, mixed>>  $criteria  of the rules it was computed by
     * @param  array{row: GroupRow, half: bool, role: bool}|null  $through  through whom it is reached
     */
    public function __construct(
        private Standing $standing,
        private array $lines,
        private array $criteria,
        private ?array $through,
    ) {
        $this->worth = RuleBook::linesOf($standing->ruleSet);
    }

    /** @return list<PointLine> */
    public function lines(): array
    {
        $sum = $this->sum();
        $lines = [new PointLine('Every account starts at', $this->worth->start), $this->fit($sum)];
        if ($sum->aboveHalf !== 0.0) {
            $lines[] = new PointLine('Fits more than by half', $sum->aboveHalf, self::times(
                $this->worth->aboveHalf, 'what Fit is above .5, doubled',
            ));
        }
        array_push($lines, ...$this->signals());
        if ($this->standing->push < -1) {
            $back = $sum->push - $this->worth->ofPush($this->standing->fit, $this->standing->push);
            $lines[] = new PointLine('What speaks against counts down to −1 only', $back);
        }
        $lines[] = $this->access($sum);
        if ($sum->reachable !== 0.0) {
            $lines[] = new PointLine(
                'Reachable at all', $sum->reachable, 'Access is above '.Format::part(PointLines::REACHABLE).'.',
            );
        }

        return $lines;
    }

    private function sum(): Points
    {
        return Points::of($this->standing->fit, $this->standing->push, $this->standing->access, $this->worth);
    }

    /** @param  float  $points  of a line */
    private static function times(float $points, string $what): string
    {
        return Format::worth($points)." × $what";
    }

    /** How likely an answer is, where the rules were learned from results. */
    private function chance(): string
    {
        $lesson = $this->standing->ruleSet->loadMissing('lesson')->lesson;

        return $lesson === null ? '' : ' Chance of an answer '
            .Format::percent(Points::chance($this->standing->points, $lesson->log_odds)).', as '
            .Format::count(count($lesson->approaches), 'result').' have it.';
    }

    public function total(): string
    {
        return Format::points($this->standing->points);
    }

    public function remark(): string
    {
        $priority = $this->standing->priority === null
            ? 'It has no priority while it is '.lcfirst($this->standing->state->label()).'.'
            : 'Priority '.Format::tenths($this->standing->priority)
                .' = 100 ÷ (1 + e^(−points ÷ 10)). It orders accounts; it is not a chance.';

        return "$priority Rules version {$this->standing->ruleSet->version}, computed "
            .Format::ago($this->standing->computed_at).'.'.$this->chance();
    }

    private function fit(Points $sum): PointLine
    {
        $standing = $this->standing;
        $label = match (true) {
            $standing->fit >= .7 => 'Fits well',
            $standing->fit >= .4 => 'Fits in part',
            default => 'Fits little',
        };
        $says = self::times($this->worth->fit, 'Fit '.Format::part($standing->fit).'.');
        if ($standing->fit_high - $standing->fit_low > .005) {
            $says .= ' What is unknown counts half; known, the Fit would lie between '.Format::part($standing->fit_low)
                .' and '
                .Format::part($standing->fit_high).'.';
        }
        $note = $standing->coverage < 1 ? Format::percent($standing->coverage).' known' : '';

        return new PointLine(
            $label,
            $sum->fit,
            $says,
            array_map($this->criterion(...), $this->criteria, array_keys($this->criteria)),
            $note,
        );
    }

    /**
     * @param  array<string, mixed>  $criterion
     * @return array{string, string, string}
     */
    private function criterion(array $criterion, int $at): array
    {
        $membership = $this->standing->criteria[$at] ?? null;
        $mode = [
            'must' => 'gate',
            'must_not' => 'gate, must not',
            'prefer' => 'weight '.($criterion['weight'] ?? 1),
        ][$criterion['mode']];

        return [$criterion['name'], $mode, match (true) {
            $membership === null => 'unknown',
            $criterion['mode'] === 'prefer' => Format::part($membership),
            default => ($membership > 0) === ($criterion['mode'] === 'must') ? 'passed' : 'failed',
        }];
    }

    /** @return list<PointLine> the strongest one by one, the rest as one */
    private function signals(): array
    {
        $lines = array_map($this->signal(...), array_slice($this->lines, 0, self::SHOWN));
        $rest = array_slice($this->lines, self::SHOWN);
        if ($rest !== []) {
            $lines[] = new PointLine(
                Format::count(count($rest), 'more signal'),
                array_sum(array_map($this->points(...), $rest)),
            );
        }

        return $lines;
    }

    private function points(SignalLine $line): float
    {
        return $this->worth->ofPush($this->standing->fit, $line->push);
    }

    private function signal(SignalLine $line): PointLine
    {
        $fit = self::times(Points::FIT, 'Fit '.Format::part($this->standing->fit));
        $says = ($this->worth->anyway === 0.0 ? $fit : "($fit + ".Format::worth($this->worth->anyway).')')
            .' × push '.Format::part($line->push)
            .($line->push < 0 ? ', because it speaks against' : '').'. The push is the product of:';
        $made = [
            ["weight of {$line->kind->label()}", '', Format::part($line->weight)],
            ['strength', $this->strength($line), Format::part($line->signal->strength)],
            ['confidence', (string) $line->signal->source, Format::part($line->signal->confidence)],
            ['freshness', $line->stage->value, Format::part($line->freshness)],
            ['novelty', 'what is usual there says little', Format::part($line->novelty)],
        ];
        if ($line->place > 0) {
            $place = self::PLACES[$line->place] ?? ($line->place + 1).'th';
            $made[] = ["$place of its kind", '', trim(number_format(.5 ** $line->place, 4), '0')];
        }

        return new PointLine(
            $line->signal->title, $this->points($line), $says, $made,
            at: CarbonImmutable::parse($line->signal->occurred_at),
        );
    }

    private function strength(SignalLine $line): string
    {
        if ($line->signal->strength_given) {
            return 'as brought';
        }
        $facts = array_intersect_key($line->signal->facts ?? [], array_flip(
            ['round', 'amount', 'openings', 'before', 'after', 'deed'],
        ));

        return implode(', ', array_map(
            fn (string $name, mixed $value): string => "$name "
                .(is_numeric($value) ? Format::number((float) $value) : $value),
            array_keys($facts),
            $facts,
        ));
    }

    private function access(Points $sum): PointLine
    {
        $access = $this->standing->access;
        $label = match (true) {
            $access >= .5 => 'Can be reached',
            $access > 0 => 'Hard to reach',
            default => 'No way to reach them',
        };
        $says = self::times($this->worth->access, 'Access '.Format::part($access));
        if ($this->through === null) {
            return new PointLine($label, $sum->access, "$says: nobody who takes part is in reach.");
        }
        ['row' => $row, 'half' => $half, 'role' => $role] = $this->through;
        $name = $row->contact->name();
        $says .= ', '.($half ? 'half that of' : 'that of')." $name, who is reached best"
            .($half ? '; nobody in a buyer role is in reach' : ($role ? ' of those in a buyer role' : '')).':';
        $made = [[$name, '', Format::part($row->reach->access)]];
        if ($row->contact->intro > 0) {
            $made[] = ['the best way through one of us', 'counts up to .9', Format::part($row->contact->intro)];
        }
        foreach ($row->contact->channels as $channel) {
            $made[] = [$channel->type->label(), self::state($channel), Format::part(
                $channel->asRule(CarbonImmutable::now())->worth(),
            )];
        }

        return new PointLine($label, $sum->access, $says, $made);
    }

    private static function state(Channel $channel): string
    {
        return match (true) {
            $channel->type === ChannelType::Email => $channel->state->label(),
            $channel->active_at !== null => 'active '.Format::ago($channel->active_at),
            default => '',
        };
    }
}
