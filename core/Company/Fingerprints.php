<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

use Luftig\Core\Mistake;
use Luftig\Core\Text\Fold;

/** By what technologies are known on a page (rule 24); a team adds its own to those that ship. */
final readonly class Fingerprints
{
    private const WAYS = ['script', 'header', 'meta', 'cookie', 'text'];

    /**
     * @param  list<array{name: string, group?: string, script?: list<string>, header?: list<string>,
     *     meta?: list<string>, cookie?: list<string>, text?: list<string>}>  $all
     */
    private function __construct(private array $all)
    {
    }

    /**
     * @param  list<mixed>  $data  each with a name, perhaps a group that it is a variant of, and for each way (script,
     *     header, meta, cookie, text) pieces of which one is enough; of headers and metas “name: piece”
     *
     * @throws Mistake naming the place of what cannot be used
     */
    public static function of(array $data): self
    {
        $all = [];
        foreach ($data as $i => $one) {
            if (! is_array($one) || ! is_string($one['name'] ?? null) || trim($one['name']) === '') {
                throw Mistake::at("[$i].name", 'A fingerprint has a name.');
            }
            $ways = array_intersect_key($one, array_flip(self::WAYS));
            foreach ($ways as $way => $pieces) {
                foreach (is_array($pieces) ? $pieces : [null] as $piece) {
                    if (! is_string($piece) || mb_strlen(trim($piece)) < 3) {
                        throw Mistake::at("[$i].$way", 'A piece to look for has at least three letters.');
                    }
                }
            }
            if ($ways === []) {
                throw Mistake::at("[$i]", 'Say by what it is known: '.implode(', ', self::WAYS).'.');
            }
            /** @var array{name: string, group?: string} $one */
            $all[] = $one;
        }

        return new self($all);
    }

    /** @return array<string, string> variant → what it counts as */
    public function groups(): array
    {
        return array_filter(array_column($this->all, 'group', 'name'), is_string(...));
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_column($this->all, 'name');
    }

    /** @return list<array{string, Shown}> technologies, and what shows each; by several ways several times */
    public function found(PageTraces $page): array
    {
        $found = [];
        $line = Fold::line($page->text);
        foreach ($this->all as $one) {
            $ways = [
                [Shown::Script, $one['script'] ?? [], fn (string $piece): bool => self::isIn($piece, $page->scripts)],
                [Shown::Header, $one['header'] ?? [], fn (string $one): bool => self::isNamed($one, $page->headers)],
                [Shown::Meta, $one['meta'] ?? [], fn (string $one): bool => self::isNamed($one, $page->metas)],
                [Shown::Cookie, $one['cookie'] ?? [], fn (string $piece): bool => self::isIn($piece, $page->cookies)],
                [Shown::Text, $one['text'] ?? [], fn (string $piece): bool => str_contains($line, Fold::line($piece))],
            ];
            foreach ($ways as [$way, $pieces, $shows]) {
                if (array_filter($pieces, $shows) !== []) {
                    $found[] = [$one['name'], $way];
                }
            }
        }

        return $found;
    }

    /** @param  list<string>  $texts */
    private static function isIn(string $piece, array $texts): bool
    {
        return array_filter($texts, static fn (string $text): bool => mb_stripos($text, $piece) !== false) !== [];
    }

    /** @param  array<string, string>  $named */
    private static function isNamed(string $piece, array $named): bool
    {
        [$name, $value] = array_map(trim(...), explode(':', "$piece:", 2));
        $value = trim($value, ': ');

        return isset($named[mb_strtolower($name)])
            && ($value === '' || mb_stripos($named[mb_strtolower($name)], $value) !== false);
    }
}
