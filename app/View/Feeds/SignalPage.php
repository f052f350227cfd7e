<?php

declare(strict_types=1);

namespace App\View\Feeds;

use App\Models\FeedItem;
use App\Models\Offer;
use App\Models\Signal;
use App\Models\Standing;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Support\Format;
use App\View\Happened;
use Illuminate\Support\Collection;
use Luftig\Core\Signal\Kind;

/** A signal and what it rests on: its sources, the rule that made it, how strong and how sure, and who else has it. */
final readonly class SignalPage
{
    private const OTHERS = 12;

    /** What the strength of a kind comes from (rule 2). */
    private const STRENGTH = [
        'funding' => 'its round and its amount by head',
        'hiring' => 'the number of distinct openings that its role of interest asks for',
        'growth' => 'how far the headcount went up', 'decline' => 'how far the headcount went down',
        'new_leader' => 'the authority of the position', 'promotion' => 'the authority of the position',
        'customer_alum' => 'whether the position is in a buyer role',
        'post_engagement' => 'what they did with the post', 'own_engagement' => 'what they did',
        'topic_interest' => 'what the source reports', 'news' => 'whether the headline names the account, or the text',
    ];

    /** @param  Collection<int, Signal>  $others */
    private function __construct(public Signal $signal, public ?Happened $happened, private Collection $others)
    {
    }

    public static function of(Signal $signal, Offer $offer): self
    {
        $signal->load('account', 'contact', 'items.feed');
        $standing = Standing::query()->where('account_id', $signal->account_id)->where('offer_id', $offer->id)->first();
        $catalogue = $offer->rules === null ? null : RuleBook::catalogueOf($offer->rules);
        $lines = $standing === null || $catalogue === null ? [] : SignalLine::of($standing, [$signal], $catalogue);

        return new self($signal, Happened::of([$signal], $lines, $catalogue)->first(), self::alike($signal));
    }

    public function title(): string
    {
        return $this->signal->title;
    }

    /** @return array<string, string> what, how much */
    public function figures(): array
    {
        return [
            'Strength' => Format::part($this->signal->strength).', by '.($this->signal->strength_given
                ? 'whoever brought it' : self::STRENGTH[$this->signal->kind->value] ?? 'its kind alone'),
            'Sure' => Format::percent($this->signal->confidence).', '.$this->sure(),
        ] + ($this->signal->since === null ? [] : ['Since' => Format::date($this->signal->since)]);
    }

    public function rule(): string
    {
        $facts = $this->signal->facts ?? [];

        return match (true) {
            $this->signal->derived => 'It follows from the positions of the person.',
            isset($facts['role']) => "By the role of interest “{$facts['role']}”.",
            isset($facts['class']) => $facts['class'] === 'news'
                ? 'By no class of the press: it is named, no more.' : "By the class “{$facts['class']}” of the press.",
            $this->signal->fed => 'By the facts of its source.',
            default => 'It was brought as it stands, by a file or by hand'
                .($this->signal->source === null ? '.' : "; its source: {$this->signal->source}."),
        };
    }

    /** @return list<array{item: FeedItem, says: string}> */
    public function sources(): array
    {
        return array_values($this->signal->items->map(fn (FeedItem $item): array => [
            'item' => $item,
            'says' => Format::line(
                $item->feed->name,
                $item->at === null ? null : Format::date($item->at),
                Format::percent((float) $item->getRelation('pivot')->getAttribute('confidence')).' sure',
                (string) $item->getRelation('pivot')->getAttribute('because'),
            ),
        ])->all());
    }

    /** @return Collection<int, Signal> of other accounts, made of the same */
    public function others(): Collection
    {
        return $this->others;
    }

    /** Where everyone stands who did something with the same post. */
    public function post(): ?string
    {
        return $this->signal->kind === Kind::PostEngagement && $this->signal->link !== null
            ? route('posts.show', ['of' => $this->signal->link]) : null;
    }

    private function sure(): string
    {
        $many = $this->signal->items->count();

        return match (true) {
            ! $this->signal->fed => 'as it was brought',
            $this->signal->kind === Kind::Hiring => 'as its surest posting is',
            $many > 1 => "from $many sources together",
            default => 'as its source is',
        };
    }

    /** @return Collection<int, Signal> */
    private static function alike(Signal $signal): Collection
    {
        return Signal::query()->with('account')->whereKeyNot($signal->id)->whereIn(
            'id',
            $signal->items()->join('signal_sources AS other', 'other.feed_item_id', '=', 'feed_items.id')
                ->select('other.signal_id'),
        )->limit(self::OTHERS)->get();
    }
}
