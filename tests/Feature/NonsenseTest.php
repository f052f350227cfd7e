<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Formats;
use App\Feeds\Site;
use App\Feeds\Unreachable;
use App\Models\Account;
use App\Models\Intake;
use Illuminate\Http\UploadedFile;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What bench/fuzz.php found once: each is refused in a sentence. */
final class NonsenseTest extends TestCase
{
    private const CARD = "BEGIN:VCARD\nVERSION:4.0\nFN:Ida Lie\nTITLE:Planner\nORG:Tunhede\n%s\nEND:VCARD\n";

    /** @return array<string, array{string, string, string}> */
    public static function files(): array
    {
        $book = (string) file_get_contents(dirname(__DIR__).'/data/intake/18-betriebe.xlsx');
        $at = (int) strpos($book, 'xl/worksheets/sheet1.xml') + 80;
        $strings = (int) strpos($book, 'xl/sharedStrings.xml') + 60;

        return [
            'a workbook whose sheet is damaged' => [
                'a.xlsx', substr_replace($book, str_repeat('x', 40), $at, 40), 'a workbook that was cut off',
            ],
            'a workbook whose texts are damaged' => [
                'b.xlsx', substr_replace($book, str_repeat('x', 40), $strings, 40), 'a workbook that was cut off',
            ],
            'a card with a sort of value that there is not' => [
                'c.vcf', sprintf(self::CARD, 'TEL;VALUE=whatever:1'), 'Card number 1 cannot be read: Unsupported VALUE',
            ],
            'a card that says the sort of a value twice' => [
                'd.vcf', sprintf(self::CARD, 'TEL;VALUE=uri;VALUE=text:1'),
                'Card number 1 cannot be read: A part of it is there twice.',
            ],
            'a card with a property called 0' => [
                'f.vcf', sprintf(self::CARD, '0:1'), 'Card number 1 cannot be read: A line of it has no name.',
            ],
            'half a character of two bytes' => [
                'e.csv', "\xFF\xFE".(string) iconv('UTF-8', 'UTF-16LE', "domain;name\na.example;A\n")."\x00\xD8",
                'UTF-16LE',
            ],
        ];
    }

    #[DataProvider('files')]
    public function test_a_file_that_is_broken_inside_is_put_aside(string $name, string $bytes, string $says): void
    {
        $this->actingAs($this->rep)->from('/intake')
            ->post('/intake', ['file' => [UploadedFile::fake()->createWithContent($name, $bytes)]])
            ->assertRedirect('/intake');
        self::assertStringContainsString($says, implode(' ', session('errors')?->all() ?? []));
        self::assertSame(0, Intake::query()->count());
    }

    public function test_a_card_of_a_feed_costs_itself_alone(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'luftig');
        file_put_contents($path, sprintf(self::CARD, 'TEL;VALUE=uri;VALUE=text:1')
            .sprintf(self::CARD, 'REV:20261120T081e3090000').sprintf(self::CARD, 'REV:20261120T080000Z'));
        $items = [...Formats::named('cards')->read(new Fetched('https://p.example', $path), Cursor::from(null))->items];
        self::assertSame('The card cannot be read: A part of it is there twice.', $items[0]->refused);
        self::assertSame(
            [null, '2026-11-20 08:00:00'],
            [$items[1]->at, $items[2]->at?->toDateTimeString()],
        );
    }

    public function test_a_name_longer_than_any_is_no_site(): void
    {
        $this->expectException(Unreachable::class);
        Site::of('https://'.str_repeat('a', 300).'.example/');
    }

    public function test_a_list_where_one_value_belongs_does_not_break_the_page_that_shows_it_again(): void
    {
        $this->actingAs($this->rep)->from('/alerts')->followingRedirects()
            ->post('/alerts', ['about' => ['x' => 'y'], 'query' => ['a', ['b']], 'kinds' => 'x', 'ways' => 'y'])
            ->assertOk()->assertSee('My alerts');
        $this->from('/tokens')->followingRedirects()
            ->post('/tokens', ['name' => ['x'], 'days' => [['90']], 'scopes' => 'read'])->assertOk();
    }

    public function test_every_form_shows_again_what_it_can_of_lists_in_place_of_values(): void
    {
        $account = $this->tunhede();
        $contact = $account->contacts()->firstOrFail();
        $offer = $this->offer->id;
        $broken = [];
        foreach ([
            "/rules/$offer", "/rules/$offer/angles/new", "/rules/$offer/stories/new", '/begin?step=1', '/begin?step=2',
            '/accounts/new', "/accounts/{$account->id}", "/accounts/{$account->id}/edit", "/contacts/{$contact->id}",
            "/accounts/{$account->id}/reasons/new", '/keep-out', '/alerts', '/tokens', '/pace', '/team', '/feeds/new',
            '/webhooks/new', '/look-ups', '/alike', '/network', '/lists', '/intake', '/finder', '/press', '/candidates',
        ] as $page) {
            $html = (string) $this->actingAs($this->lead)->get($page)->assertOk()->content();
            preg_match_all('/ name="(\w+)/', $html, $names);
            foreach ([['a', ['b']], ['x' => ['y' => ['z']]], [['f' => 'headcount', 'lo' => ['1']]]] as $list) {
                $old = array_fill_keys(array_unique($names[1]), $list);
                $answer = $this->withSession(['_old_input' => $old])->get($page);
                $answer->getStatusCode() === 200
                    || $broken[$page.' '.json_encode($list)] = $answer->exception?->getMessage();
                session()->forget('_old_input');
            }
        }
        self::assertSame([], $broken);
    }

    public function test_a_number_where_a_day_belongs_is_refused_in_a_sentence(): void
    {
        $account = Account::factory()->create();
        $this->actingAs($this->rep)->from('/')
            ->postJson("/accounts/{$account->id}/decision", ['decision' => 'later', 'until' => 9007199254740993])
            ->assertUnprocessable()->assertJsonValidationErrors('until');
        foreach ([9007199254740993, 1.5, true] as $since) {
            $this->postJson('/network/stations', [
                'user' => $this->rep->id, 'kind' => 'position', 'name' => 'X', 'since' => $since,
                'until' => '2026-01-01',
            ])->assertUnprocessable()->assertJsonValidationErrors('since');
        }
    }
}
