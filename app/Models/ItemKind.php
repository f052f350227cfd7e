<?php

declare(strict_types=1);

namespace App\Models;

/** What a feed brings. */
enum ItemKind: string
{
    case Posting = 'posting';
    case Report = 'report';
    case Round = 'round';
    case Heads = 'heads';
    case Page = 'page';
    case Deed = 'deed';
    case Person = 'person';
    case Event = 'event';
    case Fact = 'fact';

    public function label(): string
    {
        return match ($this) {
            self::Posting => 'posting',
            self::Report => 'report',
            self::Round => 'funding round',
            self::Heads => 'headcount',
            self::Page => 'visit',
            self::Deed => 'reaction',
            self::Person => 'person',
            self::Event => 'event',
            self::Fact => 'fact',
        };
    }

    /** What it becomes, in a few words. */
    public function becomes(): string
    {
        return match ($this) {
            self::Posting => 'openings, and a hiring signal for each role of interest',
            self::Report => 'signals of the press, by their wording',
            self::Round => 'funding signals',
            self::Deed => 'signals of contacts, and candidates',
            self::Page => 'technologies in use, adopted and dropped',
            self::Heads => 'headcounts by month and function, growth and decline',
            self::Person => 'positions of contacts, and the signals that follow from them',
            self::Event => 'signals of the kind that they name',
            self::Fact => 'facts of accounts',
        };
    }
}
