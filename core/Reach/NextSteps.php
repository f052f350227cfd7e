<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

/**
 * What to do first to reach a contact at this hour, and what then (rule 18): a comment while something they wrote is
 * fresh, for it costs nothing and is soon too late; then the kinds of approach by the worth of their channel (rule 5)
 * times how that kind was answered before. What does not fit the hour comes after what does.
 */
final readonly class NextSteps
{
    /** So many approaches of the mean are added to what is known of a kind, so that few prove little. */
    private const PRIOR = 10;

    /** @param  list<NextStep>  $steps */
    private function __construct(public array $steps)
    {
    }

    /**
     * @param  list<Channel>  $channels
     * @param  float  $intro  strength of the best path through somebody who can be asked; 0: there is none
     * @param  bool  $hasFreshPost  something they wrote or said in public is fresh
     * @param  bool  $isConnected  the one who approaches is in touch with them already
     * @param  LocalHour|null  $hour  null: unknown, any hour fits
     * @param  array<string, array{int, int}>  $record  kind → how many were answered, of how many
     * @param  list<Step>  $done  not to be done again now
     */
    public static function of(
        array $channels,
        float $intro = 0.0,
        bool $hasFreshPost = false,
        bool $isConnected = false,
        ?LocalHour $hour = null,
        array $record = [],
        array $done = [],
    ): self {
        $worths = self::worths($channels, $isConnected) + [Step::Introduction->value => Access::INTRO_PART * $intro];
        if ($hasFreshPost) {
            $worths[Step::Comment->value] = ChannelType::Social->worth();
        }
        $steps = [];
        foreach (Step::cases() as $step) {
            $worth = $worths[$step->value] ?? 0.0;
            if ($worth > 0 && ! in_array($step, $done, true)) {
                $isNow = $step !== Step::Call || $hour === null || $hour->isForCalls();
                $steps[] = new NextStep($step, min(1.0, $worth * self::lift($step, $record)), $isNow);
            }
        }
        usort($steps, static fn (NextStep $a, NextStep $b): int => [
            $b->step === Step::Comment, $b->isNow, $b->worth,
        ] <=> [$a->step === Step::Comment, $a->isNow, $a->worth]);

        return new self($steps);
    }

    public function first(): ?NextStep
    {
        return $this->steps[0] ?? null;
    }

    /**
     * @param  list<Channel>  $channels
     * @return array<string, float> kind → worth of the best channel for it
     */
    private static function worths(array $channels, bool $isConnected): array
    {
        $worths = [];
        foreach ($channels as $channel) {
            $step = match ($channel->type) {
                ChannelType::Email => Step::Email,
                ChannelType::DirectPhone, ChannelType::Switchboard => Step::Call,
                ChannelType::Asked => Step::Message,
                ChannelType::Social => $isConnected ? Step::Message : Step::Connect,
            };
            $worths[$step->value] = max($worths[$step->value] ?? 0.0, $channel->worth());
        }

        return $worths;
    }

    /**
     * How much better than all a kind was answered, 1 where nothing is known.
     *
     * @param  array<string, array{int, int}>  $record
     */
    private static function lift(Step $step, array $record): float
    {
        [$answered, $made] = [array_sum(array_column($record, 0)), array_sum(array_column($record, 1))];
        if ($answered === 0 || $made === 0) {
            return 1.0;
        }
        $mean = $answered / $made;
        [$good, $all] = $record[$step->value] ?? [0, 0];

        return ($good + self::PRIOR * $mean) / ($all + self::PRIOR) / $mean;
    }
}
