<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

use Luftig\Core\Text\Fold;

/**
 * How houses make addresses of names, learned from those that are known (rule 16): the chance of a pattern at a domain
 * is (its count + 2 · prior) / (n + 2), n the known addresses there, prior its share over all domains. Letters that are
 * written in two ways, and hyphens, follow the known addresses of the domain; where these tell nothing, all domains.
 *
 * An address that follows no pattern only counts in n. Mailboxes of a house are not to be learned from.
 */
final class EmailPatterns
{
    /** {f} first name, {l} last name, {i} and {j} their first letters. */
    public const PATTERNS = [
        'first.last' => '{f}.{l}', 'flast' => '{i}{l}', 'firstlast' => '{f}{l}', 'f.last' => '{i}.{l}',
        'first' => '{f}', 'last' => '{l}', 'last.first' => '{l}.{f}', 'firstl' => '{f}{j}', 'first.l' => '{f}.{j}',
        'lastf' => '{l}{i}', 'last.f' => '{l}.{i}', 'first_last' => '{f}_{l}', 'first-last' => '{f}-{l}',
        'lastfirst' => '{l}{f}', 'fl' => '{i}{j}', 'f_last' => '{i}_{l}',
    ];

    /** Where nothing at all is known. */
    private const USUAL = [
        'first.last' => .6, 'flast' => .12, 'first' => .08, 'firstlast' => .06, 'f.last' => .06, 'last' => .03,
        'firstl' => .02, 'last.first' => .02, 'first_last' => .01,
    ];

    private const WEIGHT = 2;

    private const LONG = [
        'ä' => 'ae', 'ö' => 'oe', 'ü' => 'ue', 'ø' => 'oe', 'å' => 'aa', 'æ' => 'ae', 'ß' => 'ss',
    ];

    private const SHORT = ['ä' => 'a', 'ö' => 'o', 'ü' => 'u', 'ø' => 'o', 'å' => 'a', 'æ' => 'ae', 'ß' => 'ss'];

    /** @var array<string, array<string, int>> domain → pattern → how often */
    private array $counts = [];

    /** @var array<string, int> domain → known addresses */
    private array $known = [];

    /** @var array<string, array<string, int>> domain, or '' for all → style → how often it was told */
    private array $styles = [];

    /** @param  array<string, float>|null  $priors  pattern → share over all domains; null: as it is learned */
    public function __construct(private readonly ?array $priors = null)
    {
    }

    public function learn(string $first, string $last, string $address): void
    {
        $at = strrpos($address, '@');
        if ($at === false) {
            return;
        }
        [$local, $domain] = [mb_strtolower(substr($address, 0, $at)), mb_strtolower(substr($address, $at + 1))];
        $this->known[$domain] = ($this->known[$domain] ?? 0) + 1;
        $written = $this->written($first, $last);
        foreach (self::PATTERNS as $pattern => $template) {
            $fitting = array_keys(array_filter(
                array_map(fn (array $names): string => self::filled($template, $names), $written),
                static fn (string $one): bool => $one === $local,
            ));
            if ($fitting === []) {
                continue;
            }
            $this->counts[$domain][$pattern] = ($this->counts[$domain][$pattern] ?? 0) + 1;
            // A style is told where another would have read otherwise.
            if (count($fitting) < count($written)) {
                foreach ($fitting as $style) {
                    foreach ([$domain, ''] as $where) {
                        $this->styles[$where][$style] = ($this->styles[$where][$style] ?? 0) + 1;
                    }
                }
            }

            return;
        }
    }

    /** @return array<string, float> pattern → chance at a domain, above 0 */
    public function chances(string $domain): array
    {
        $domain = mb_strtolower($domain);
        $n = $this->known[$domain] ?? 0;
        $chances = [];
        foreach ($this->shares() as $pattern => $prior) {
            $chances[$pattern] = (($this->counts[$domain][$pattern] ?? 0) + self::WEIGHT * $prior)
                / ($n + self::WEIGHT);
        }

        return array_filter($chances, static fn (float $chance): bool => $chance > 0);
    }

    /** @return array<string, float> address → chance, the likeliest first */
    public function guesses(string $first, string $last, string $domain): array
    {
        $domain = mb_strtolower($domain);
        $written = $this->written($first, $last);
        $styles = $this->ways($domain, array_keys($written));
        $guesses = [];
        foreach ($this->chances($domain) as $pattern => $chance) {
            foreach ($written as $style => $names) {
                $local = self::filled(self::PATTERNS[$pattern], $names);
                if ($local !== '' && $styles[$style] > 0) {
                    $guesses["$local@$domain"] = ($guesses["$local@$domain"] ?? 0.0) + $chance * $styles[$style];
                }
            }
        }
        arsort($guesses);

        return $guesses;
    }

    /** @return array<string, float> pattern → its share over all domains */
    public function shares(): array
    {
        if ($this->priors !== null) {
            return array_intersect_key($this->priors, self::PATTERNS);
        }
        $all = array_sum($this->known);
        if ($all === 0) {
            return self::USUAL;
        }
        $priors = [];
        foreach ($this->counts as $patterns) {
            foreach ($patterns as $pattern => $count) {
                $priors[$pattern] = ($priors[$pattern] ?? 0.0) + $count / $all;
            }
        }

        // In one order, whichever was met first.
        $ordered = [];
        foreach (array_intersect_key(self::PATTERNS, $priors) as $pattern => $_) {
            $ordered[$pattern] = $priors[$pattern];
        }

        return $ordered;
    }

    /**
     * @param  list<string>  $styles  that a name can be written in
     * @return array<string, float> style → its share
     */
    private function ways(string $domain, array $styles): array
    {
        foreach ([$domain, ''] as $where) {
            $told = array_intersect_key($this->styles[$where] ?? [], array_flip($styles));
            $sum = array_sum($told);
            if ($sum > 0) {
                return array_map(static fn (string $style): float => ($told[$style] ?? 0) / $sum, array_combine(
                    $styles, $styles,
                ));
            }
        }

        return array_fill_keys($styles, 1 / count($styles));
    }

    /**
     * A name in each way in which it may be written; ways that read the same are one.
     *
     * @return array<string, array{string, string}> style → first and last name
     */
    private function written(string $first, string $last): array
    {
        $written = [];
        foreach (['long' => self::LONG, 'short' => self::SHORT] as $letters => $map) {
            foreach (['hyphen' => '-', 'joined' => ''] as $joint => $sign) {
                $names = [self::name($first, $map, $sign), self::name($last, $map, $sign)];
                if (! in_array($names, $written, true)) {
                    $written["$letters $joint"] = $names;
                }
            }
        }

        return $written;
    }

    /** @param  array<string, string>  $letters */
    private static function name(string $name, array $letters, string $hyphen): string
    {
        $folded = Fold::letters(strtr(mb_strtolower($name), $letters));

        return trim((string) preg_replace(['/[^a-z0-9\-]+/', '/-+/'], ['', $hyphen], $folded), '-');
    }

    /** @param  array{string, string}  $names  nothing where a name that is needed is not known */
    private static function filled(string $template, array $names): string
    {
        [$first, $last] = $names;
        $needsFirst = str_contains($template, '{f}') || str_contains($template, '{i}');
        $needsLast = str_contains($template, '{l}') || str_contains($template, '{j}');
        if ($needsFirst && $first === '' || $needsLast && $last === '') {
            return '';
        }

        return strtr($template, [
            '{f}' => $first, '{l}' => $last, '{i}' => substr($first, 0, 1), '{j}' => substr($last, 0, 1),
        ]);
    }
}
