<?php

declare(strict_types=1);

namespace App\Feeds;

/** The words of a piece of HTML, without scripts, styles and tags. */
final class PlainText
{
    private const UNSEEN = '~<(script|style|noscript|template|svg)\b[^>]*>.*?(?:</\1\s*>|$)~is';

    private const BREAKS = '~<(?:br|/p|/div|/li|/h[1-6]|/tr|/td|/section|/article)\b[^>]*>~i';

    private const CONTROLS = '~[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]~u';

    public static function of(string $html): string
    {
        $text = preg_replace([self::UNSEEN, '~<!--.*?(?:-->|$)~s'], ' ', mb_scrub($html)) ?? '';
        $text = strip_tags(preg_replace(self::BREAKS, "\n", $text) ?? '');
        $text = preg_replace(self::CONTROLS, '', html_entity_decode($text, ENT_QUOTES | ENT_HTML5, 'UTF-8')) ?? '';

        return trim(preg_replace(['~[^\S\n]+~u', '~\s*\n\s*~u'], [' ', "\n"], $text) ?? '');
    }
}
