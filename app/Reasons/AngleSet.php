<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Offer;
use Luftig\Core\Mistake;
use Luftig\Core\Reason\Angle;
use Luftig\Core\Rules\Angles;
use Luftig\Core\Rules\Input;

/** The angles of an offer, or those that ship for any trade where it has none of its own. */
final readonly class AngleSet
{
    /** In which words may be written. */
    public const LANGUAGES = ['en', 'de', 'sv', 'da', 'no', 'fi', 'nl', 'pl', 'fr'];

    private const NEUTRAL = __DIR__.'/data/angles.json';

    /**
     * @param  array<array-key, array<string, mixed>>  $written  by name: say, and words by language and approach
     * @param  list<Angle>  $angles
     */
    private function __construct(private array $written, public array $angles)
    {
    }

    public static function of(Offer $offer): self
    {
        static $made = [];
        // Read once for the rows of a page; another text is another set.
        $mark = hash('xxh3', (string) ($offer->rules?->getAttributes()['angles'] ?? ''));
        $made = array_slice($made, -4, null, true);
        if (! isset($made[$mark])) {
            $own = $offer->rules->angles ?? [];
            $made[$mark] = $own === [] ? self::neutral() : self::read($own);
        }

        return $made[$mark];
    }

    /** Those that ship; the last of them rests on nothing but that the account fits. */
    public static function neutral(): self
    {
        static $set = null;

        return $set ??= self::read(array_values((array) json_decode((string) file_get_contents(self::NEUTRAL), true)));
    }

    /**
     * @param  list<array<string, mixed>>  $stored
     *
     * @throws Mistake naming what cannot be used
     */
    public static function read(array $stored): self
    {
        $written = $angles = [];
        foreach ($stored as $i => $one) {
            $angles[] = Angles::read(Input::of(
                ['id' => $one['name'], 'needed' => $one['needed'], 'welcome' => $one['welcome'] ?? []], "angles[$i]",
            ));
            $written[$one['name']] = $one;
        }

        return new self($written, $angles);
    }

    /**
     * One that was called otherwise is the same: what was said with it is not said again under its new name.
     *
     * @param  array<string, mixed>  $before  as it is stored
     * @param  array<string, mixed>  $angle  as it is to be
     * @return array<string, mixed>
     */
    public static function inPlaceOf(array $before, array $angle): array
    {
        $names = array_unique([...$angle['formerly'] ?? [], ...$before['formerly'] ?? [], $before['name']]);

        return array_filter(['formerly' => array_values(array_diff($names, [$angle['name']]))]) + $angle;
    }

    /**
     * Those of an earlier version: what was said since under another name was said with them.
     *
     * @param  list<array<string, mixed>>  $earlier  as they are stored
     * @return list<array<string, mixed>>
     */
    public function backTo(array $earlier): array
    {
        return array_map(function (array $angle): array {
            $now = $this->written[$this->nameNow($angle['name'])] ?? null;

            return $now === null ? $angle : self::inPlaceOf($now, $angle);
        }, $earlier);
    }

    /** What an angle of a name is called now; one that is gone as it was. */
    public function nameNow(string $name): string
    {
        if (! isset($this->written[$name])) {
            foreach ($this->written as $now => $angle) {
                if (in_array($name, $angle['formerly'] ?? [], true)) {
                    return (string) $now;
                }
            }
        }

        return $name;
    }

    /** @return list<array<string, mixed>> as they are stored with rules */
    public function stored(): array
    {
        return array_values($this->written);
    }

    public function say(string $angle): string
    {
        return (string) $this->written[$angle]['say'];
    }

    /**
     * In the first of some languages in which it is written, else in the first in which it is.
     *
     * @param  list<string>  $languages  codes, the best first
     * @return array{string, array<string, string>} the language, and words by kind of approach
     */
    public function words(string $angle, array $languages): array
    {
        /** @var array<string, array<string, string>> $words */
        $words = $this->written[$angle]['words'];
        foreach ($languages as $language) {
            if (isset($words[$language])) {
                return [$language, $words[$language]];
            }
        }
        $first = (string) array_key_first($words);

        return [$first, $words[$first]];
    }
}
