<?php

declare(strict_types=1);

namespace App\Support;

use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumberType;
use libphonenumber\PhoneNumberUtil;

/** What a number says of itself. */
final class Phone
{
    /** Mobile or landline, as far as the country's numbers tell them apart; null: they do not, or it is no number. */
    public static function kind(string $number): ?string
    {
        try {
            $util = PhoneNumberUtil::getInstance();

            return match ($util->getNumberType($util->parse($number))) {
                PhoneNumberType::MOBILE => 'mobile',
                PhoneNumberType::FIXED_LINE => 'landline',
                PhoneNumberType::TOLL_FREE => 'free of charge',
                default => null,
            };
        } catch (NumberParseException) {
            return null;
        }
    }
}
