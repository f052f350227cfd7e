<?php

declare(strict_types=1);

namespace App\Exports;

use App\Models\Contact;
use App\Models\User;
use App\Network\Acquaintance;
use App\Network\Ties;
use XMLWriter;

/** Who of us knows which contact, and how well, as GraphML (the graph format of graphml.graphdrawing.org). */
final class GraphFile
{
    private const CHUNK = 500;

    /** Writes to a stream, a part at a time. */
    public static function write(string $stream = 'php://output'): void
    {
        $xml = new XMLWriter;
        $xml->openUri($stream);
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElementNs(null, 'graphml', 'http://graphml.graphdrawing.org/xmlns');
        foreach ([['name', 'node', 'string'], ['kind', 'node', 'string'], ['company', 'node', 'string'],
            ['strength', 'edge', 'double'], ['because', 'edge', 'string']] as [$name, $for, $type]) {
            $xml->startElement('key');
            foreach (['id' => $name, 'for' => $for, 'attr.name' => $name, 'attr.type' => $type] as $at => $value) {
                $xml->writeAttribute($at, $value);
            }
            $xml->endElement();
        }
        $xml->startElement('graph');
        $xml->writeAttribute('edgedefault', 'undirected');
        $users = User::query()->orderBy('id')->get();
        foreach ($users as $user) {
            self::part($xml, 'node', ['id' => "u{$user->id}"], ['name' => $user->name, 'kind' => 'us']);
        }
        $known = Acquaintance::by(array_values($users->pluck('id')->all()));
        foreach (array_chunk($known, self::CHUNK) as $some) {
            $contacts = Contact::query()->with('positions.account', 'account')->whereKey($some)->orderBy('id')->get();
            $ties = new Ties($contacts);
            foreach ($contacts as $contact) {
                self::part($xml, 'node', ['id' => "c{$contact->id}"], [
                    'name' => $contact->name(), 'kind' => 'contact', 'company' => $contact->account->name,
                ]);
                foreach ($ties->of($contact) as $tie) {
                    self::part($xml, 'edge', ['source' => "u{$tie['user']->id}", 'target' => "c{$contact->id}"], [
                        'strength' => (string) round($tie['strength'], 4), 'because' => $tie['because'],
                    ]);
                }
            }
            $xml->flush();
        }
        $xml->endElement();
        $xml->endElement();
        $xml->endDocument();
        $xml->flush();
    }

    /**
     * @param  array<string, string>  $attributes
     * @param  array<string, string>  $data
     */
    private static function part(XMLWriter $xml, string $name, array $attributes, array $data): void
    {
        $xml->startElement($name);
        foreach ($attributes as $at => $value) {
            $xml->writeAttribute($at, $value);
        }
        foreach ($data as $key => $value) {
            $xml->startElement('data');
            $xml->writeAttribute('key', $key);
            // XML has no room for control characters.
            $xml->text((string) preg_replace('/[^\P{C}\n\t]/u', '', mb_scrub($value)));
            $xml->endElement();
        }
        $xml->endElement();
    }
}
