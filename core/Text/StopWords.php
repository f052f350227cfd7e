<?php

declare(strict_types=1);

namespace Luftig\Core\Text;

/** Words that say nothing of what a text is about, in nine languages. */
final class StopWords
{
    /** @var array<string, true>|null */
    private static ?array $all = null;

    public static function has(string $word): bool
    {
        self::$all ??= array_fill_keys(Fold::words(implode(' ', self::BY_LANGUAGE)), true);

        return isset(self::$all[$word]);
    }

    private const BY_LANGUAGE = [
        'en' => 'a an and are as at be been by for from has have in into is it its more new no not of on or out over '
            .'says than that the their there they this to up was were what when which who will with after before '
            .'about against between during how s',
        'de' => 'aber als am an auch auf aus bei bis das dass dem den der des die durch ein eine einem einen einer '
            .'eines er es für gegen hat haben im in ins ist kein keine mehr mit nach neue neuer neues nicht noch nur '
            .'ob oder seit sich sie sind so über um und unter vom von vor war was wenn wie wird wurde zu zum zur zwei',
        'nl' => 'aan als bij dan dat de der deze die dit door een en er het hun in is maar meer met na naar niet nieuw '
            .'nieuwe nog of om onder ook op over te tegen tot uit van voor was wat wordt zich zijn',
        'sv' => 'alla att av blir de den det dig din efter ej eller en ett från för före har hos i in inte kan med men '
            .'mer mot ny nya nytt när och om på sig sin ska som så till under upp ur ut utan var vid än är över',
        'no' => 'av at blir de den det eller en er et etter for fra før har hos i ikke inn med men mer mot ny nye nytt '
            .'når og om opp over på seg sin skal som så til under ut uten var ved',
        'da' => 'af at bliver de den det efter eller en er et for fra før har hos i ikke ind med men mere mod ny nye '
            .'nyt når og om op over på sig sin skal som så til ud uden under var ved',
        'pl' => 'a ale bez co czy dla do dwa i ich jak jako jego jej jest już lub ma mają może na nad nie nowa nowe '
            .'nowy o od oraz po pod przed przez przy się są ta tak tego ten też to u w we więcej z za ze że',
        'fi' => 'ei eli että he hän ja jo joka jos kaksi kanssa kuin kun lisää me mikä mutta myös ne ny nyt näin ole '
            .'oli on ovat se sekä sen siitä tai tämä uuden uusi uutta vai vain',
        'fr' => 'a au aux avec ce ces cette dans de des deux du elle en entre est et il ils la le les leur lors mais '
            .'ne nouveau nouvelle ont ou par pas plus pour qu que qui sa sans se ses son sont sous sur un une '
            .'vers',
    ];

    /** @return list<string> the words of a text that say something, each once */
    public static function without(string $text): array
    {
        return array_values(array_unique(
            array_filter(Fold::words($text), static fn (string $word): bool => ! self::has($word)),
        ));
    }
}
