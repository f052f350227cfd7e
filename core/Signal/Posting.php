<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Company\Agency;
use Luftig\Core\Company\CompanyName;
use Luftig\Core\Text\Fold;

/** An advertisement of a role, as a board has it. */
final readonly class Posting
{
    /** What is written beside a title for everybody to feel meant: (m/w/d), (f/m/x), all genders. */
    private const GENDERS = '~\(?\b[mfwdhxkn](?:\s?[/|*:,]\s?[mfwdhxkn]){1,3}\b\)?|\(all genders\)~iu';

    /** @var string|null what it is known by to be an agency's */
    public ?string $agency;

    /** @var string by which postings of one opening are told: employer, title and place, folded */
    public string $key;

    /**
     * @param  float  $at  Unix seconds
     * @param  string  $type  as the source writes it, FULL_TIME; several parted by commas; empty: unknown
     * @param  bool|null  $isByAgency  where that is known; null: as its words tell
     */
    public function __construct(
        public int|string $id,
        public string $employer,
        public string $title,
        public string $place,
        public float $at,
        public string $text = '',
        public string $type = '',
        ?bool $isByAgency = null,
    ) {
        $this->agency = match ($isByAgency) {
            true => 'agency, as the source says',
            false => null,
            null => Agency::ofPosting($employer, $text),
        };
        $this->key = implode('|', [
            CompanyName::of($employer)->forms[0], self::folded($title), implode(' ', Fold::words($place)),
        ]);
    }

    /** The title without case, accents and (m/w/d). */
    public static function folded(string $title): string
    {
        return implode(' ', Fold::words((string) preg_replace(self::GENDERS, ' ', $title)));
    }

    /**
     * Full-time, FULL_TIME and full time are one.
     *
     * @return list<string>
     */
    public static function types(string $types): array
    {
        return array_values(array_filter(array_map(
            static fn (string $type): string => implode(' ', Fold::words(str_replace('_', ' ', $type))),
            explode(',', $types),
        ), static fn (string $type): bool => $type !== ''));
    }
}
