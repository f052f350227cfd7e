<?php

declare(strict_types=1);

namespace App\Exports;

use App\KeepOut\EntriesInForce;
use App\Models\Contact;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Contacts as vCards. A card has no place to say that somebody is out or kept out, so that they are left out. */
final class ContactCards implements ExportFormat
{
    public function download(Export $export): StreamedResponse
    {
        $barred = EntriesInForce::now();

        return response()->streamDownload(function () use ($export, $barred): void {
            foreach ($export->records() as [$record, $rows]) {
                if ($record instanceof Contact && $rows->keptOut($record) === null && $rows->out($record) === null) {
                    echo ContactCard::of($record, $barred);
                }
            }
        }, "{$export->name}.vcf", ['Content-Type' => 'text/vcard; charset=UTF-8']);
    }
}
