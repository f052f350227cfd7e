<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Finder\Keeping;
use App\Finder\Rows;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Contact;
use App\Models\KeptList;
use App\Models\Offer;
use App\People\Card;
use App\Standings\Barred;
use App\Support\Csv;
use Generator;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Validation\Rule;
use Luftig\Core\Finder\Field;
use Luftig\Core\Finder\Subject;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class FinderController extends Controller
{
    private const PAGE = 20;

    private const CHUNK = 500;

    /** Fields whose values are counted beside the results. */
    private const COUNTED = [Field::Industry, Field::Country, Field::City, Field::Technology, Field::Signal, Field::State, Field::Seniority, Field::BusinessFunction, Field::Part, Field::Arrival, Field::Channel];

    private const VALUES_SHOWN = 5;

    public function index(Request $request, Offer $offer): View
    {
        $search = Search::from($offer, $request->query->all());
        $staircase = $search->staircase();
        $total = $search->total();
        $number = max(1, $request->integer('page'));
        $rows = Rows::of($offer, $search->subject, array_slice($search->ids($number * self::PAGE), ($number - 1) * self::PAGE));

        return view('finder.index', [
            'search' => $search, 'staircase' => $staircase, 'total' => $total, 'everybody' => $search->everybody(), 'accounts' => $search->accounts(), 'work' => $search->work(), 'rows' => $rows, 'barred' => Barred::now(),
            'pages' => (new LengthAwarePaginator($rows->records, $total, self::PAGE, $number, ['path' => route('finder')]))->withQueryString(),
            'counts' => $this->counts($search), 'add' => Field::tryFrom($request->string('add')->toString()), 'edit' => $request->query('edit'),
            'lists' => KeptList::query()->where('offer_id', $offer->id)->orderBy('name')->get(), 'week' => 5 * $request->user()->pace,
        ]);
    }

    public function keep(Request $request, Offer $offer): RedirectResponse
    {
        $request->validate([
            'name' => ['required', 'string', 'max:100', Rule::unique('lists')->where('offer_id', $offer->id)->whereNull('deleted_at')], 'per_account' => ['nullable', 'integer', 'between:1,50'],
        ], ['name.required' => 'Give the list a name.', 'name.unique' => 'There is a list of this name.', 'per_account.*' => 'At one account: a number from 1 to 50.']);
        $search = Search::from($offer, $request->input());
        $only = array_values(array_map(intval(...), array_filter((array) $request->input('only', []), is_numeric(...))));
        $list = Keeping::asList($offer, $search, $request->string('name')->trim()->toString(), $request->user(), $only === [] ? null : $only, $request->filled('per_account') ? $request->integer('per_account') : null);

        return redirect()->route('lists.show', $list)->with('said', "The list “{$list->name}” is kept, with the search that made it.")->with('takeBack', route('lists.destroy', $list));
    }

    public function export(Request $request, Offer $offer, string $format): StreamedResponse
    {
        $search = Search::from($offer, $request->query->all());
        $address = route('finder', $search->parameters());
        $name = $search->subject->value;
        if ($format === 'csv') {
            return Csv::download("$name.csv", $this->headings($search->subject), (function () use ($offer, $search, $address): Generator {
                yield from $this->lines($offer, $search);
                yield ['', 'found by', $address];
            })());
        }

        return response()->streamDownload(function () use ($format, $offer, $search, $address): void {
            if ($format === 'jsonl') {
                echo json_encode(['search' => $address, 'found' => $search->total()], JSON_UNESCAPED_SLASHES)."\n";
                foreach ($this->lines($offer, $search) as $line) {
                    echo json_encode(array_combine($this->headings($search->subject), $line), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
                }
            } else {
                foreach ($this->records($offer, $search) as [$record]) {
                    echo $record instanceof Contact ? Card::of($record) : '';
                }
            }
        }, "$name.".($format === 'vcf' ? 'vcf' : 'jsonl'), ['Content-Type' => $format === 'vcf' ? 'text/vcard; charset=UTF-8' : 'application/x-ndjson']);
    }

    /** @return array<string, array<string, int>> field → its most frequent values */
    private function counts(Search $search): array
    {
        $counts = [];
        foreach (self::COUNTED as $field) {
            if ($field->suits($search->subject)) {
                // Of the tree, the divisions say most at a glance.
                $counts[$field->value] = $search->counts($field, self::VALUES_SHOWN, $field === Field::Industry ? fn (string $code): bool => strlen($code) === 2 : null);
            }
        }

        return array_filter($counts);
    }

    /** @return list<string> */
    private function headings(Subject $subject): array
    {
        return $subject === Subject::Accounts
            ? ['priority', 'account', 'domain', 'industry', 'country', 'city', 'headcount', 'revenue (EUR)', 'contacts known']
            : ['priority', 'first name', 'last name', 'title', 'account', 'domain', 'e-mail', 'state', 'phone', 'country', 'city'];
    }

    /** @return Generator<list<string>> */
    private function lines(Offer $offer, Search $search): Generator
    {
        foreach ($this->records($offer, $search) as [$record, $priority]) {
            $first = $priority === null ? '' : number_format($priority, 1);
            $account = $record instanceof Account ? $record : $record->account;
            $seat = $account->headquarters();
            if ($record instanceof Account) {
                yield [$first, $record->name, (string) $record->domain, $record->industries->pluck('code')->filter()->implode(' '), (string) $seat?->country, (string) $seat?->city, (string) $record->headcount, (string) $record->revenue, (string) $record->getAttribute('contacts_count')];
            } else {
                $email = $record->channels->firstWhere('type.value', 'email');
                yield [$first, $record->first_name, $record->last_name, (string) $record->title, $account->name, (string) $account->domain, (string) $email?->value, (string) $email?->state->label(), (string) $record->channels->firstWhere('type.value', 'direct_phone')?->value, (string) $seat?->country, (string) $seat?->city];
            }
        }
    }

    /** @return Generator<array{Account|Contact, float|null}> */
    private function records(Offer $offer, Search $search): Generator
    {
        foreach (array_chunk($search->ids(), self::CHUNK) as $ids) {
            $rows = Rows::of($offer, $search->subject, $ids);
            foreach ($rows->records as $record) {
                yield [$record, $rows->priority($record)];
            }
        }
    }
}
