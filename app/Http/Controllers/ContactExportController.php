<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Contact;
use App\Models\Offer;
use App\People\Card;
use App\People\Erasing;
use App\Screens\ContactList;
use App\Standings\Barred;
use App\Support\Csv;
use Generator;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Luftig\Core\Person\Title;
use Luftig\Core\Priority\Part;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Contacts given out: a list as CSV or vCards, one as a vCard, and everything that is known of one. */
final class ContactExportController extends Controller
{
    private const CHUNK = 500;

    public function index(Request $request, Offer $offer, string $format): StreamedResponse
    {
        $list = ContactList::from($offer, $request->query->all());

        return $format === 'csv' ? Csv::download('contacts.csv', [
            'priority', 'part', 'first name', 'last name', 'title', 'read as', 'account', 'domain', 'e-mail', 'state', 'phone', 'profile', 'city', 'country', 'in post since', 'source',
        ], $this->rows($list)) : response()->streamDownload(function () use ($list): void {
            foreach ($this->contacts($list) as [$contact]) {
                echo Card::of($contact);
            }
        }, 'contacts.vcf', ['Content-Type' => 'text/vcard; charset=UTF-8']);
    }

    public function card(Contact $contact): Response
    {
        return response(Card::of($contact->load('account', 'channels')), 200, ['Content-Type' => 'text/vcard; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="contact-'.$contact->id.'.vcf"']);
    }

    public function known(Contact $contact): JsonResponse
    {
        return response()->json(Erasing::known($contact), 200, ['Content-Disposition' => 'attachment; filename="known-'.$contact->id.'.json"'], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    /** @return Generator<list<string>> */
    private function rows(ContactList $list): Generator
    {
        foreach ($this->contacts($list) as [$contact, $priority, $part]) {
            $email = $contact->channels->firstWhere('type.value', 'email');
            yield [
                number_format($priority, 1), Part::from($part)->label(), $contact->first_name, $contact->last_name, (string) $contact->title, Title::unpacked($contact->reading)->inWords(),
                $contact->account->name, (string) $contact->account->domain, (string) $email?->value, (string) $email?->state->label(), (string) $contact->channels->firstWhere('type.value', 'direct_phone')?->value,
                (string) $contact->profile, (string) $contact->city, (string) $contact->country, (string) $contact->posts->firstWhere('until', null)?->since?->toDateString(), (string) $contact->source,
            ];
        }
    }

    /** @return Generator<array{Contact, float, string}> whoever is kept out is left out */
    private function contacts(ContactList $list): Generator
    {
        $barred = Barred::now();
        $chunk = [];
        $give = function (array $chunk) use ($barred): Generator {
            $contacts = Contact::query()->with('account', 'channels', 'posts')->whereIn('id', array_column($chunk, 0))->get()->keyBy('id');
            foreach ($chunk as [$id, $priority, $part]) {
                if (isset($contacts[$id]) && $barred->contact($id) === null && $barred->account($contacts[$id]->account_id, $contacts[$id]->account->domain) === null) {
                    yield [$contacts[$id], $priority, $part];
                }
            }
        };
        foreach ($list->rows() as $row) {
            $chunk[] = $row;
            if (count($chunk) === self::CHUNK) {
                yield from $give($chunk);
                $chunk = [];
            }
        }
        yield from $give($chunk);
    }
}
