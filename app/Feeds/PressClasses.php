<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\PressClass;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Text\Query;

/** What a report is about, by the text queries that the team keeps, or by those to begin with. */
final class PressClasses
{
    /** In this order: what goes wrong is told before what it is called off. */
    public const FIRST = [
        ['recall', Kind::News, 'recall OR recalls OR "recalled" OR Rückruf* OR ruft zurück OR återkall* OR '
            .'tilbagekald* OR tilbakekall* OR terugroep* OR wycofuj* OR takaisinved* OR rappelle'],
        ['hiring stop', Kind::HiringFreeze, '"hiring stop" OR "hiring freeze" OR "hiring stopped" OR "stops hiring" OR '
            .'"no new positions" OR layoffs OR "lays off" OR "job cuts" OR "cuts jobs" OR Einstellungsstopp OR '
            .'Stellenabbau OR "baut Stellen ab" OR Kurzarbeit OR anställningsstopp OR varslar OR varsel OR '
            .'ansættelsesstop OR fyrer OR nedbemann* OR vacaturestop OR ontslagen OR zwolnienia OR irtisano* OR '
            .'lomautta* OR licencie*'],
        ['called off', Kind::News, '"called off" OR cancels OR halts OR postpones OR scraps OR denies OR stoppt OR '
            .'verschiebt OR skjuter upp OR ställer in OR udskyder OR utsetter OR schrapt OR wstrzymuje OR lykkää'],
        ['funding', Kind::Funding, '"funding round" OR "series a" OR "series b" OR "series c" OR "raises capital" OR '
            .'"growth capital" OR "secures funding" OR "grant for" OR Finanzierungsrunde OR Wachstumskapital OR '
            .'kapitaltillskott OR finansieringsrunda OR kapitalrunde OR kapitaludvidelse OR emisjon OR '
            .'financieringsronde OR groeikapitaal OR "runda finansowania" OR rahoituskierro* OR "levée de fonds"'],
        ['contract', Kind::Expansion, '"large contract" OR "wins contract" OR "contract won" OR "wins order" OR '
            .'"large order" OR Großauftrag OR "erhält Auftrag" OR storordrar OR storordre OR "ny storaftale" OR '
            .'kontrakt vunnet OR "grote order" OR "duży kontrakt" OR suurtilau* OR "remporte un contrat"'],
        ['expansion', Kind::Expansion, '"new plant" OR "new site" OR "second site" OR "new hall" OR "new line" OR '
            .'"new factory" OR "fourth line" OR "breaks ground" OR "builds a new" OR erweitert OR Erweiterung OR '
            .'"neues Werk" OR "neue Halle" OR "neue Linie" OR "bygger ut" OR "ny fabrik" OR "nytt verk" OR "ny hall" '
            .'OR nyetabler* OR "ny fabrikk" OR "udvider med" OR uitbreiding OR "nieuwe fabriek" OR "nieuwe hal" OR '
            .'"nowy zakład" OR "nowa hala" OR rozbudow* OR "uusi tehdas" OR laajenta* OR "nouvelle usine" OR agrandit'],
        ['leadership', Kind::LeadershipChange, '"new chief executive" OR "new managing director" OR "new chair" OR '
            .'"steps down as" OR "appoints" OR "neue Geschäftsführung" OR "neuer Geschäftsführer" OR "neue '
            .'Geschäftsführerin" OR "ny vd" OR "ny direktør" OR "ny daglig leder" OR "nieuwe directeur" OR "nowy '
            .'prezes" OR "uusi toimitusjohtaja" OR "nouveau directeur"'],
    ];

    /** @param  list<array{string, Kind, Query}>  $classes */
    private function __construct(private readonly array $classes)
    {
    }

    public static function all(): self
    {
        if (PressClass::query()->doesntExist()) {
            foreach (self::FIRST as $i => [$name, $kind, $query]) {
                PressClass::query()->create(compact('name', 'kind', 'query') + ['position' => $i]);
            }
        }

        return new self(array_map(
            fn (PressClass $one): array => [$one->name, $one->kind, Query::parse($one->query)],
            array_values(PressClass::query()->orderBy('position')->get()->all()),
        ));
    }

    /** @return array{string, Kind} the class and the kind of signal; plain news where none fits */
    public function of(string $title, string $text): array
    {
        // The headline says it, where it says anything.
        foreach ([$title, "$title $text"] as $read) {
            foreach ($this->classes as [$name, $kind, $query]) {
                if ($query->matches($read)) {
                    return [$name, $kind];
                }
            }
        }

        return ['news', Kind::News];
    }
}
