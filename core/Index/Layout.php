<?php

declare(strict_types=1);

namespace Luftig\Core\Index;

use Luftig\Core\Search\Entity;
use Luftig\Core\Search\Subject;

/** Where accounts and contacts stand in an index: on pages, and in levels over them (Piece). */
final class Layout
{
    /** So few accounts are looked for one by one. */
    private const SOUGHT = 1000;

    /** Bytes of ids that are searched at once. */
    private const BLOCK = 1024;

    public readonly int $pages;

    /** @var array<int, int>|null page → account */
    private ?array $accounts = null;

    public function __construct(private readonly Pieces $pieces)
    {
        /** @var array{1: int} $pages */
        $pages = unpack('P', $pieces->store->get(Piece::PAGES) ?? pack('P', 0));
        $this->pages = $pages[1];
    }

    /**
     * The pages of these accounts.
     *
     * @param  list<int>  $accounts
     */
    public function pagesOf(array $accounts): Bitmap
    {
        $pages = [];
        if (count($accounts) < self::SOUGHT) {
            $ids = $this->pieces->get(Piece::ACCOUNTS);
            foreach ($accounts as $account) {
                for (
                    $page = Pieces::lowest($ids, $account); 4 * $page < strlen($ids)
                    && Pieces::number($ids, $page) === $account; $page++
                ) {
                    $pages[] = $page;
                }
            }

            return Bitmap::of($pages);
        }
        $wanted = array_fill_keys($accounts, true);
        foreach ($this->accounts() as $page => $id) {
            if (isset($wanted[$id])) {
                $pages[] = $page;
            }
        }

        return Bitmap::of($pages);
    }

    /** All contacts on these pages. */
    public function spread(Bitmap $pages): Bitmap
    {
        return $pages->isEmpty()
            ? $pages
            : $pages->repeated(Piece::LEVELS, $this->pages)->and($this->pieces->set(Piece::all(Entity::Contact)));
    }

    /** How many accounts contacts are at. */
    public function accountsOf(Bitmap $contacts): int
    {
        $pages = array_reduce(
            $contacts->stretches($this->pages),
            static fn (Bitmap $all, Bitmap $level): Bitmap => $all->or($level),
            Bitmap::none(),
        );
        $first = $this->pieces->set(Piece::FIRST);
        $ids = [];
        foreach ($pages->without($first)->positions() as $page) {
            $ids[$this->accounts()[$page]] = true;
        }
        // Pages after the first count unless the first of their account counts already.
        foreach ($ids === [] ? [] : $pages->and($first)->positions() as $page) {
            unset($ids[$this->accounts()[$page]]);
        }

        return $pages->countWith($first) + count($ids);
    }

    /**
     * The accounts at which most of some contacts are.
     *
     * @param  list<Bitmap>  $digits  how many of them are on each page, in binary digits
     * @param  int  $most  how many accounts
     * @return array<int, int> account → how many, the most first
     */
    public function largest(array $digits, int $most): array
    {
        $accounts = $this->accounts();
        $any = array_reduce($digits, static fn (Bitmap $all, Bitmap $one): Bitmap => $all->or($one), Bitmap::none());
        $several = $any->and($this->pieces->set(Piece::SEVERAL));
        // Of accounts with one page only those can be among the most whose number is: told digit by digit.
        $sure = Bitmap::none();
        $open = $any->without($several);
        for ($digit = count($digits) - 1; $digit >= 0 && $sure->count() < $most; $digit--) {
            $having = $open->and($digits[$digit]);
            if ($sure->count() + $having->count() >= $most) {
                $open = $having;
            } else {
                $sure = $sure->or($having);
                $open = $open->without($having);
            }
        }
        $counts = [];
        foreach ([$sure, $several, $open] as $pages) {
            $left = $pages === $open ? $most : PHP_INT_MAX;
            foreach ($pages->positions() as $page) {
                if ($left-- === 0) {
                    break;
                }
                $counts[$accounts[$page]] = ($counts[$accounts[$page]] ?? 0) + self::number($digits, $page);
            }
        }
        arsort($counts);

        return array_slice($counts, 0, $most, true);
    }

    /** @param  list<Bitmap>  $digits */
    private static function number(array $digits, int $page): int
    {
        $number = 0;
        foreach ($digits as $digit => $set) {
            $number += $set->has($page) ? 1 << $digit : 0;
        }

        return $number;
    }

    /** @return array<int, int> */
    public function accounts(): array
    {
        return $this->accounts ??= array_values(unpack('V*', $this->pieces->get(Piece::ACCOUNTS)) ?: []);
    }

    public function id(int $place, Subject $subject): int
    {
        return $subject === Subject::Accounts
            ? $this->accounts()[$place]
            : Pieces::number($this->pieces->store->part(Piece::CONTACT_IDS, 4 * $place, 4), 0);
    }

    /**
     * Where these contacts stand, as far as they do.
     *
     * @param  list<int>  $ids
     */
    public function placesOf(array $ids): Bitmap
    {
        $known = $this->pieces->get(Piece::BY_ID);
        $places = $this->pieces->get(Piece::PLACES_BY_ID);
        sort($ids);
        $found = [];
        $block = '';
        $start = 0;
        $last = -1;
        foreach ($ids as $id) {
            if ($id > $last) {
                $start = Pieces::lowest($known, $id);
                $block = substr($known, 4 * $start, self::BLOCK);
                if ($block === '') {
                    break;
                }
                $last = Pieces::number($block, intdiv(strlen($block), 4) - 1);
            }
            // A string is searched many times as fast as numbers are compared.
            $bytes = pack('V', $id);
            $at = strpos($block, $bytes);
            while ($at !== false && $at % 4 !== 0) {
                $at = strpos($block, $bytes, $at + 1);
            }
            if ($at !== false) {
                $found[] = Pieces::number($places, $start + intdiv($at, 4));
            }
        }

        return Bitmap::of($found);
    }
}
