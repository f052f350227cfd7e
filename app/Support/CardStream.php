<?php

declare(strict_types=1);

namespace App\Support;

use LogicException;
use Sabre\VObject\Component\VCard;
use Sabre\VObject\InvalidDataException;
use Sabre\VObject\ParseException;
use Sabre\VObject\Parser\Parser;
use Sabre\VObject\Splitter\VCard as Splitter;
use TypeError;

/** One vCard after the other, whatever is wrong with one being said in one way. */
final readonly class CardStream
{
    private Splitter $splitter;

    /** @param  resource  $stream */
    public function __construct($stream)
    {
        $this->splitter = new Splitter($stream, Parser::OPTION_FORGIVING);
    }

    /**
     * @return VCard|null  null: there is none left, or no whole one
     *
     * @throws ParseException
     */
    public function next(): ?VCard
    {
        try {
            $card = $this->splitter->getNext();
        } catch (InvalidDataException $e) {
            throw new ParseException($e->getMessage(), previous: $e);
        } catch (TypeError $e) {
            // The library meets a list where it knows one value only.
            throw new ParseException('A part of it is there twice.', previous: $e);
        } catch (LogicException $e) {
            // It takes a property that is called 0 for none at all.
            throw new ParseException('A line of it has no name.', previous: $e);
        }

        return $card instanceof VCard ? $card : null;
    }
}
