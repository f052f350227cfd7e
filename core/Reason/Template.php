<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

use Luftig\Core\Mistake;

/**
 * Words with slots (rule 21), as Mustache writes them: {{slot}}, {{#slot}} only where it is filled {{/slot}}, and
 * {{^slot}} only where it is not {{/slot}}. Nothing is escaped, since these are no pages.
 */
final readonly class Template
{
    private const TAG = '~\{\{\s*([#^/]?)\s*([\p{L}_][\p{L}\p{N}_]*)\s*\}\}~u';

    /** @param  list<string|array{string, string}>  $parts  texts, and tags with their sign and name */
    private function __construct(private array $parts)
    {
    }

    /** @throws Mistake where a section has no end, or an end no section */
    public static function of(string $text): self
    {
        $parts = $open = [];
        $pieces = preg_split(self::TAG, $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        for ($i = 0; $i < count($pieces); $i += 3) {
            $parts[] = $pieces[$i];
            if (! isset($pieces[$i + 2])) {
                continue;
            }
            [$sign, $name] = [$pieces[$i + 1], $pieces[$i + 2]];
            if ($sign === '#' || $sign === '^') {
                $open[] = $name;
            } elseif ($sign === '/' && array_pop($open) !== $name) {
                throw Mistake::at('template', "{{/{$name}}} ends a part that does not begin before it.");
            }
            $parts[] = [$sign, $name];
        }
        if ($open !== []) {
            throw Mistake::at('template', '{{#'.end($open).'}} has no end.');
        }
        if (preg_match('~\{\{|\}\}~', implode('', array_filter($parts, is_string(...)))) === 1) {
            throw Mistake::at('template', 'A slot is written {{name}}, with letters and underscores.');
        }

        return new self($parts);
    }

    /**
     * @param  array<string, string>  $slots
     * @return array{string, list<string>} the text, and the slots that it lacks
     */
    public function fill(array $slots): array
    {
        $text = '';
        $lacking = [];
        $hidden = 0;
        /** @var list<bool> $shown */
        $shown = [];
        foreach ($this->parts as $part) {
            if (is_string($part)) {
                $text .= $hidden === 0 ? $part : '';

                continue;
            }
            [$sign, $name] = $part;
            $isFilled = trim($slots[$name] ?? '') !== '';
            if ($sign === '/') {
                $hidden -= array_pop($shown) === false ? 1 : 0;
            } elseif ($sign !== '') {
                $shown[] = $isShown = $isFilled === ($sign === '#');
                $hidden += $isShown ? 0 : 1;
            } elseif ($hidden === 0) {
                $text .= $isFilled ? trim($slots[$name]) : "[$name]";
                array_push($lacking, ...$isFilled ? [] : [$name]);
            }
        }

        return [self::tidied($text), array_values(array_unique($lacking))];
    }

    /**
     * What a part that is not shown leaves behind: spaces at the ends of lines and before a full stop, empty lines. And
     * the full stop of a sentence that a name has brought already, as one of a company that ends in B.V. has.
     */
    private static function tidied(string $text): string
    {
        return trim((string) preg_replace(
            ['~[ \t]+~', '~ +([.,;:?!])~', '~(?<!\.)\.\.(?!\.)~', '~ *\n *~', '~\n{3,}~'],
            [' ', '$1', '.', "\n", "\n\n"],
            $text,
        ));
    }
}
