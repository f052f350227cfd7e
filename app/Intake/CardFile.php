<?php

declare(strict_types=1);

namespace App\Intake;

use App\Support\CardStream;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;

/**
 * A file of vCards (RFC 6350, and the versions before it), rewritten as rows so that all that follows is the same as
 * for CSV.
 */
final class CardFile
{
    private const COLUMNS = [
        'domain', 'first_name', 'last_name', 'name', 'title', 'email', 'phone', 'profile', 'city', 'country', 'about',
    ];

    public static function is(string $path): bool
    {
        return preg_match('/^(?:\xEF\xBB\xBF)?\s*BEGIN:VCARD\b/i', (string) file_get_contents($path, length: 64)) === 1;
    }

    /** @throws UnreadableFile */
    public static function asCsv(string $from, string $to): void
    {
        self::mustBeSmall($from);
        $in = fopen($from, 'rb') ?: throw UnreadableFile::gone();
        $out = fopen($to, 'wb') ?: throw UnreadableFile::gone();
        fputcsv(
            $out, array_map(fn (string $column): string => str_replace('_', ' ', $column), self::COLUMNS), ';', '"', '',
        );
        $count = 0;
        try {
            $cards = new CardStream($in);
            while (($card = $cards->next()) !== null) {
                fputcsv($out, self::row($card), ';', '"', '');
                $count++;
                $card->destroy();
            }
        } catch (ParseException $e) {
            throw UnreadableFile::card($count + 1, $e->getMessage());
        } finally {
            fclose($in);
            fclose($out);
        }
    }

    /** @return array<int, string> what a property with several parts holds */
    private static function parts(VCard $card, string $property): array
    {
        $first = $card->select($property)[0] ?? null;

        return $first instanceof Property ? $first->getParts() : [];
    }

    /** A card is taken apart whole, and costs many times its own size. */
    private static function mustBeSmall(string $path): void
    {
        $file = fopen($path, 'rb') ?: throw UnreadableFile::gone();
        for ($cards = 1, $bytes = 0; ($line = fgets($file, Limits::ROW)) !== false;) {
            $bytes += strlen($line);
            if ($bytes > Limits::ROW) {
                fclose($file);
                throw UnreadableFile::largeCard($cards);
            }
            if (preg_match('/^END:VCARD\b/i', $line) === 1) {
                $cards++;
                $bytes = 0;
            }
        }
        fclose($file);
    }

    /** @return list<string> */
    private static function row(VCard $card): array
    {
        $name = self::parts($card, 'N');
        $address = self::parts($card, 'ADR');
        $one = fn (string $property): string => trim((string) ($card->preferred($property) ?? ''));

        return array_map(fn (string $text): string => trim($text), [
            $one('URL'), $name[1] ?? '', $name[0] ?? '',
            ($name[0] ?? '') === '' && ($name[1] ?? '') === '' ? $one('FN') : '', $one('TITLE') ?: $one('ROLE'),
            $one('EMAIL'), (string) preg_replace('/^tel:/i', '', $one('TEL')),
            $one('SOCIALPROFILE') ?: $one('X-SOCIALPROFILE'), $address[3] ?? '', $address[6] ?? '', $one('NOTE'),
        ]);
    }
}
