<?php

declare(strict_types=1);

namespace Luftig\Core\Signal;

use Luftig\Core\Company\CompanyName;
use Luftig\Core\Text\Fold;

/**
 * Whom a feed item is about (rule 25). Names are looked up by their first word, so that an item meets a hundred
 * thousand accounts as quickly as ten.
 */
final class About
{
    private const IN_TITLE = .8;

    private const IN_TEXT = .6;

    private const BY_EVIDENCE = 1.2;

    private const AT_MOST = .9;

    /** @var array<string, list<Named>> */
    private array $byDomain = [];

    /** @var array<string, list<Named>> */
    private array $byProfile = [];

    /** @var array<string, list<array{string, Named, string}>> first word → form in spaces, whose, first form */
    private array $byWord = [];

    /** @var array<string, int> first form of a name → how many have it */
    private array $namesakes = [];

    /** @var array<string, true> */
    private array $common = [];

    /**
     * @param  iterable<Named>  $accounts
     * @param  iterable<string>  $commonWords  words and places that are no name by themselves
     */
    public function __construct(iterable $accounts, iterable $commonWords = [])
    {
        foreach ($commonWords as $word) {
            $this->common[implode(' ', Fold::words($word))] = true;
        }
        foreach ($accounts as $account) {
            if ($account->domain !== null) {
                $this->byDomain[$account->domain][] = $account;
            }
            if ($account->profile !== null) {
                $this->byProfile[self::address($account->profile)][] = $account;
            }
            $forms = CompanyName::of($account->name)->forms;
            foreach ($forms[0] === '' ? [] : $forms as $form) {
                $this->byWord[explode(' ', $form, 2)[0]][] = [" $form ", $account, $forms[0]];
            }
            $this->namesakes[$forms[0]] = ($this->namesakes[$forms[0]] ?? 0) + 1;
        }
    }

    /** @return list<Mention> of whoever is named, the surest first, then by id */
    public function of(Item $item): array
    {
        $mentions = [];
        foreach ($this->addressed($item) as $mention) {
            $mentions[$mention->id] ??= $mention;
        }
        $title = CompanyName::line($item->title);
        foreach ([[$title, true], [CompanyName::line($item->text), false]] as [$line, $inTitle]) {
            foreach ($this->named($line) as [$form, $account, $name]) {
                $mentions[$account->id] ??= $this->byName($item, $account, trim($form), $name, $inTitle);
            }
        }
        usort($mentions, static fn (Mention $a, Mention $b): int => [$b->confidence, $a->id]
            <=> [$a->confidence, $b->id]);

        return $mentions;
    }

    /** @return iterable<Mention> */
    private function addressed(Item $item): iterable
    {
        foreach ($item->domains as $domain => $_) {
            foreach ($this->byDomain[$domain] ?? [] as $account) {
                yield new Mention(
                    $account->id,
                    1.0,
                    "Its domain {$domain} stands in a link or address.",
                    $this->isIn($item, $account),
                );
            }
        }
        foreach ($item->links as $link) {
            foreach ($this->byProfile[self::address($link)] ?? [] as $account) {
                $inTitle = $this->isIn($item, $account);
                yield new Mention($account->id, 1.0, 'Its profile stands among the links.', $inTitle);
            }
        }
    }

    private function isIn(Item $item, Named $account): bool
    {
        $line = CompanyName::line($item->title);

        return array_filter(
            CompanyName::of($account->name)->forms,
            static fn (string $form): bool => str_contains($line, " $form "),
        ) !== [];
    }

    /** @return iterable<array{string, Named, string}> */
    private function named(string $line): iterable
    {
        foreach (array_unique(explode(' ', trim($line))) as $word) {
            foreach ($this->byWord[$word] ?? [] as $candidate) {
                if (str_contains($line, $candidate[0])) {
                    yield $candidate;
                }
            }
        }
    }

    private function byName(Item $item, Named $account, string $form, string $name, bool $inTitle): Mention
    {
        $confidence = $inTitle ? self::IN_TITLE : self::IN_TEXT;
        $because = $inTitle ? 'Its name stands in the headline' : 'Its name stands in the text';
        if (! str_contains($form, ' ') && isset($this->common[$form])) {
            $confidence *= .5;
            $because .= ', and is a common word or a place';
        }
        if ($this->namesakes[$name] > 1) {
            $confidence *= .5;
            $because .= ', and another account has the same name';
        }
        $evidence = $this->evidence($item, $account, $form);
        if ($evidence !== null) {
            $confidence = min(self::AT_MOST, $confidence * self::BY_EVIDENCE);
            $because .= "; {$evidence} stands in it too";
        }

        return new Mention($account->id, $confidence, "$because.", $inTitle);
    }

    private function evidence(Item $item, Named $account, string $form): ?string
    {
        $line = Fold::line($item->title.' · '.$item->text);
        foreach ([
            'its city' => [$account->city ?? ''], 'its product' => $account->products, 'its' => $account->people,
        ] as $what => $names) {
            foreach ($names as $name) {
                // A place that is the name itself says nothing besides.
                if (
                    $name !== ''
                    && str_contains($line, Fold::line($name))
                    && ! str_contains(" $form ", Fold::line($name))
                ) {
                    return "$what $name";
                }
            }
        }

        return null;
    }

    /** An address as it is compared: without scheme, www, query and a slash at the end. */
    private static function address(string $address): string
    {
        $plain = (string) preg_replace('~^https?://(?:www\.)?|[?#].*$~i', '', trim($address));

        return mb_strtolower(rtrim($plain, '/'));
    }
}
