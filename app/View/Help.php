<?php

declare(strict_types=1);

namespace App\View;

use Illuminate\Support\Str;

/** What a screen is for, in up to five lines, for whoever presses the question mark on it. */
final class Help
{
    /** By the name of the route, the most particular first; a star stands for the rest of a name. */
    private const LINES = [
        'today' => [
            'Whom to approach today and what to say, led by the words.',
            'What hurries stands first: the line at the right shrinks with the days that are left.',
            'The one in focus opens at the right: why now, by which channel first, through whom, a draft.',
            'R records the words as they stand, E changes them first, L puts off, X keeps out.',
            'What your pace has no room for, and why, stands at the end.',
        ],
        'accounts.create' => ['One company, typed. Many come in as a file, under Intake.'],
        'accounts.edit' => ['What is known of the company; what you correct here no file overwrites.'],
        'accounts.index' => [
            'All that are ranked, with why now, and when to act by.',
            'Waiting ones have nothing live, out ones fail a gate, kept-out ones are on the keep-out: each says why.',
            'As a picture: fit against timing, with where each was a fortnight ago.',
        ],
        'accounts.*' => [
            'One company: what happened, how it ages, who is there, and why it ranks where it ranks.',
            'The ribbon shows its time: ninety days back, the act-by day, and how its timing will fall.',
            'Drag people between the parts of the buying group; gaps are named.',
            'Every number opens into what made it. A signal that is wrong is struck out there.',
            'P keeps, D drops, A adds to a list, N notes; the arrows go to the next of where you came from.',
        ],
        'reasons.create' => [
            'Why to approach this person now, with its evidence: tick what it rests on, write the words.',
            'It is kept as it is, and expires when what it rests on is no longer fresh.',
        ],
        'reasons.*' => [
            'The book of reasons: ready, used, expired, each with the evidence as it was.',
            'Say what came of each approach; that is what the ranking learns from.',
        ],
        'contacts.index' => ['The people of your accounts, ranked, with their part in buying and their channels.'],
        'contacts.*' => [
            'One person: their part, what is known and from where, channels, what they said, who knows them.',
            'What to do first says which channel, by the hour it is there and by what was answered before.',
            'Ways in lead through one of you; ask for an introduction from there.',
            'A channel that is dead, or a switchboard, is said so with a click.',
        ],
        'finder*' => [
            'Begin with all, add one condition at a time, and watch what remains.',
            'Under each step: how many there would be without it, and how many are unknown on it.',
            'At the right what is in there, to include or exclude, and words that good results use.',
            'Then keep the result as a list, watch it, judge a sample, or export it.',
        ],
        'alike*' => [
            'More like some good ones: by the phrases they use, their trade, their size.',
            'Say Not this of one that is not meant; the odd example is named, with what the list would be without it.',
            'Typical phrases become one search, or count in the rules.',
        ],
        'lists.sample' => ['Judge a sample: it says how many of the whole list belong, and between which bounds.'],
        'lists.*' => [
            'Lists, batches and watches: how each was made, how good it is by spot check, what became of its people.',
            'A list of people says which mails are to be expected back, and splits by what each can be sent.',
        ],
        'watches.*' => ['A search that runs by itself: who is new since last time, and what made them new.'],
        'network*' => [
            'Whom you know and through whom: best introducers, their load, target accounts that nobody reaches.',
            'Where one of you worked, studied or lived ties you to people there, and words can rest on it.',
        ],
        'asks.*' => ['A request for an introduction: the words, what became of it, and when to remind.'],
        'results' => [
            'What brings answers: by kind, angle, role, channel, list and rep, each share with its interval.',
            'Looking back says whether the ranking found those who answered.',
        ],
        'lessons.*' => ['What results say of the rules, line by line; a lead accepts, declines, or takes it back.'],
        'intake.show' => ['What becomes of the rows of a file, before it comes in and after; all of it can be undone.'],
        'intake.*' => [
            'Where facts come in: files, pasted rows, feeds, and what a person has to decide.',
            'Begin with accounts: by the domain everything else is joined.',
        ],
        'candidates' => ['Who turned up in a source and is in no list: take in, match, or put aside.'],
        'feeds.*' => ['A source that is asked by itself: how it is read, what came, what failed.'],
        'webhooks.*' => ['An address at which a program of yours posts what happened.'],
        'items.*' => ['What a feed brought, as it came and as it was understood.'],
        'signals.*' => ['Something that happened, with source and quote; strike it out where it is wrong.'],
        'posts.*' => ['A post with everybody who wrote or reacted under it.'],
        'press' => ['By which words a report becomes a signal, and of what kind.'],
        'keep-out.*' => ['Who must not be approached, why and until when: companies, people, addresses, numbers.'],
        'alerts.*' => ['Of what you want to be told at once: on Today, by mail at your hour, or in your own feed.'],
        'look-ups.ledger' => ['Every question that was put to a service, with its answer and what it took.'],
        'look-ups*' => [
            'Addresses and figures that outside services know: where one pays, what it takes, what was asked.',
            'Nothing is bought without a click or an order of yours, nor twice, nor beyond the budget.',
        ],
        'services.*' => ['An outside service: how it is asked, at which price, in which place of the order.'],
        'angles.*' => [
            'What has to have happened, and the words for it by language and way of approach.',
            'While you type: for whom it holds today, and three drafts.',
        ],
        'stories.*' => ['What you did for a customer, told to those who are like them; never to the customer.'],
        'rules*' => [
            'Whom the offer serves, which kinds count and how they age, who buys, what is sought.',
            'The ten biggest moves stand beside the form before you save; every version can be looked at.',
        ],
        'events.*' => ['Programs of yours that are told of each new reason and result, signed and until they answer.'],
        'team.*' => ['Who signs in, and leaders and colleagues who never do but know many people.'],
        'log' => ['Who did what and when; nobody changes it.'],
        'under-way' => [
            'What takes a while: files that come in, feeds that are asked, look-ups, the ranking after a change.',
            'Leave it, it goes on; come back here to see how far it is, or stop it.',
            'What stopped half-way stays as far as it came, and can be gone on with.',
        ],
        'status' => ['What waits, what fails, and what has not happened for too long, with what to do.'],
        'begin*' => ['First steps for a team of any trade; leave them and come back whenever you like.'],
        'pace.*' => ['How many approaches you make a day, your calendar, your password, where you are signed in.'],
        'tokens.*' => ['With a token a program of yours reads and writes for you, as far as you say, until it ends.'],
        'second.*' => ['A code beside your password, from a program on your phone or machine.'],
        'go' => ['Type a name: an account, a contact, a list or a screen.'],
    ];

    /** @return list<string> */
    public static function of(?string $route): array
    {
        foreach (self::LINES as $name => $lines) {
            if ($route !== null && Str::is($name, $route)) {
                return $lines;
            }
        }

        return [];
    }
}
