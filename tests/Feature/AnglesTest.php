<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Approach;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Result;
use App\Models\RuleSet;
use App\Models\Signal;
use App\Models\Standing;
use App\Reasons\AngleSet;
use App\Reasons\Answers;
use App\Reasons\Drafts;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Standings\Standings;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Angles as leads edit them: whom one holds for today, versions, and the way back. */
final class AnglesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->tunhede();
        $this->offer->rules?->update([
            'buyer_roles' => [['name' => 'Maintenance', 'functions' => ['maintenance']]],
        ]);
        (new Standings)->all();
        $this->offer->refresh();
    }

    /** @return array<string, mixed> */
    private function form(mixed ...$changes): array
    {
        return $changes + [
            'version' => (int) RuleSet::query()->where('offer_id', $this->offer->id)->max('version'),
            'name' => 'Money in the house', 'say' => 'ask what the money is for',
            'parts' => [
                ['is' => 'signal:funding', 'whose' => 'account', 'words' => '', 'need' => 'needed', 'role' => ''],
                ['is' => '', 'whose' => '', 'words' => '', 'need' => 'needed', 'role' => ''],
            ],
            'words' => [
                [
                    'language' => 'en', 'subject' => 'What the money is for',
                    'message' => 'Hello {{first_name}}, what will {{account}} do with it?', 'call' => '',
                ],
                ['language' => '', 'subject' => '', 'message' => ''],
            ],
        ];
    }

    public function test_before_it_is_saved_a_lead_sees_whom_it_holds_for_and_how_it_reads(): void
    {
        $this->actingAs($this->lead)->post(route('angles.preview', $this->offer), $this->form())
            ->assertSeeTextInOrder([
                'It holds for 1 of the first 1 account', 'To Pernille Askov-Rye, Glasverk Tunhede', 'in English',
                'Ask what the money is for', 'Hello Pernille, what will Glasverk Tunhede do with it?', 'It holds for',
                'Glasverk Tunhede, Pernille Askov-Rye',
            ]);
        self::assertSame(0, RuleSet::query()->whereJsonLength('angles', '>', 0)->count(), 'nothing is saved');
        $this->post(route('angles.preview', $this->offer), $this->form(name: '', say: ''))->assertOk();
        $other = ['is' => 'signal:expansion', 'need' => 'needed'];
        $this->post(route('angles.preview', $this->offer), $this->form(parts: [$other]))
            ->assertSeeText('It holds for 0 of the first 1 account')
            ->assertDontSeeText('Glasverk Tunhede, Pernille Askov-Rye');
    }

    public function test_what_lacks_or_is_too_long_is_said_beside_the_draft(): void
    {
        $words = ['language' => 'en', 'subject' => 'Short', 'message' => str_repeat('All {{topic}} day. ', 60)];
        $this->actingAs($this->lead)->post(route('angles.preview', $this->offer), $this->form(words: [$words]))
            ->assertSeeText('Nothing is known for {{topic}}; it would not be proposed.')
            ->assertSeeText('at most 600 fit.');
    }

    public function test_a_new_angle_is_a_version_of_the_rules_and_can_be_taken_back(): void
    {
        $before = (int) $this->offer->rules?->version;
        $rules = $this->offer->rules;
        $this->actingAs($this->lead)->post(route('angles.store', $this->offer), $this->form())
            ->assertRedirect(route('angles.index', $this->offer));
        $undo = session('undo');
        $offer = $this->offer->fresh();
        self::assertSame($before + 1, $offer?->rules?->version);
        self::assertSame($this->lead->id, $offer->rules->author_id);
        self::assertSame($rules?->criteria, $offer->rules->criteria, 'the rest of the rules stays');
        $angles = AngleSet::of($offer)->stored();
        // The sixteen that ship become the team's own, the new one before them.
        self::assertCount(17, $angles);
        self::assertSame([
            'name' => 'Money in the house', 'say' => 'ask what the money is for',
            'needed' => [['kind' => 'funding', 'whose' => 'account']], 'welcome' => [],
            'words' => ['en' => [
                'subject' => 'What the money is for',
                'message' => 'Hello {{first_name}}, what will {{account}} do with it?',
            ]],
        ], $angles[0]);
        $this->get(route('angles.index', $offer))->assertSeeTextInOrder([
            'Money in the house', 'rests on', 'funding', 'the account’s', 'English',
        ]);
        $this->post($undo['to'])->assertRedirect(route('angles.index', $offer));
        self::assertSame($before + 2, $this->offer->fresh()?->rules?->version);
        self::assertSame([], $this->offer->fresh()->rules->angles);
    }

    public function test_an_angle_is_changed_in_its_place_and_removed(): void
    {
        $this->actingAs($this->lead)->post(route('angles.store', $this->offer), $this->form());
        $page = $this->get(route('angles.edit', [$this->offer, 0]))->assertOk();
        $page->assertSee('value="Money in the house"', false)->assertSee('value="signal:funding" selected', false)
            ->assertSee('Hello {{first_name}}, what will {{account}} do with it?');
        $this->post(route('angles.update', [$this->offer, 0]), $this->form(
            name: 'Money', parts: [
                ['is' => 'signal:funding', 'whose' => '', 'words' => 'round', 'need' => 'needed'],
                ['is' => 'fact:technology', 'words' => 'Vedliko Plan', 'need' => 'welcome'],
            ],
        ))->assertSessionHasNoErrors();
        $angles = AngleSet::of($this->offer->fresh())->stored();
        self::assertCount(17, $angles);
        self::assertSame(['Money', [['kind' => 'funding', 'query' => 'round']], [
            ['fact' => 'technology', 'value' => 'Vedliko Plan'],
        ]], [$angles[0]['name'], $angles[0]['needed'], $angles[0]['welcome']]);
        $this->delete(route('angles.destroy', [$this->offer, 0]), ['version' => $this->form()['version']])
            ->assertSessionHasNoErrors();
        self::assertNotContains('Money', array_column(AngleSet::of($this->offer->fresh())->stored(), 'name'));
        $this->get(route('angles.edit', [$this->offer, 40]))->assertNotFound();
    }

    public function test_one_that_is_called_otherwise_is_the_same_to_whom_it_was_said_and_in_the_results(): void
    {
        $contact = Contact::query()->sole();
        $proposed = function (string ...$used) use ($contact): array {
            $offer = $this->offer->fresh();
            $lines = SignalLine::of(
                Standing::query()->where('account_id', $contact->account_id)->sole(),
                Signal::query()->with('contact')->get(), RuleBook::catalogueOf($offer?->rules),
            );
            $draft = Drafts::of($offer, $contact->account, $contact, $lines, used: array_map(
                fn (string $angle): array => [$angle, $contact->id, 3.0], $used,
            ));

            return [$draft->angle, ...$draft->others];
        };
        $this->actingAs($this->lead)->post(route('angles.store', $this->offer), $this->form());
        $reason = Reason::factory()->create(['evidence' => ['angle' => 'Money in the house']]);
        Approach::factory()->create([
            'offer_id' => $this->offer->id, 'reason_id' => $reason->id, 'result' => Result::Interested,
        ]);
        foreach (['Money', 'Capital'] as $name) {
            $this->post(route('angles.update', [$this->offer, 0]), $this->form(name: $name))
                ->assertSessionHasNoErrors();
        }
        self::assertSame(
            ['Money in the house', 'Money'], AngleSet::of($this->offer->fresh())->stored()[0]['formerly'],
        );
        self::assertContains('Capital', $proposed());
        self::assertContains('Capital', $proposed('Cash'), 'what never was its name');
        self::assertNotContains('Capital', $proposed('Money in the house'));
        self::assertNotContains('Capital', $proposed('Money'));
        self::assertSame(['Capital'], array_keys(Answers::of($this->offer->fresh())->groups()['Angle']));

        // Another that takes the name that became free is another.
        $this->post(route('angles.store', $this->offer), $this->form(name: 'Money'))->assertSessionHasNoErrors();
        self::assertContains('Capital', $proposed('Money'));
        self::assertNotContains('Money', $proposed('Money'));

        // Of an earlier version it is still the one that was said under its later names.
        $this->post(route('angles.restore', [$this->offer, $this->offer->ruleSets()->where('version', 2)->sole()]));
        self::assertContains('Money in the house', $proposed());
        foreach (['Money in the house', 'Money', 'Capital'] as $said) {
            self::assertNotContains('Money in the house', $proposed($said), $said);
        }
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function mistakes(): array
    {
        $words = ['language' => 'en', 'subject' => 'A', 'message' => 'Hello'];

        return [
            'no name' => [['name' => ''], 'Give the angle a name.'],
            'a name that is taken' => [['name' => 'new money'], 'There is an angle of this name.'],
            'nothing it rests on' => [['parts' => []], 'An angle needs at least one signal or fact.'],
            'any signal, whatever it says' => [
                ['parts' => [['is' => 'signal:', 'need' => 'needed']]], 'A part names a kind of signal',
            ],
            'a query that cannot be read' => [
                ['parts' => [['is' => 'signal:news', 'words' => '(leak', 'need' => 'needed']]], 'words',
            ],
            'no words' => [['words' => []], 'Write a message in one language at least.'],
            'words without a message' => [
                ['words' => [['language' => 'de', 'subject' => 'A']]], 'Words need a language, a subject and a message',
            ],
            'words without a language' => [
                ['words' => [['language' => ''] + $words]], 'Words need a language, a subject and a message',
            ],
            'a language twice' => [['words' => [$words, $words]], 'A language stands here twice.'],
            'a slot that is none' => [
                ['words' => [['message' => 'Hello {{first name}}'] + $words]], 'A slot is written {{name}}',
            ],
            'a part without an end' => [['say' => '{{#role}}seek'], '{{#role}} has no end.'],
        ];
    }

    /** @param  array<string, mixed>  $changes */
    #[DataProvider('mistakes')]
    public function test_what_cannot_be_used_is_said_and_nothing_is_saved_or_lost(array $changes, string $says): void
    {
        $versions = RuleSet::query()->count();
        $this->actingAs($this->lead)->from(route('angles.create', $this->offer))
            ->post(route('angles.store', $this->offer), $this->form(...$changes))
            ->assertRedirect(route('angles.create', $this->offer))->assertSessionHasErrors();
        $errors = implode(' ', session('errors')->all());
        $says === 'words' ? self::assertNotSame('', $errors) : self::assertStringContainsString($says, $errors);
        self::assertSame($versions, RuleSet::query()->count());
        if (($changes['say'] ?? '') === '') {
            $this->get(route('angles.create', $this->offer))->assertSee('ask what the money is for');
        }
    }

    public function test_who_saves_after_somebody_else_is_told_and_can_save_again(): void
    {
        $mine = $this->form();
        $this->actingAs($this->lead)->post(route('angles.store', $this->offer), $this->form(name: 'Theirs'));
        $this->from(route('angles.create', $this->offer))->post(route('angles.store', $this->offer), $mine)
            ->assertSessionHasErrors('angle');
        $this->get(route('angles.create', $this->offer))->assertSee('value="Money in the house"', false);
        $this->post(route('angles.store', $this->offer), $this->form());
        self::assertSame(
            ['Money in the house', 'Theirs'],
            array_slice(array_column(AngleSet::of($this->offer->fresh())->stored(), 'name'), 0, 2),
        );
    }

    public function test_reps_neither_see_nor_change_angles(): void
    {
        $this->actingAs($this->rep);
        $this->get(route('angles.index', $this->offer))->assertForbidden();
        $this->get(route('angles.edit', [$this->offer, 0]))->assertForbidden();
        $this->post(route('angles.store', $this->offer), $this->form())->assertForbidden();
        $this->post(route('angles.preview', $this->offer), $this->form())->assertForbidden();
        $this->delete(route('angles.destroy', [$this->offer, 0]))->assertForbidden();
        $this->post(route('angles.restore', [$this->offer, $this->offer->rules]))->assertForbidden();
    }

    public function test_the_set_of_another_offer_stays_as_it_is(): void
    {
        $other = Offer::factory()->create(['name' => 'Another']);
        $this->actingAs($this->lead)->post(route('angles.store', $this->offer), $this->form());
        self::assertSame(AngleSet::neutral()->stored(), AngleSet::of($other->fresh())->stored());
        $this->post(route('angles.restore', [$other, $this->offer->rules]))->assertNotFound();
    }
}
