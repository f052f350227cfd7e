<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Feed;
use App\Models\IntakeKind;
use App\Standings\Standings;
use Tests\TestCase;

/** From one post: everyone under it, whom we know and whom not. */
final class PostTest extends TestCase
{
    use HasOutside {
        setUp as private setUpOutside;
    }

    private string $post;

    protected function setUp(): void
    {
        $this->setUpOutside();
        $this->bring(IntakeKind::Accounts, "domain;name\ntunhede.example;Glasverk Tunhede\n");
        $this->bring(IntakeKind::Contacts, "domain;first name;last name;title;profile\n"
            ."tunhede.example;Ida;Lie;Plant Manager;https://people.example/ida\n"
            ."tunhede.example;Åse;Moe;Planner;https://people.example/ase\n");
        $this->post = 'http://127.0.0.1:'.self::$port.'/posts/leak-surveys-7';
        $deed = fn (int $id, string $deed, string $who, string $at, string $text = ''): array => [
            'id' => $id, 'topic' => 'leak-surveys', 'post' => $this->post, 'deed' => $deed, 'at' => $at,
            'profile' => "https://people.example/$who", 'name' => ucfirst($who), 'company' => 'Kraftverk Nord',
            'title' => 'Writes', 'text' => $text,
        ];
        $this->world('deeds', [
            $deed(1, 'wrote', 'solveig', '2026-11-22T06:00:00Z', 'How often do you look for leaks?'),
            $deed(2, 'reacted', 'ida', '2026-11-22T07:00:00Z'),
            $deed(3, 'commented', 'ase', '2026-11-22T06:30:00Z', 'Twice a year.'),
            $deed(4, 'passed on', 'olav', '2026-11-23T08:00:00Z'),
            ['post' => 'https://posts.example/other'] + $deed(5, 'reacted', 'bo', '2026-11-22T07:00:00Z'),
        ]);
    }

    public function test_a_post_is_brought_by_its_address_with_everyone_under_it(): void
    {
        (new Standings)->refresh();
        $this->actingAs($this->rep)->post(route('posts.store'), ['of' => " $this->post "])
            ->assertRedirect(route('posts.show', ['of' => $this->post]));
        $page = $this->get(route('posts.show', ['of' => $this->post]))->assertOk();
        $page->assertSeeTextInOrder([
            'A post on “Leak surveys”', '2 contacts · 2 candidates', 'by Solveig · Writes · Kraftverk Nord',
            'How often do you look for leaks?', 'Whom we know', 'Åse Moe', 'Planner · Glasverk Tunhede', 'commented',
            '“Twice a year.”', 'Ida Lie', 'reacted', 'The rest', 'Solveig', 'wrote', 'Olav', 'passed on',
        ])->assertDontSeeText('Bo ');
        // On to the Finder, in one step.
        preg_match('~href="([^"]+/finder[^"]+)"~', (string) $page->getContent(), $link);
        $this->get(html_entity_decode($link[1]).'&c[1][f]=title&c[1][q]=manager')->assertSeeText('Ida Lie')
            ->assertSeeText('1 contact')->assertDontSeeText('Åse Moe');
        $this->post(route('posts.store'), ['of' => $this->post]);
        self::assertSame(60, Feed::query()->sole()->rhythm, 'one feed, however often it is brought');
    }

    public function test_an_address_that_is_none_or_leads_nowhere_is_said_so(): void
    {
        $this->actingAs($this->rep)->post(route('posts.store'), ['of' => 'http://10.0.0.1/post'])
            ->assertSessionHasErrors(['of' => '10.0.0.1 is an address of a private network, which is not asked.']);
        $this->post(route('posts.store'), [])->assertSessionHasErrors('of');
        $this->get(route('posts.show'))->assertNotFound();
        $none = 'http://127.0.0.1:'.self::$port.'/posts/none';
        $this->post(route('posts.store'), ['of' => $none]);
        $this->get(route('posts.show', ['of' => $none]))->assertSee('There is nothing at this address (answer 404).')
            ->assertSee('Nobody is known to have');
    }
}
