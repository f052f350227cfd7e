<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Unreadable;
use DOMDocument;
use DOMElement;
use XMLReader;

/** Reads XML an element at a time, without entities and without a look at anything outside. */
final class Xml
{
    /**
     * @param  list<string>  $names  of the elements that are wanted, whatever their namespace
     * @return iterable<DOMElement>
     *
     * @throws Unreadable where it is no XML, is cut off, or brings entities of its own
     */
    public static function elements(string $text, array $names): iterable
    {
        if (stripos($text, '<!DOCTYPE') !== false || stripos($text, '<!ENTITY') !== false) {
            throw new Unreadable('It brings definitions of its own (DOCTYPE), which are not read.');
        }
        $before = libxml_use_internal_errors(true);
        // The text is in UTF-8 by now, whatever it was before.
        $reader = XMLReader::XML(
            (string) preg_replace('~^(<\?xml[^>]*?)\sencoding=(["\'])[^"\']*\2~i', '$1', ltrim($text)),
            'UTF-8',
            LIBXML_NONET | LIBXML_COMPACT,
        );
        if (! $reader instanceof XMLReader) {
            throw new Unreadable('This is no XML.');
        }
        try {
            $goesOn = $reader->read();
            while ($goesOn) {
                if ($reader->nodeType === XMLReader::ELEMENT && in_array($reader->localName, $names, true)) {
                    $element = @$reader->expand(new DOMDocument);
                    if (! $element instanceof DOMElement) {
                        break;
                    }
                    yield $element;
                    $goesOn = $reader->next();
                } else {
                    $goesOn = @$reader->read();
                }
            }
            $error = libxml_get_last_error();
            if ($error !== false) {
                throw new Unreadable('The XML is broken, or was cut off: '.trim($error->message));
            }
        } finally {
            $reader->close();
            libxml_clear_errors();
            libxml_use_internal_errors($before);
        }
    }

    /** The text of the first child of one of these names; null where it has none. */
    public static function text(DOMElement $element, string ...$names): ?string
    {
        foreach ($names as $name) {
            foreach ($element->childNodes as $child) {
                if ($child instanceof DOMElement && $child->localName === $name && trim($child->textContent) !== '') {
                    return trim($child->textContent);
                }
            }
        }

        return null;
    }
}
