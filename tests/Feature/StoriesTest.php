<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Approach;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Place;
use App\Models\Reason;
use App\Models\Story;
use App\Reasons\Answers;
use App\Reasons\Drafts;
use App\Reasons\RecordReason;
use App\Reasons\StorySet;
use App\Standings\Standings;
use App\View\Rules\StoryPage;
use Tests\TestCase;

/** What we did for customers: written by leads, told to those who are like them, and only where it may be. */
final class StoriesTest extends TestCase
{
    private const ANGLE = [
        'name' => 'A house like theirs', 'say' => 'tell of {{story_customer}}', 'needed' => [['fact' => 'story']],
        'welcome' => [], 'words' => [
            'en' => [
                'subject' => 'A house like yours',
                'message' => 'Hello, at {{story_customer}} {{story_problem}}. {{story_then}}; {{story_result}}.',
            ],
            'sv' => ['subject' => 'Ett hus', 'message' => 'Hej, hos {{story_customer}} {{story_problem}}.'],
        ],
    ];

    private Account $glass;

    protected function setUp(): void
    {
        parent::setUp();
        $this->glass = Account::factory()->create(['name' => 'Glasverk Nord', 'headcount' => 400]);
        $this->glass->industries()->create(['code' => '2310', 'position' => 0]);
        Place::factory()->create(['account_id' => $this->glass->id, 'country' => 'DK']);
        $this->offer->rules->update(['angles' => [self::ANGLE]]);
        (new Standings)->all();
    }

    public function test_the_most_alike_that_may_be_told_is_told_and_never_to_the_customer_itself(): void
    {
        // Same industry, heads and country: .5 + .25 + .15, with nothing in use in common.
        $near = $this->story(['name' => 'Near']);
        $this->story(['name' => 'Farther', 'country' => 'FI']);
        $this->story(['name' => 'Not yet', 'told_from' => '2026-11-24', 'technologies' => []]);
        $this->story(['name' => 'Never', 'told_from' => null]);
        $this->story(['name' => 'Another offer’s', 'offer_id' => Offer::factory()->create()->id]);
        $told = StorySet::of($this->offer)->for($this->glass);
        self::assertSame('Near', $told[0]->name ?? null);
        self::assertEqualsWithDelta(.9, $told[1] ?? 0, 1e-9);
        $near->update(['account_id' => $this->glass->id]);
        self::assertSame('Farther', StorySet::of($this->offer)->for($this->glass)[0]->name ?? null);
        $school = Account::factory()->create(['headcount' => 12]);
        $school->industries()->create(['code' => '8510', 'position' => 0]);
        Place::factory()->create(['account_id' => $school->id, 'country' => 'SE']);
        self::assertNull(StorySet::of($this->offer)->for($school), 'nobody there is like a glassworks');
    }

    public function test_a_draft_tells_it_in_the_language_in_which_it_is_written(): void
    {
        $this->story();
        $draft = Drafts::for($this->offer, $this->glass, null);
        self::assertSame('Tell of a glassworks of 400 in Denmark', $draft?->headline());
        self::assertSame(
            'Hello, at a glassworks of 400 in Denmark nobody knew what the air lost at night. We walked the network '
                .'in two days; lost air fell from 34 to 12 %.',
            $draft->words(),
        );
        // A Swede would read Swedish words, and the story has none: what cannot be said whole is not proposed.
        $swede = Contact::factory()->create(['account_id' => $this->glass->id, 'country' => 'SE']);
        self::assertNull(Drafts::for($this->offer, $this->glass, $swede)?->story);
        Story::query()->delete();
        StorySet::forget();
        self::assertNull(Drafts::for($this->offer, $this->glass, null)?->story);
    }

    public function test_a_reason_keeps_the_story_and_results_are_counted_by_it(): void
    {
        $this->story();
        $reason = RecordReason::proposed($this->offer, $this->glass, null, $this->rep, 'Hello, a story.', null);
        self::assertSame(
            [['like them: a glassworks of 400 in Denmark: lost air fell from 34 to 12 %'], 'Night losses'],
            [$reason?->evidence['facts'], $reason?->evidence['story']['name']],
        );
        Approach::factory()->create([
            'offer_id' => $this->offer->id, 'account_id' => $this->glass->id, 'reason_id' => $reason->id,
            'result' => 'meeting',
        ]);
        self::assertSame(['Night losses' => [1, 1]], Answers::of($this->offer)->groups()['Story']);
        // With facts only, it is good for sixty days.
        self::assertSame('2027-01-22', $reason->expires_on->toDateString());
        $this->actingAs($this->rep)->get(route('accounts.show', $this->glass))->assertSeeTextInOrder([
            'Like them', 'alike by .90', 'A glassworks of 400 in Denmark, nobody knew what the air lost at night',
        ]);
        $this->get(route('reasons.create', $this->glass))->assertSee('like them: a glassworks');
        $this->post(route('reasons.store', $this->glass), [
            'words' => 'Hello, another story about them.', 'angle' => 'A house like theirs',
            'facts' => ['like them: a glassworks of 400 in Denmark: lost air fell from 34 to 12 %'],
        ])->assertSessionHasNoErrors();
        $written = Reason::query()->latest('id')->firstOrFail();
        self::assertSame('A house like theirs', $written->evidence['angle']);
        self::assertSame('Night losses', $written->evidence['story']['name'] ?? null);
    }

    public function test_a_lead_writes_changes_removes_and_brings_back(): void
    {
        $this->actingAs($this->lead)->get(route('stories.index', $this->offer))->assertSee('No story is written yet');
        $this->glass->update(['domain' => 'glasnord.example']);
        $form = [
            'name' => 'Nights', 'domain' => 'https://www.glasnord.example/', 'told_from' => '2026-11-01', 'words' => [
                ['language' => 'en', 'customer' => 'a glassworks', 'problem' => 'x', 'done' => 'y', 'result' => '12 %'],
                ['language' => '', 'customer' => null, 'problem' => null, 'done' => null, 'result' => null],
            ],
        ];
        $this->post(route('stories.store', $this->offer), $form)->assertSessionHasNoErrors()
            ->assertSessionHas('said', '“Nights” is saved; drafts may tell it now.');
        $story = Story::query()->sole();
        self::assertSame(
            [$this->glass->id, ['2310'], 400, 'DK', false],
            [$story->account_id, $story->industries, $story->headcount, $story->country, $story->named],
        );
        $this->get(route('stories.index', $this->offer))->assertSeeText('A glassworks, x: 12 %')
            ->assertSeeText('told, without the name');
        $this->get(route('stories.edit', $story))->assertOk()->assertSee('glasnord.example');
        $form['told_from'] = '2027-02-01';
        $this->post(route('stories.update', $story), $form)
            ->assertSessionHas('said', '“Nights” is saved; it is told once its day has come.');
        $this->get(route('stories.index', $this->offer))->assertSeeText('told from 1 February');
        $this->delete(route('stories.destroy', $story));
        self::assertSame(0, Story::query()->count());
        $this->post(route('stories.restore', $story))->assertSessionHasNoErrors();
        self::assertSame(1, Story::query()->count());
        $this->actingAs($this->rep)->post(route('stories.update', $story), $form)->assertForbidden();
    }

    public function test_what_may_not_be_named_is_not_and_half_a_story_is_none(): void
    {
        $this->glass->update(['domain' => 'glasnord.example']);
        $this->actingAs($this->lead);
        $words = ['language' => 'en', 'customer' => 'Glasverk NORD', 'problem' => 'x', 'done' => 'y', 'result' => 'z'];
        $send = fn (array $more): mixed => $this->post(route('stories.store', $this->offer), $more + [
            'name' => 'Nights', 'domain' => 'glasnord.example', 'words' => [$words],
        ]);
        $send([])->assertSessionHasErrors([
            'words.0' => 'The words name Glasverk Nord, which may not be named.',
        ]);
        $send(['named' => '1'])->assertSessionHasNoErrors();
        $send(['domain' => 'nobody.example'])->assertSessionHasErrors('domain');
        $send(['domain' => '', 'industry' => 'no such thing at all'])->assertSessionHasErrors('industry');
        $send(['domain' => '', 'country' => 'Nowhere'])->assertSessionHasErrors('country');
        $send(['words' => [['language' => 'en', 'customer' => 'a glassworks'] + array_fill_keys(
            ['problem', 'done', 'result'], null,
        )]])->assertSessionHasErrors('words.0');
        $send(['words' => [['language' => '', 'customer' => '']]])->assertSessionHasErrors('words');
        self::assertSame(1, Story::query()->count());
    }

    public function test_a_story_says_to_whom_it_would_be_told(): void
    {
        $story = $this->story();
        self::assertSame([], (new StoryPage($this->offer, $story))->toldTo(), 'no one is ranked');
        $tunhede = $this->tunhede();
        (new Standings)->all();
        self::assertSame([$tunhede->id], array_map(
            fn (Account $one): int => $one->id, (new StoryPage($this->offer->refresh(), $story))->toldTo(),
        ));
    }

    /** @param  array<string, mixed>  $more */
    private function story(array $more = []): Story
    {
        return Story::factory()->create($more + ['offer_id' => $this->offer->id]);
    }
}
