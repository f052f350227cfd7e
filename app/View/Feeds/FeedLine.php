<?php

declare(strict_types=1);

namespace App\View\Feeds;

use App\Feeds\Formats;
use App\Models\Feed;
use App\Models\FeedRun;
use App\Support\Format;
use Carbon\CarbonImmutable;

/** A feed in a line: how it is doing, and what it brought last. */
final readonly class FeedLine
{
    private function __construct(public Feed $feed, public ?FeedRun $last)
    {
    }

    /** @return list<self> by name */
    public static function all(): array
    {
        $runs = FeedRun::query()->whereIn('id', FeedRun::query()->selectRaw('MAX(id)')->groupBy('feed_id'))->get()
            ->keyBy('feed_id');

        return array_values(Feed::query()->orderBy('name')->get()
            ->map(fn (Feed $feed): self => new self($feed, $runs[$feed->id] ?? null))->all());
    }

    public static function of(Feed $feed): self
    {
        return new self($feed, $feed->runs()->first());
    }

    public function format(): string
    {
        return $this->feed->isPosted()
            ? 'Webhook: CloudEvents posted to us' : Formats::labels()[$this->feed->format] ?? $this->feed->format;
    }

    public function isRunning(): bool
    {
        return $this->last !== null && $this->last->finished_at === null
            && $this->last->started_at > CarbonImmutable::now()->subHour();
    }

    /** Whether something is to be seen soon: it is being asked, or its time has come. */
    public function isMoving(): bool
    {
        return $this->isRunning() || ! $this->feed->paused && $this->feed->isAsked()
            && ($this->feed->next_at === null || $this->feed->next_at->isPast() || $this->feed->next_at->eq(now()));
    }

    public function state(): string
    {
        return match (true) {
            $this->isRunning() => 'being asked',
            $this->feed->paused => 'paused',
            $this->feed->problem !== null => 'failed: '.lcfirst($this->feed->problem),
            $this->feed->isPosted() => $this->last === null ? 'nothing posted yet' : 'posts to us',
            ! $this->feed->isAsked() => 'brought in files',
            $this->last === null => 'not asked yet',
            default => Rhythms::of($this->feed->rhythm),
        };
    }

    public function brought(): string
    {
        return $this->last === null ? '' : Format::line(
            $this->last->created > 0 ? Format::number($this->last->created).' new' : null,
            $this->last->changed > 0 ? Format::number($this->last->changed).' changed' : null,
            $this->last->created + $this->last->changed === 0 ? 'nothing new' : null,
        );
    }
}
