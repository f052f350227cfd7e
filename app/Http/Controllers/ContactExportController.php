<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Contacts\EraseContact;
use App\Events\RecordsExported;
use App\Exports\ContactCard;
use App\Exports\Export;
use App\Exports\ExportFormats;
use App\Finder\ResultColumn;
use App\Finder\ResultRows;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Role;
use App\View\Contacts\ContactList;
use Generator;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\LazyCollection;
use Luftig\Core\Search\Subject;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Contacts given out: a list as CSV or vCards, one as a vCard, and everything that is known of one. */
final class ContactExportController extends Controller
{
    private const CHUNK = 500;

    public function index(Request $request, Offer $offer, string $format): StreamedResponse
    {
        $list = ContactList::from($offer, $request->query->all());
        RecordsExported::dispatch($request->user(), $format, route('contacts.index', $list->parameters()));

        return ExportFormats::of($format)->download(new Export(
            'contacts',
            array_values(ResultColumn::of(Subject::Contacts)),
            fn (): Generator => $this->records($offer, $list),
        ));
    }

    public function card(Request $request, Contact $contact): Response
    {
        $barred = EntriesInForce::now();
        abort_if(
            $barred->asked($contact->id) && $request->user()?->role !== Role::Admin,
            403,
            'They asked not to be contacted; only an admin gives out what is known of them.',
        );

        RecordsExported::dispatch($request->user(), 'vcf', route('contacts.show', $contact));

        return response(
            ContactCard::of($contact->load('account', 'channels'), $barred),
            200,
            [
                'Content-Type' => 'text/vcard; charset=UTF-8',
                'Content-Disposition' => 'attachment; filename="contact-'.$contact->id.'.vcf"',
            ],
        );
    }

    public function known(Request $request, Contact $contact): JsonResponse
    {
        RecordsExported::dispatch($request->user(), 'json', route('contacts.show', $contact));

        return response()->json(
            EraseContact::known($contact),
            200,
            ['Content-Disposition' => 'attachment; filename="known-'.$contact->id.'.json"'],
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    /** @return Generator<array{Account|Contact, ResultRows}> whoever is kept out is left out */
    private function records(Offer $offer, ContactList $list): Generator
    {
        $barred = EntriesInForce::now();
        foreach (LazyCollection::make(fn (): Generator => $list->rows())->chunk(self::CHUNK) as $chunk) {
            $rows = ResultRows::of($offer, Subject::Contacts, array_values(
                $chunk->map(fn (array $row): int => $row[0])->all(),
            ));
            foreach ($rows->records as $contact) {
                if (
                    $contact instanceof Contact
                    && $barred->contact($contact->id) === null
                    && $barred->account($contact->account_id, $contact->account->domain) === null
                ) {
                    yield [$contact, $rows];
                }
            }
        }
    }
}
