<?php

declare(strict_types=1);

namespace App\Support;

use Luftig\Core\Mistake;

/**
 * What a number is a number of, where a person types it: 5 %, 1,5 Mio, 1 000, 2 years. Read as Intake reads cells, but
 * no “ca.”, and no range where one end is asked for.
 */
enum Quantity
{
    case Plain;
    case Own;
    case Money;
    case Share;
    case Growth;
    case Km;
    case Days;
    case Months;

    public const DAYS_IN_MONTH = 30.4375;

    private const SPANS = [
        1 => 'd|days?|tag|tage|tagen|dag|dagar|dage|dager|dagen|päivä|päivää|dzień|dni|jours?',
        7 => 'w|weeks?|wochen?|veckor|vecka|uger?|uker?|weken|week|tydzień|tygodnie|tygodni|viikkoa?|semaines?',
        30 => 'mo|months?|monate?|monaten|mån|månad|månader|måneder|måned|mnd|maand|maanden|miesiąc|miesiące|miesięcy|'
            .'kk|kuukausi|kuukautta|mois',
        365 => 'y|yrs?|years?|jahre?|jahren|år|jaar|jaren|rok|lata|lat|vuosi|vuotta|ans?|années?',
    ];

    /**
     * @param  string  $currency  of money, where none is named beside the number
     * @return float in EUR, fractions, km, days (also where a bare number is one of months), or as it stands
     *
     * @throws Mistake with a sentence
     */
    public function read(string $text, string $currency = 'EUR'): float
    {
        if ($this === self::Days || $this === self::Months) {
            return $this->span($text);
        }
        if ($this === self::Own) {
            return self::whole($text, Figure::own($text));
        }
        [$value, $named] = self::figure(
            $this === self::Km ? (string) preg_replace('/\s*k(?:ilo)?m\w*$/i', '', $text) : $text,
        );
        if ($this === self::Money) {
            $in = $named === null || $named === Figure::CROWNS ? $currency : $named;

            return Money::inEur($value, $in) ?? throw new Mistake("No rate is stated for the currency “{$in}”.");
        }
        $isPerCent = preg_match('/%|\b(?:percent|per cent|pro[cs]ent|prozent)\b/iu', $text) === 1;
        if ($isPerCent && ! in_array($this, [self::Share, self::Growth], true)) {
            throw new Mistake("“{$text}” is a share; a number is asked for.");
        }

        // A growth of 10 is one of 10 %, as one of 10 % is; of .1 too. So is a share of 80.
        return match ($this) {
            self::Growth => ! $isPerCent && abs($value) >= 1 ? $value / 100 : $value,
            self::Share => ! $isPerCent && $value > 1 ? $value / 100 : $value,
            default => $value,
        };
    }

    /** Days of “2 years”, “18 months”, “1 year 6 months”, or of a bare number of days or months. */
    private function span(string $text): float
    {
        $rest = trim((string) preg_replace('/[\x{00A0}\x{202F}\x{2009}]/u', ' ', mb_strtolower($text)));
        $days = 0.0;
        $isNamed = false;
        foreach (self::SPANS as $length => $words) {
            $found = '/([\d.,]+(?: \d{3})*)\s*(?:'.$words.')(?![\pL\d])\.?/u';
            while (preg_match($found, $rest, $parts) === 1) {
                $in = match ($length) {
                    30 => self::DAYS_IN_MONTH, 365 => 12 * self::DAYS_IN_MONTH, default => $length
                };
                $days += self::figure($parts[1])[0] * $in;
                $rest = trim((string) preg_replace($found, '', $rest, 1));
                $isNamed = true;
            }
        }
        $rest = trim((string) preg_replace('/^(?:and|und|och|og|en|i|ja|et|[,&+])$/u', '', $rest));
        if ($isNamed && $rest === '') {
            return $days;
        }
        if ($isNamed || preg_match('/\pL/u', $rest) === 1) {
            throw new Mistake("“{$text}” is no span of time: 18 months, 2 years, 3 weeks, 90 days.");
        }

        return self::figure($text)[0] * ($this === self::Months ? self::DAYS_IN_MONTH : 1);
    }

    /** @return array{float, string|null} number, currency */
    private static function figure(string $text): array
    {
        $isPower = preg_match('/^[+-]?[\d.]+e[+-]?\d+$/i', trim($text)) === 1 && is_numeric(trim($text));
        $figure = $isPower ? null : Figure::read($text);
        $value = $isPower ? (float) trim($text) : self::whole($text, $figure);

        return is_finite($value)
            ? [$value, $figure?->currency]
            : throw new Mistake("“{$text}” is beyond any number.");
    }

    /** One number, and not about so much. */
    private static function whole(string $text, ?Figure $figure): float
    {
        return $figure !== null && $figure->given === null
            ? $figure->value : throw new Mistake("“{$text}” is not a number.");
    }
}
