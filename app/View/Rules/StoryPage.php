<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Models\Account;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\Story;
use App\Reasons\StorySet;
use App\Support\Countries;
use App\Support\Format;
use App\View\Typed;
use Luftig\Core\Company\Industries;

/** A story as a form: one that is stored, a new one, or as it was typed and sent back. */
final readonly class StoryPage
{
    public const PARTS = [
        'customer' => 'Customer, as told: “a glassworks of 400 in Denmark”', 'problem' => 'Their problem',
        'done' => 'What was done', 'result' => 'The result, with its figure',
    ];

    /** Of the best ranked, so many are asked whom the story is like. */
    private const ASKED = 200;

    private const SHOWN = 8;

    public function __construct(public Offer $offer, public Story $story)
    {
    }

    /** @return list<array{story: Story, says: string, about: string, state: string}> */
    public static function all(Offer $offer): array
    {
        return array_values(Story::query()->where('offer_id', $offer->id)->orderBy('name')->get()
            ->map(fn (Story $story): array => [
                'story' => $story,
                'says' => self::says($story),
                'about' => Format::line(
                    $story->industries === [] ? null : lcfirst(Industries::name($story->industries[0])),
                    $story->headcount === null ? null : Format::heads($story->headcount),
                    $story->country === null ? null : Countries::name($story->country),
                ),
                'state' => match (true) {
                    $story->told_from === null => 'not to be told',
                    ! $story->mayBeTold() => 'told from '.Format::day($story->told_from),
                    $story->named => 'told, by name', default => 'told, without the name',
                },
            ])->all());
    }

    public static function says(Story $story): string
    {
        $words = array_values($story->words)[0] ?? [];

        return ucfirst(implode(', ', array_filter([$words['customer'] ?? '', $words['problem'] ?? '']))).': '
            .($words['result'] ?? '');
    }

    public function title(): string
    {
        return $this->story->exists ? $this->story->name : 'A new story';
    }

    public function to(): string
    {
        return $this->story->exists ? route('stories.update', $this->story) : route('stories.store', $this->offer);
    }

    public function domain(): string
    {
        return (string) $this->story->account?->domain;
    }

    public function industry(): string
    {
        $code = $this->story->industries[0] ?? null;

        return $code === null ? '' : (string) $code;
    }

    public function country(): string
    {
        return $this->story->country === null ? '' : Countries::name($this->story->country);
    }

    /** @return list<array<string, string>> words in a language each, and a blank one */
    public function words(): array
    {
        $typed = old('words');
        if (is_array($typed)) {
            return array_values(array_map(Typed::texts(...), $typed));
        }
        $rows = [];
        foreach ($this->story->words ?? [] as $language => $words) {
            $rows[] = ['language' => (string) $language] + $words;
        }

        return [...$rows, []];
    }

    /** @return list<Account> of the best ranked, those to whom it would be told today */
    public function toldTo(): array
    {
        if (! $this->story->exists || ! $this->story->mayBeTold()) {
            return [];
        }
        $set = StorySet::of($this->offer);

        return array_values(Standing::query()->where('offer_id', $this->offer->id)
            ->where('state', StandingState::Ranked)->orderByDesc('points')->limit(self::ASKED)
            ->with('account.industries', 'account.technologies', 'account.places')->get()
            ->map(fn (Standing $one): Account => $one->account)
            ->filter(fn (Account $account): bool => ($set->for($account)[0] ?? null)?->id === $this->story->id)
            ->take(self::SHOWN)->all());
    }
}
