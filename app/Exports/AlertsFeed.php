<?php

declare(strict_types=1);

namespace App\Exports;

use App\Models\AlertedSignal;
use App\Models\User;
use Illuminate\Support\Collection;
use XMLWriter;

/** Signals of which somebody is told, as an Atom feed (RFC 4287). */
final class AlertsFeed
{
    private const ENTRIES = 100;

    /** @param  string  $address  of the feed itself */
    public static function of(User $user, string $address): string
    {
        $told = AlertedSignal::query()->told($user)->where('in_feed', true)->limit(self::ENTRIES)->get();
        $xml = new XMLWriter;
        $xml->openMemory();
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElementNs(null, 'feed', 'http://www.w3.org/2005/Atom');
        $xml->writeElement('id', 'urn:sha1:'.sha1("alerts of {$user->id}"));
        $xml->writeElement('title', "Signals for {$user->name}");
        $xml->writeElement('updated', self::updated($told));
        self::link($xml, $address, 'self');
        foreach ($told as $one) {
            self::entry($xml, $one);
        }
        $xml->endElement();

        return $xml->outputMemory();
    }

    /** @param  Collection<int, AlertedSignal>  $told */
    private static function updated(Collection $told): string
    {
        return ($told->first()->told_at ?? now())->toIso8601ZuluString();
    }

    private static function entry(XMLWriter $xml, AlertedSignal $one): void
    {
        $signal = $one->signal;
        if ($signal === null) {
            return;
        }
        $xml->startElement('entry');
        $xml->writeElement('id', "urn:sha1:{$one->fingerprint}");
        $xml->writeElement('title', self::plain("{$signal->account->name}: {$signal->title}"));
        $xml->writeElement('updated', $one->told_at->toIso8601ZuluString());
        $xml->writeElement('published', $signal->occurred_at->toIso8601ZuluString());
        $xml->startElement('author');
        $xml->writeElement('name', self::plain($signal->source ?? 'Luftig'));
        $xml->endElement();
        self::link($xml, route('signals.show', $signal), 'alternate');
        $xml->writeElement('summary', self::plain(ucfirst($signal->kind->label()).($signal->quote === null
            || ! $signal->kind->mayBeQuoted() ? '' : ": {$signal->quote}")));
        $xml->endElement();
    }

    private static function link(XMLWriter $xml, string $to, string $rel): void
    {
        $xml->startElement('link');
        $xml->writeAttribute('rel', $rel);
        $xml->writeAttribute('href', $to);
        $xml->endElement();
    }

    /** XML has no room for control characters. */
    private static function plain(string $text): string
    {
        return (string) preg_replace('/[^\P{C}\n\t]/u', '', mb_scrub($text));
    }
}
