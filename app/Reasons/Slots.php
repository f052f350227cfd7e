<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Signal;
use App\Standings\SignalLine;
use App\Support\Format;
use Luftig\Core\Signal\Kind;

/** What fills the slots of words: names, and what the signals that an angle rests on say. */
final class Slots
{
    private const TOPICS = '~\b(leak surveys?|leaks?|energy audits?|(?:power|electricity) prices)\b~iu';

    /** Where the offer has none of its own. */
    private const QUESTION = 'May I ask who looks after that with you?';

    /**
     * @param  list<SignalLine>  $lines  that the angle rests on
     * @return array<string, string>
     */
    public static function of(Offer $offer, Account $account, ?Contact $to, array $lines): array
    {
        $slots = [
            'account' => $account->name, 'first_name' => $to->first_name ?? '', 'last_name' => $to->last_name ?? '',
            'title' => $to->title ?? '', 'question' => $offer->question ?? self::QUESTION,
            'place' => $account->relationLoaded('places') ? (string) $account->headquarters()?->city : '',
        ];
        foreach ($lines as $line) {
            $slots += array_filter(
                self::ofSignal($line->signal, $to),
                fn (?string $text): bool => (string) $text !== '',
            );
        }

        return array_map(strval(...), $slots);
    }

    /** @return array<string, string|null> */
    private static function ofSignal(Signal $signal, ?Contact $to): array
    {
        $facts = $signal->facts ?? [];
        $isAnother = $signal->contact_id !== null && $signal->contact_id !== $to?->id;

        return ($isAnother ? ['colleague' => self::colleague($signal->contact, $to)] : []) + match ($signal->kind) {
            Kind::Hiring => [
                // One of several, where several are sought.
                'role' => preg_replace(
                    ['~^(?:two|three|four|five|six|\d+) ~iu', '~([^s])s$~u'], ['', '$1'],
                    (string) ($role = self::role($signal->title)),
                ),
                'a_role' => self::a($role),
            ],
            Kind::Funding => ['money' => isset($facts['eur']) ? self::money((float) $facts['eur']) : null],
            Kind::TechAdopted, Kind::TechDropped => [
                'technology' => $facts['technology']
                    ?? self::before($signal->title, ' adopted| no longer| appeared| is gone'),
            ],
            Kind::CustomerAlum, Kind::NewLeader => ['from' => self::from($signal->title)],
            Kind::PostEngagement => ['topic' => self::topic($facts['topic'] ?? null, $signal->title)],
            Kind::Growth => ['percent' => isset($facts['before'], $facts['after']) && $facts['before'] > 0
                ? Format::percent($facts['after'] / $facts['before'] - 1) : null],
            default => [],
        };
    }

    /** By first name, as one speaks of somebody in the same house; whoever is called like the reader by the whole. */
    private static function colleague(?Contact $contact, ?Contact $to): ?string
    {
        return $contact?->first_name === $to?->first_name ? $contact?->name() : $contact?->first_name;
    }

    /** “Maintenance planner sought, one of 3 openings” is of a maintenance planner. */
    public static function role(string $title): ?string
    {
        $role = self::before($title, ' sought| wanted|, | \(');

        // What is written in capitals throughout is not shouted on.
        return $role === null ? null : (mb_strtoupper($role) === $role ? mb_strtolower($role) : lcfirst($role));
    }

    /** With its article, where it is one. */
    private static function a(?string $role): ?string
    {
        return match (true) {
            $role === null || preg_match('~[^s]s$~u', $role) === 1 => $role,
            preg_match('~^[aeiou]~i', $role) === 1 && ! str_starts_with($role, 'uti') => "an $role",
            default => "a $role",
        };
    }

    private static function before(string $title, string $end): ?string
    {
        $parts = preg_split("~(?:$end)~u", $title, 2) ?: [''];

        return isset($parts[1]) || ! str_contains($title, ' ') ? trim($parts[0]) : null;
    }

    /** “… came from Fjernlund Papir, a customer”, “… joined as Head of Maintenance from Fjernlund Papir” */
    private static function from(string $title): ?string
    {
        return preg_match('~\bfrom (.+?)(?:, a customer)?$~u', $title, $found) === 1 && $found[1] !== 'a customer'
            ? $found[1] : null;
    }

    private static function topic(?string $topic, string $title): ?string
    {
        return match (true) {
            $topic !== null => lcfirst($topic),
            preg_match('~“([^”]+)”~u', $title, $found) === 1 => lcfirst($found[1]),
            preg_match(self::TOPICS, $title, $found) === 1 => mb_strtolower($found[1]),
            default => null,
        };
    }

    /** In round words: €12 million. */
    private static function money(float $eur): ?string
    {
        return match (true) {
            $eur >= 1e9 => '€'.self::round($eur / 1e9).' billion',
            $eur >= 1e6 => '€'.self::round($eur / 1e6).' million',
            $eur >= 1e4 => '€'.Format::number((int) (round($eur / 1e3) * 1e3)),
            default => null,
        };
    }

    private static function round(float $number): string
    {
        return $number >= 10 ? (string) round($number) : rtrim(rtrim(number_format($number, 1), '0'), '.');
    }
}
