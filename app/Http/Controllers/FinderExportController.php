<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Events\RecordsExported;
use App\Exports\Export;
use App\Exports\ExportFormats;
use App\Exports\FoundRecords;
use App\Finder\ResultColumn;
use App\Finder\Search;
use App\Models\Offer;
use App\View\Finder\WhyNow;
use App\View\Lists\Steps;
use Generator;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What a search found, given out with the search itself; the columns chosen are remembered. */
final class FinderExportController extends Controller
{
    /** Letters of what was looked for. */
    private const NAME = 100;

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
            self::name($search),
            $columns,
            fn (): Generator => FoundRecords::of(
                $offer,
                $search,
                WhyNow::for($offer, $columns),
                in_array('why it matched', array_column($columns, 'heading'), true),
            ),
            $address,
            $search->total(),
        ));
    }

    /** The file is called after what was looked for, and the day. */
    private static function name(Search $search): string
    {
        $steps = array_map(
            fn (array $step): string => "$step[0] $step[1]",
            array_filter(Steps::of($search), fn (array $step): bool => $step[0] !== 'not kept out'),
        );
        $words = implode(', ', [$search->subject->value, ...$steps]);

        return trim(Str::limit((string) preg_replace('/[^\pL\pN,.+-]+/u', ' ', $words), self::NAME, ''))
            .' '.today()->toDateString();
    }
}
