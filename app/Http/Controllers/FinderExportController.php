<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Events\RecordsExported;
use App\Exports\ContactCard;
use App\Finder\ResultColumn;
use App\Finder\ResultRows;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Support\Csv;
use Generator;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What a search found, given out with the search itself; the columns chosen are remembered. */
final class FinderExportController extends Controller
{
    private const CHUNK = 500;

    public function __invoke(Request $request, Offer $offer, string $format): StreamedResponse
    {
        $search = Search::from($offer, $request->query->all());
        $address = route('finder', $search->parameters());
        $name = "{$search->subject->value}.$format";
        RecordsExported::dispatch($request->user(), $format, $address);
        $columns = ResultColumn::chosen($request, $search->subject);
        if ($request->has('columns')) {
            Cookie::queue(Cookie::forever(
                ResultColumn::cookie($search->subject),
                (string) json_encode(array_column($columns, 'value')),
            ));
        }
        $headings = array_column($columns, 'value');
        if ($format === 'csv') {
            return Csv::download($name, $headings, (function () use ($offer, $search, $columns, $address): Generator {
                yield from $this->lines($offer, $search, $columns);
                yield ['found by', $address];
            })());
        }

        if ($format === 'vcf') {
            return ContactCard::download($name, (function () use ($offer, $search): Generator {
                foreach ($this->records($offer, $search) as [$record, $rows]) {
                    // A card has no place to say it.
                    if (
                        $record instanceof Contact
                        && $rows->keptOut($record) === null
                        && $rows->out($record) === null
                    ) {
                        yield $record;
                    }
                }
            })());
        }

        return response()->streamDownload(function () use ($offer, $search, $columns, $headings, $address): void {
            echo json_encode(['search' => $address, 'found' => $search->total()], JSON_UNESCAPED_SLASHES)."\n";
            foreach ($this->lines($offer, $search, $columns) as $line) {
                echo json_encode(array_combine($headings, $line), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
            }
        }, $name, ['Content-Type' => 'application/x-ndjson']);
    }

    /**
     * @param  list<ResultColumn>  $columns
     * @return Generator<list<string>>
     */
    private function lines(Offer $offer, Search $search, array $columns): Generator
    {
        foreach ($this->records($offer, $search) as [$record, $rows]) {
            yield array_map(fn (ResultColumn $column): string => $column->value($record, $rows), $columns);
        }
    }

    /**
     * @return Generator<array{Account|Contact, ResultRows}> those who are kept out are marked; those who asked for it
     *     are left out
     */
    private function records(Offer $offer, Search $search): Generator
    {
        foreach (array_chunk($search->ids(), self::CHUNK) as $ids) {
            $rows = ResultRows::of($offer, $search->subject, $ids);
            foreach ($rows->records as $record) {
                if (! $rows->asked($record)) {
                    yield [$record, $rows];
                }
            }
        }
    }
}
