<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Models\ApproachKind;
use App\Models\Offer;
use App\Reasons\AngleSet;
use App\View\Typed;
use Locale;
use Luftig\Core\Signal\Kind;

/** An angle as a form: one that is stored, a new one, or as it was typed and sent back. */
final readonly class AnglePage
{
    public const SLOTS = 'slots: {{first_name}} {{account}} {{colleague}} {{role}} {{topic}} {{school}} '
        .'{{place}} {{teammate}} {{story_result}} …';

    public const SECTIONS = 'A part between {{#slot}} and {{/slot}} stands only where the slot is filled.';

    private const BLANKS = 2;

    private const FACTS = [
        'fits' => 'that they fit', 'technology' => 'a technology in use (its name)',
        'new_in_position' => 'in the position for less than so many days',
        'story' => 'a story of a company like them',
        'school' => 'a school in common with one of us', 'association' => 'an association in common with one of us',
        'employer' => 'an earlier employer in common with one of us',
        'place' => 'a town that one of us lived in',
    ];

    private const WHOSE = [
        '' => 'whoever’s', 'own' => 'their own', 'colleague' => 'a colleague’s', 'account' => 'the account’s',
    ];

    /** @param  array<string, mixed>|null  $angle */
    private function __construct(public Offer $offer, public ?int $at, public ?array $angle)
    {
    }

    public static function of(Offer $offer, ?int $at): self
    {
        $angles = AngleSet::of($offer)->stored();
        abort_if($at !== null && ! isset($angles[$at]), 404);

        return new self($offer, $at, $at === null ? null : $angles[$at]);
    }

    /** @return list<array{name: string, say: string, on: string, languages: string}> */
    public static function all(Offer $offer): array
    {
        return array_map(fn (array $angle): array => [
            'name' => $angle['name'], 'say' => $angle['say'],
            'on' => implode(', and ', array_map(self::inWords(...), $angle['needed'])),
            'languages' => implode(', ', array_map(
                fn (int|string $code): string => self::language((string) $code), array_keys($angle['words']),
            )),
        ], AngleSet::of($offer)->stored());
    }

    /** @param  array<string, string>  $part */
    private static function inWords(array $part): string
    {
        if (isset($part['fact'])) {
            return match ($part['fact']) {
                'fits', 'story', 'school', 'association', 'employer', 'place' => self::FACTS[$part['fact']],
                'technology' => ($part['value'] ?? 'a technology').' in use',
                'new_in_position' => 'less than '.($part['value'] ?? '').' days in the position',
                default => trim($part['fact'].' '.($part['value'] ?? '')),
            };
        }
        $kind = Kind::tryFrom($part['kind'] ?? '')?->label() ?? 'a signal';
        $whose = isset($part['whose']) ? ' ('.self::WHOSE[$part['whose']].')' : '';

        return $kind.$whose.(isset($part['query']) ? " that says {$part['query']}" : '')
            .(isset($part['role']) ? " of {$part['role']}" : '');
    }

    public static function language(string $code): string
    {
        return (string) Locale::getDisplayLanguage($code, 'en');
    }

    public function heading(string $language): string
    {
        return match (true) {
            $language !== '' => self::language($language), $this->at === null => 'In one language',
            default => 'In another language',
        };
    }

    public function title(): string
    {
        return $this->angle['name'] ?? 'A new angle';
    }

    public function to(): string
    {
        return $this->at === null ? route('angles.store', $this->offer)
            : route('angles.update', [$this->offer, $this->at]);
    }

    public function version(): int
    {
        return $this->offer->rules->version ?? 0;
    }

    /** @return array<string, string> what a part may be */
    public static function sorts(): array
    {
        $sorts = ['' => '—', 'signal:' => 'any signal'];
        foreach (Kind::cases() as $kind) {
            $sorts["signal:{$kind->value}"] = $kind->label();
        }
        foreach (self::FACTS as $fact => $label) {
            $sorts["fact:$fact"] = $label;
        }

        return $sorts;
    }

    /** @return array<string, string> */
    public static function whose(): array
    {
        return self::WHOSE;
    }

    /** @return list<array<string, string>> each as part() has it */
    public function parts(): array
    {
        $typed = old('parts');
        $rows = [];
        if (is_array($typed)) {
            foreach ($typed as $row) {
                $rows[] = Typed::texts(array_intersect_key((array) $row, self::part()) + self::part());
            }

            return $rows;
        }
        foreach (['needed', 'welcome'] as $need) {
            foreach ($this->angle[$need] ?? [] as $part) {
                $rows[] = [
                    'is' => isset($part['fact']) ? "fact:{$part['fact']}" : 'signal:'.($part['kind'] ?? ''),
                    'whose' => $part['whose'] ?? '', 'words' => $part['query'] ?? $part['value'] ?? '',
                    'role' => $part['role'] ?? '', 'need' => $need,
                ];
            }
        }

        return [...$rows, ...array_fill(0, self::BLANKS, self::part())];
    }

    /** @return array{is: string, whose: string, words: string, role: string, need: string} */
    private static function part(): array
    {
        return ['is' => '', 'whose' => '', 'words' => '', 'role' => '', 'need' => 'needed'];
    }

    /** @return list<array<string, string>> words in a language each, and a blank one */
    public function words(): array
    {
        $typed = old('words');
        if (is_array($typed)) {
            return array_values(array_map(Typed::texts(...), $typed));
        }
        $rows = [];
        foreach ($this->angle['words'] ?? [] as $language => $words) {
            $rows[] = ['language' => (string) $language] + $words;
        }

        return [...$rows, []];
    }

    /** @return array<string, string> */
    public static function languages(): array
    {
        return ['' => '—'] + array_combine(
            AngleSet::LANGUAGES,
            array_map(self::language(...), AngleSet::LANGUAGES),
        );
    }

    /** @return array<string, string> kinds that may have words of their own beside a message */
    public static function kinds(): array
    {
        $kinds = [];
        foreach (ApproachKind::cases() as $kind) {
            if ($kind !== ApproachKind::Message) {
                $kinds[$kind->value] = $kind->label();
            }
        }

        return $kinds;
    }
}
