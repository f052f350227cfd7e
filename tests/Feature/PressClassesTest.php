<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Feeds\PressClasses;
use App\Models\Feed;
use App\Models\FeedItem;
use App\Models\ItemKind;
use App\Models\PressClass;
use Luftig\Core\Signal\Kind;
use Tests\TestCase;

/** What headlines tell of, in the languages of the north; the team's own queries come after those to begin with. */
final class PressClassesTest extends TestCase
{
    /** @return list<array{string, string}> */
    private static function headlines(): array
    {
        return [
            ['Glasverk Tunhede closes funding round of 12 million', 'funding'],
            ['Hvidkrus raises capital for a second furnace', 'funding'],
            ['Grant for a dryer that runs on waste heat', 'funding'],
            ['Ostholz Platten: Finanzierungsrunde über 8 Millionen', 'funding'],
            ['Wachstumskapital für Moorloh Folien', 'funding'],
            ['Plåtverket får kapitaltillskott', 'funding'],
            ['Folie Zandkamp haalt groeikapitaal op', 'funding'],
            ['Rajavaara Lasi sai rahoituskierroksen päätökseen', 'funding'],
            ['Verrerie de Moorloh : une levée de fonds', 'funding'],
            ['Tunhede builds a new hall in Hobro', 'expansion'],
            ['Second site opened in Skive', 'expansion'],
            ['Folienwerk Moorloh erweitert am Stammsitz', 'expansion'],
            ['Neues Werk in Wismar geht in Betrieb', 'expansion'],
            ['Pappersbruket bygger ut i norr', 'expansion'],
            ['Ny fabrik i Hobro', 'expansion'],
            ['Nieuwe fabriek voor folie in Emmen', 'expansion'],
            ['Nowa hala w Wronnicy', 'expansion'],
            ['Rozbudowa papierni', 'expansion'],
            ['Uusi tehdas Rajavaaraan', 'expansion'],
            ['Nouvelle usine à Moorloh', 'expansion'],
            ['Large contract won by Stanzwerk Uhl', 'contract'],
            ['Großauftrag für Stanzwerk Uhl', 'contract'],
            ['Plåtverket får storordre', 'contract'],
            ['Suurtilaus Rajavaaran paperille', 'contract'],
            ['Hiring stopped at Sverkhult', 'hiring stop'],
            ['Sverkhult cuts jobs in Halden', 'hiring stop'],
            ['No new positions until April, says the board', 'hiring stop'],
            ['Einstellungsstopp bei Moorloh', 'hiring stop'],
            ['Moorloh baut Stellen ab', 'hiring stop'],
            ['Pappersbruket varslar trettio', 'hiring stop'],
            ['Ansættelsesstop på glasværket', 'hiring stop'],
            ['Vacaturestop bij Zandkamp', 'hiring stop'],
            ['Zwolnienia w papierni', 'hiring stop'],
            ['Irtisanomiset alkoivat Rajavaarassa', 'hiring stop'],
            ['Tunhede halts its new plant', 'called off'],
            ['Funding round called off at the last minute', 'called off'],
            ['Moorloh stoppt neues Werk', 'called off'],
            ['Hvidkrus recalls a thousand jars', 'recall'],
            ['Rückruf bei Moorloh', 'recall'],
            ['Återkallar burkar: bruket beklagar', 'recall'],
            ['Glassworks appoints head of the north', 'leadership'],
            ['Neue Geschäftsführung bei Moorloh', 'leadership'],
            ['Ny VD på Plåtverket', 'leadership'],
            ['Nowy prezes papierni', 'leadership'],
            ['Uusi toimitusjohtaja Rajavaaraan', 'leadership'],
            ['Tunhede named in a report on the duty to audit energy', 'news'],
            ['Open day at the glassworks', 'news'],
            ['The line at the canteen grows', 'news'],
            ['Portrait of a founder', 'news'],
        ];
    }

    public function test_a_headline_tells_of_one_thing(): void
    {
        $classes = PressClasses::all();
        foreach (self::headlines() as [$headline, $class]) {
            self::assertSame($class, $classes->of($headline, '')[0], $headline);
        }
    }

    public function test_the_text_is_read_where_the_headline_says_nothing(): void
    {
        $classes = PressClasses::all();
        self::assertSame(
            ['expansion', Kind::Expansion],
            $classes->of('News from Hobro', 'They build: a new hall, soon.'),
        );
        self::assertSame(
            ['hiring stop', Kind::HiringFreeze],
            $classes->of('Hiring stopped at Tunhede', 'The new hall will be finished all the same.'),
            'the headline before the text',
        );
    }

    public function test_a_lead_edits_the_queries_and_tries_them_on_what_came(): void
    {
        $feed = Feed::factory()->create(['format' => 'press']);
        foreach (['Glasverk signs for compressors', 'A new hall', 'Compressors at the fair'] as $i => $title) {
            FeedItem::query()->create([
                'feed_id' => $feed->id, 'mark' => sha1($title), 'content' => sha1($title), 'kind' => ItemKind::Report,
                'title' => $title, 'at' => now()->subDays($i), 'facts' => ['text' => 'In Hobro.'],
                'raw' => gzcompress('x'), 'seen_at' => now(),
            ]);
        }
        $this->actingAs($this->rep)->get('/press')->assertOk()->assertSeeText('hiring stop')
            ->assertDontSee('Another one');
        $form = ['name' => 'rival', 'kind' => 'rival_signed', 'query' => 'compressors AND signs'];
        $this->post('/press', $form)->assertForbidden();
        $this->post('/press/trial', $form)->assertForbidden();
        $this->actingAs($this->lead)->get('/press')->assertOk()->assertSee('Another one');
        $this->post('/press/trial', ['query' => 'compressors'])->assertOk()
            ->assertSeeText('Found in 2 of the newest 3 reports.')
            ->assertSeeTextInOrder(['Glasverk signs for compressors', 'Compressors at the fair'])
            ->assertDontSeeText('A new hall');
        $this->post('/press/trial', ['query' => 'compressors AND'])->assertOk()->assertDontSeeText('Found in');
        foreach ([
            ['name' => ''], ['name' => 'funding'], ['kind' => 'wedding'], ['query' => ''], ['query' => 'a OR'],
        ] as $no) {
            $this->post('/press', $no + $form)->assertSessionHasErrors(array_keys($no));
        }
        $this->post('/press', $form)->assertSessionHasNoErrors();
        $class = PressClass::query()->where('name', 'rival')->sole();
        self::assertSame('rival', PressClasses::all()->of('Glasverk signs for compressors', '')[0]);
        $this->put("/press/{$class->id}", ['query' => 'fair'] + $form)->assertSessionHas('undo');
        self::assertSame('news', PressClasses::all()->of('Glasverk signs for compressors', '')[0]);
        self::assertSame('rival', PressClasses::all()->of('Compressors at the fair', '')[0]);
        $this->delete("/press/{$class->id}");
        self::assertSame('news', PressClasses::all()->of('Compressors at the fair', '')[0]);
    }

    public function test_the_teams_own_class_is_found_and_the_first_that_fits_says_it(): void
    {
        PressClasses::all();
        self::assertSame(count(PressClasses::FIRST), PressClass::query()->count());
        PressClass::query()->create([
            'name' => 'rival', 'kind' => Kind::RivalSigned, 'query' => 'signed AND compressors', 'position' => 90,
        ]);
        self::assertSame(
            ['rival', Kind::RivalSigned],
            PressClasses::all()->of('Tunhede signed with a maker of compressors', ''),
        );
        self::assertSame('expansion', PressClasses::all()->of('New hall: compressors signed for', '')[0]);
        self::assertSame(count(PressClasses::FIRST) + 1, PressClass::query()->count(), 'brought once');
    }
}
