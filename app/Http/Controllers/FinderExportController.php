<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Events\RecordsExported;
use App\Exports\Export;
use App\Exports\ExportFormats;
use App\Finder\ResultColumn;
use App\Finder\ResultRows;
use App\Finder\Search;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
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
        $search = Search::typed($offer, $request->query->all());
        $address = route('finder', $search->parameters());
        RecordsExported::dispatch($request->user(), $format, $address);
        $columns = ResultColumn::chosen($request, $search->subject);
        if ($request->has('columns')) {
            Cookie::queue(Cookie::forever(
                ResultColumn::cookie($search->subject),
                (string) json_encode(array_column($columns, 'heading')),
            ));
        }

        return ExportFormats::of($format)->download(new Export(
            $search->subject->value,
            $columns,
            fn (): Generator => $this->records($offer, $search),
            $address,
            $search->total(),
        ));
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
