<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

use Luftig\Core\Text\Fold;

/** Mailboxes of a house and not of a person, known by their words in the languages of our files. */
final readonly class SharedMailbox
{
    /** By what they are for: the house, its doors, its offices, its trades. */
    private const WORDS = ''
        .'info information informationen kontakt contact contacts mail email post posti poczta mailbox '
        .'postmaster webmaster noreply hello hallo hei hej team welcome willkommen general all alle firma '
        .'company reception receptionist receptie receptionen resepsjon recepcja vastaanotto accueil empfang '
        .'rezeption anmeldung registration vaxel zentrale switchboard frontdesk desk office buero buro '
        .'bureau kontor kontoret biuro toimisto sekretariat secretariat secretary sekretariaatti verwaltung '
        .'admin administration administracja hallinto zarzad praxis praktijk practice praktyka praktik '
        .'cabinet klinik klinikken clinic gabinet klinikka patienten patients hotel restaurant restauracja '
        .'ravintola kueche kuche kitchen keuken shop shops store butik butikk butiken winkel sklep kauppa '
        .'myymala boutique magasin laden filiale kasse kassa kasa caisse cashier schule school skole skola '
        .'szkola koulu ecole booking bookings buchung reservation reservations reservierung reservering '
        .'rezerwacja rezerwacje varaus varaukset order orders bestellung bestellungen bestilling bestallning '
        .'bestelling zamowienia tilaus tilaukset commande commandes auftrag enquiries inquiries anfrage '
        .'anfragen angebot sales vertrieb verkauf verkoop salg forsaljning sprzedaz myynti ventes vente '
        .'einkauf purchasing inkop innkjop indkob inkoop zakupy ostot achats service support helpdesk '
        .'kundenservice kundendienst kundservice kundeservice klantenservice asiakaspalvelu obsluga '
        .'serviceclient technik werkstatt disposition dispo dispatch planung lager warehouse magazyn '
        .'rechnung rechnungen invoice invoices invoicing faktura fakturen facture factures facturation lasku '
        .'laskut laskutus billing accounting accounts buchhaltung ekonomi regnskab regnskap boekhouding '
        .'ksiegowosc kirjanpito comptabilite finance personal hr jobs job karriere career careers bewerbung '
        .'bewerbungen rekrytering praca rekrutacja tyopaikat recrutement recruiting presse press media '
        .'marketing datenschutz privacy it edv';

    /** Letters from which on a word tells of the house also before others: hr.meier@ is somebody. */
    private const LONG = 4;

    public static function is(string $address): bool
    {
        static $words = null;
        $words ??= array_fill_keys(explode(' ', self::WORDS), true);
        $box = Fold::letters(strstr($address, '@', true) ?: $address);
        // praxis2@, no-reply@, and info.wien@ or info-de@: a place or a number behind the word.
        $parts = preg_split('/[._+-]+/', (string) preg_replace('/\d+$/', '', $box)) ?: [];

        return isset($words[implode('', $parts)]) || strlen($parts[0]) >= self::LONG && isset($words[$parts[0]]);
    }
}
