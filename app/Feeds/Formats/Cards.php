<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Format;
use App\Feeds\Found;
use App\Feeds\Portion;
use App\Feeds\Unreadable;
use App\Models\ItemKind;
use App\Support\CardStream;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;

/**
 * vCards (RFC 6350), one or several. TITLE and ORG of one group are one position, with its days in X-SINCE and X-UNTIL
 * and the domain in the group's URL; a card without groups tells of the present one alone.
 */
final class Cards implements Format
{
    public static function name(): string
    {
        return 'cards';
    }

    public static function label(): string
    {
        return "People's positions as vCards";
    }

    public static function kind(): ItemKind
    {
        return ItemKind::Person;
    }

    public function read(Fetched $answer, Cursor $cursor): Portion
    {
        $text = $answer->text();
        if (preg_match('/^\s*BEGIN:VCARD\b/i', $text) !== 1) {
            throw new Unreadable('This is no file of vCards.');
        }
        $items = [];
        // Card by card, so that a broken one costs itself alone.
        foreach (preg_split('/(?<=^END:VCARD)\s*$/mi', $text) ?: [] as $card) {
            if (trim($card) !== '') {
                $items[] = self::item(ltrim($card));
            }
        }

        return new Portion($items);
    }

    private static function item(string $raw): Found
    {
        $stream = fopen('php://memory', 'r+b') ?: throw new Unreadable('There is no room for a card.');
        fwrite($stream, $raw);
        rewind($stream);
        try {
            $card = (new CardStream($stream))->next();
        } catch (ParseException $e) {
            return Person::refused($raw, "The card cannot be read: {$e->getMessage()}");
        }
        if ($card === null) {
            return Person::refused($raw, 'The card has no end.');
        }
        $one = fn (string $name): ?string => trim((string) $card->preferred($name)) ?: null;
        $profile = $one('SOCIALPROFILE') ?? $one('X-SOCIALPROFILE') ?? $one('URL');
        $name = $one('FN') ?? '';
        $changed = $one('REV');

        return Person::found(
            $one('UID') ?? $profile ?? $name,
            $name,
            $profile !== null && preg_match('~^https?://~i', $profile) === 1 ? $profile : null,
            $one('EMAIL'),
            self::positions($card),
            $changed !== null && preg_match('/^\d{4}-?\d{2}-?\d{2}/', $changed) === 1 ? substr($changed, 0, 20) : null,
            $raw,
        );
    }

    /** @return list<array{title: string, company: string, domain: string, since: string, until: string}> */
    private static function positions(VCard $card): array
    {
        $positions = [];
        foreach ($card->select('TITLE') as $title) {
            $of = function (string $name) use ($card, $title): string {
                foreach ($card->select($name) as $property) {
                    if ($property instanceof Property && $property->group === $title->group) {
                        return trim((string) $property->getParts()[0]);
                    }
                }

                return '';
            };
            $positions[] = [
                'title' => trim((string) $title), 'company' => $of('ORG'),
                'domain' => $title->group === null ? '' : $of('URL'), 'since' => $of('X-SINCE'),
                'until' => $of('X-UNTIL'),
            ];
        }

        return $positions;
    }
}
