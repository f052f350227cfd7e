<?php

declare(strict_types=1);

namespace App\View\Results;

use App\Models\Lesson;
use App\Models\Offer;
use App\Models\RuleSet;
use App\Models\Standing;
use App\Reasons\Answers;
use App\Reasons\Lessons;
use App\Reasons\SourceRecords;
use App\Standings\RuleBook;
use App\Standings\Standings;
use App\Support\Format;
use App\View\Rules\LineNames;
use App\View\Rules\Moves;
use Luftig\Core\Learning\Kendall;
use Luftig\Core\Learning\Learned;
use Luftig\Core\Rules\Lines;
use Luftig\Core\Signal\Kind;

/** What results speak for, line by line, what it would move, and whether its chances hold. */
final readonly class LessonPage
{
    private Answers $answers;

    private ?Lessons $lessons;

    public ?RuleSet $learned;

    public function __construct(private Offer $offer)
    {
        $this->answers = Answers::of($offer);
        $this->lessons = $offer->rules === null || $this->answers->approaches->isEmpty() ? null
            : new Lessons($offer, $this->answers->approaches);
        $this->learned = $this->lessons?->rules();
    }

    public static function tooFew(int $answered, int $of): string
    {
        return 'At least '.Learned::LEAST.' answers and '.Learned::LEAST.' approaches without one are needed; there '
            .'are '.(new Rate('', $answered, $of))->count().'.';
    }

    /** Which results and rules are looked at. */
    public function mark(): string
    {
        return (string) $this->lessons?->mark();
    }

    public function version(): int
    {
        return $this->offer->rules->version ?? 0;
    }

    /** What the model is, in words. */
    public function says(): string
    {
        $learned = $this->lessons?->learned();
        if ($learned === null || ! $learned->isEnough) {
            return self::tooFew(...$this->answers->all());
        }
        $how = match (true) {
            $learned->width < .6 => 'hardly leave', $learned->width < 1.0 => 'may move a little from',
            $learned->width < 1.5 => 'may move from', default => 'may move far from',
        };
        [$answered, $of] = $this->answers->all();

        return "Learned from $answered answers to ".Format::number($of).' approaches. By how well it explains them, '
            ."the lines $how what a person had set"
            .($learned->shape === null ? ', and keep their shape.' : ', and three more lines belong to them.');
    }

    /** What a person decided on it last. */
    public function decided(): ?string
    {
        $last = Lesson::query()->with('user')->where('offer_id', $this->offer->id)->latest('id')->first();
        if ($last === null) {
            return null;
        }
        $since = $this->answers->all()[1] - count($last->approaches);

        return ($last->user->name ?? 'Somebody').($last->accepted ? ' accepted' : ' declined')
            .' what '.Format::count(count($last->approaches), 'result').' spoke for '.Format::ago($last->created_at)
            .'; '.($since > 0 ? Format::count($since, 'result').' came since.' : 'none came since.');
    }

    /** Whether it is what the rules say already. */
    public function isInForce(): bool
    {
        return $this->learned !== null && $this->offer->rules !== null
            && RuleBook::weighAlike($this->learned, $this->offer->rules);
    }

    /**
     * @return list<array{name: string, before: string, after: string, interval: string, moved: string,
     *     becomes: string}>
     */
    public function lines(): array
    {
        $rules = $this->learned;
        if ($rules === null) {
            return [];
        }
        $points = Lines::all(RuleBook::linesOf($rules));
        $lines = $this->lessons?->lines() ?? [];

        return array_map(fn (string $name, array $line): array => [
            'name' => LineNames::of($name), 'before' => Format::points($line[0]), 'after' => Format::points($line[1]),
            'interval' => Format::points($line[2]).' to '.Format::points($line[3]),
            'moved' => match (true) {
                $line[2] > $line[0] => 'more than is set', $line[3] < $line[0] => 'less than is set',
                default => 'as is set, as far as can be told',
            },
            'becomes' => isset($points[$name]) ? Format::points($points[$name])
                : 'weight '.Format::part(RuleBook::catalogueOf($rules)->of(Kind::from($name))->weight),
        ], array_keys($lines), array_values($lines));
    }

    /** @return list<Rate> each fifth's answers, held against the chance that was told of it */
    public function chances(): array
    {
        return array_map(fn (array $fifth): Rate => new Rate(
            'told '.Format::percent($fifth['score']), $fifth['answered'], $fifth['of'], $fifth['score'],
        ), $this->lessons?->reliability() ?? []);
    }

    /** @return list<array{id: int, name: string, says: string, proposed: string, isNew: bool}> */
    public function sources(): array
    {
        return array_map(fn (array $one): array => [
            'id' => $one['feed']->id, 'name' => $one['feed']->name,
            'says' => "{$one['right']} of ".Format::count($one['of'], 'signal')
                .' that approaches rested on held; set is '.Format::part($one['feed']->confidence),
            'proposed' => Format::part($one['proposed']),
            'isNew' => abs($one['proposed'] - $one['feed']->confidence) >= .005,
        ], array_values(SourceRecords::of($this->answers->approaches)));
    }

    /** The version before what was learned came into force. */
    public function before(): ?RuleSet
    {
        $lesson = $this->offer->rules?->lesson_id;

        return $lesson === null ? null : $this->offer->ruleSets()
            ->where('version', '<', $this->offer->ruleSets()->where('lesson_id', $lesson)->min('version'))
            ->orderByDesc('version')->first();
    }

    /** @return array{Moves, string} what it would move, and how far the two rankings agree */
    public function moves(Standings $standings): array
    {
        $rows = $this->learned === null ? [] : iterator_to_array($standings->preview($this->learned));
        $now = Standing::query()->where('offer_id', $this->offer->id)->whereNotNull('priority')->pluck(
            'points', 'account_id',
        );
        $before = $after = [];
        foreach ($now as $account => $points) {
            if (isset($rows[$account])) {
                $before[] = (float) $points;
                $after[] = (float) $rows[$account]['points'];
            }
        }
        $tau = Kendall::tau($before, $after);

        return [Moves::of($this->offer, $rows), $tau === null ? '' : 'Of two ranked accounts, '
            .Format::percent((1 + $tau) / 2).' would stand in the same order as now (Kendall’s τ '
            .number_format($tau, 2).').'];
    }
}
