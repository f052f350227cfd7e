<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

/**
 * The part of an address that identifies a company: the registrable domain (rule 15).
 */
final readonly class Domain
{
    /**
     * @param  bool  $freeMail  whether anybody can have an address there, so that it identifies no company
     * @param  bool  $disposable  whether such an address is made to be thrown away
     */
    private function __construct(public string $name, public bool $freeMail, public bool $disposable)
    {
    }

    /**
     * @param  string  $text  a domain, a web address or an e-mail address
     * @return self|null null where there is no registrable domain in it
     */
    public static function from(string $text): ?self
    {
        $host = self::host($text);
        $name = $host === null ? null : self::registrable($host);

        if ($name === null) {
            return null;
        }
        $disposable = isset(self::list('disposable')[$name]);

        return new self($name, $disposable || isset(self::list('free-mail')[$name]), $disposable);
    }

    private static function host(string $text): ?string
    {
        // An address as mail programs write it: Anna <anna@firm.example>.
        $text = preg_match('~<([^<>]+)>~', $text, $address) === 1 ? $address[1] : $text;
        $host = mb_strtolower(trim($text));
        if (self::isHost($host)) {
            return $host;
        }
        $host = preg_replace('~^[a-z][a-z0-9+.-]*://|^//|^mailto:~', '', $host) ?? '';
        $host = preg_split('~[/?#\\\\]~', $host, 2)[0] ?? '';
        $at = strrpos($host, '@');
        $host = $at === false ? $host : substr($host, $at + 1);
        $host = preg_replace('~:\d*$~', '', $host) ?? '';
        $host = rtrim(strtr($host, ['。' => '.']), '.');
        if (preg_match('~^[a-z0-9.-]+$~', $host) !== 1) {
            $ascii = idn_to_ascii($host, IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);
            $host = $ascii === false ? '' : $ascii;
        }

        return self::isHost($host) ? $host : null;
    }

    /** Letters, digits and inner hyphens in labels of up to 63, and no number at the end (RFC 1035, RFC 1123). */
    private static function isHost(string $host): bool
    {
        return strlen($host) <= 253 && preg_match(
            '~^(?:[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?\.)+(?!\d+$)[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?$~',
            $host,
        ) === 1;
    }

    /** The public suffix and one label more; an unlisted top level is a suffix of one label (publicsuffix.org). */
    private static function registrable(string $host): ?string
    {
        $suffixes = self::list('public-suffixes');
        $labels = explode('.', $host);
        $count = count($labels);
        $length = 1;
        for ($i = 0; $i < $count; $i++) {
            $tail = implode('.', array_slice($labels, $i));
            if (isset($suffixes['!'.$tail])) {
                $length = $count - $i - 1;
                break;
            }
            if (isset($suffixes[$tail])) {
                $length = $count - $i;
                break;
            }
            $above = implode('.', array_slice($labels, $i + 1));
            if ($above !== '' && isset($suffixes['*.'.$above])) {
                $length = $count - $i;
                break;
            }
        }

        return $count > $length ? implode('.', array_slice($labels, -$length - 1)) : null;
    }

    /** @return array<string, true> */
    private static function list(string $name): array
    {
        static $lists = [];

        return $lists[$name] ??= require __DIR__."/data/$name.php";
    }
}
