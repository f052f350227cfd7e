<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Events\RecordsExported;
use App\Exports\Export;
use App\Exports\ExportFormats;
use App\Exports\FoundRecords;
use App\Finder\ResultColumn;
use App\Finder\Search;
use Generator;
use Illuminate\Console\ManuallyFailedException;

/** What a search finds, given out as from the Finder. */
final class Find extends ForSomebody
{
    protected $signature = 'luftig:find {search? : the part of a Finder’s address behind the question mark} '
        .'{--by= : address of whoever asks} {--offer=} {--format=jsonl : csv, jsonl, vcf or xlsx}';

    protected $description = 'Write what a search of the Finder finds';

    public function handle(): int
    {
        $offer = $this->offer();
        $format = (string) $this->option('format');
        in_array($format, ExportFormats::endings(), true)
            || throw new ManuallyFailedException('--format is one of '.implode(', ', ExportFormats::endings()).'.');
        $by = $this->by();
        parse_str($this->argument('search') ?? 'on=accounts', $query);
        $search = Search::typed($offer, $query);
        $total = $search->total();
        if ($search->mistakes !== []) {
            throw new ManuallyFailedException(implode(' ', $search->mistakes));
        }
        $address = route('finder', $search->parameters());
        RecordsExported::dispatch($by, $format, $address);
        ExportFormats::of($format)->download(new Export(
            'found', array_values(ResultColumn::of($search->subject)),
            fn (): Generator => FoundRecords::of($offer, $search), $address, $total,
        ))->sendContent();

        return self::SUCCESS;
    }
}
