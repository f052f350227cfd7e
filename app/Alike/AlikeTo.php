<?php

declare(strict_types=1);

namespace App\Alike;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Likeness\Alike;
use Luftig\Core\Likeness\Frequencies;
use Luftig\Core\Likeness\Lookalikes;
use Luftig\Core\Likeness\Profile;
use Luftig\Core\Likeness\TypicalPhrase;
use Luftig\Core\Likeness\TypicalPhrases;
use Luftig\Core\Mistake;

/** Accounts that are alike to examples and unlike counter-examples; an example can be a pasted text, too (rule 14). */
final readonly class AlikeTo
{
    public const MOST = 2000;

    public const USUAL = 200;

    private const EXAMPLES = 60;

    /** Of a large base so many are compared in full. */
    private const COMPARED = 300;

    private const HOURS = 12;

    /**
     * @param  list<string>  $examples  ids of accounts, or marks of pasted texts
     * @param  list<string>  $counter  ids
     */
    private function __construct(public array $examples, public array $counter, public int $most)
    {
    }

    /**
     * @param  list<string>  $examples
     * @param  list<string>  $counter
     *
     * @throws Mistake with a sentence
     */
    public static function from(array $examples, array $counter = [], int $most = self::USUAL): self
    {
        $known = fn (array $tokens): array => array_values(array_unique(array_filter(
            $tokens, fn (string $one): bool => preg_match('/^(?:\d{1,15}|~[0-9a-f]{20})$/', $one) === 1,
        )));
        [$examples, $counter] = [$known($examples), $known($counter)];
        if ($examples === []) {
            throw new Mistake('Name at least one example.');
        }
        if (count($examples) + count($counter) > self::EXAMPLES) {
            throw new Mistake('Name at most '.self::EXAMPLES.' examples and counter-examples; a handful is enough.');
        }
        if ($most < 1 || $most > self::MOST) {
            throw new Mistake('Choose how many, from 1 to '.number_format(self::MOST).'.');
        }

        return new self($examples, array_values(array_diff($counter, $examples)), $most);
    }

    public static function fromName(string $name): self
    {
        [$examples, $counter, $most] = explode('_', $name) + [1 => '', 2 => (string) self::USUAL];

        return self::from(explode('.', $examples), array_values(array_filter(explode('.', $counter))), (int) $most);
    }

    /** How the index calls the set. */
    public function named(): string
    {
        return 'account:alike-'.implode('.', $this->examples).'_'.implode('.', $this->counter)."_{$this->most}";
    }

    /** @return list<int> accounts, the most alike first, without examples and counter-examples */
    public function ids(): array
    {
        $stamp = Texts::stamp();
        [$known, $ids] = Cache::get($key = md5($this->named()).' '.DB::getDatabaseName(), ['', []]);
        if ($known !== $stamp) {
            $ids = array_map(fn (Alike $one): int => (int) $one->id, $this->results());
            Cache::put($key, [$stamp, $ids], now()->addHours(self::HOURS));
        }

        return $ids;
    }

    /** @return list<Alike> the most alike first */
    public function results(): array
    {
        $alike = $this->lookalikes();
        $not = array_flip(array_map(intval(...), [...$this->examples, ...$this->counter]));
        $best = [];
        $least = -1.0;
        foreach (Texts::of($this->candidates($alike)) as $id => $profile) {
            if (isset($not[$id])) {
                continue;
            }
            $one = $alike->of($profile);
            if ($one->likeness > $least) {
                $best[] = $one;
                if (count($best) >= 2 * $this->most) {
                    $best = self::best($best, $this->most);
                    $least = $best[$this->most - 1]->likeness;
                }
            }
        }

        return self::best($best, $this->most);
    }

    /** @return list<int>|null who may be alike at all; null: everybody is compared */
    private function candidates(Lookalikes $alike): ?array
    {
        return Texts::count() <= config()->integer('luftig.alike_all') || ! Postings::isThere() ? null
            : Postings::candidates($alike->query, max(self::COMPARED, 2 * $this->most));
    }

    /**
     * @param  list<int>  $accounts
     * @return list<Alike> these, the most alike first
     */
    public function among(array $accounts): array
    {
        $alike = $this->lookalikes();
        $found = [];
        foreach (Texts::of($accounts) as $profile) {
            $found[] = $alike->of($profile);
        }

        return self::best($found, count($found));
    }

    /** @return array<string, Alike> how alike each example is to all of them together */
    public function pulls(): array
    {
        $alike = $this->lookalikes();
        $pulls = [];
        foreach (self::profiles($this->examples) as $profile) {
            $pulls[(string) $profile->id] = $alike->of($profile);
        }

        return $pulls;
    }

    /** @return array<array-key, int> class of industry → in how many of the counter-examples and in no example it is */
    public function sharedIndustries(): array
    {
        $many = array_count_values(self::trades(self::profiles($this->counter)));
        arsort($many);

        return array_diff_key($many, array_flip(self::trades(self::profiles($this->examples))));
    }

    /**
     * @param  list<Profile>  $profiles
     * @return list<string> the main industry of each
     */
    private static function trades(array $profiles): array
    {
        return array_merge([], ...array_map(
            fn (Profile $one): array => array_slice($one->industries, 0, 1), $profiles,
        ));
    }

    /** @return list<TypicalPhrase> what counter-examples say and examples do not */
    public function misleading(int $most = 4): array
    {
        $examples = self::said(self::profiles($this->examples));

        return array_slice(array_values(array_filter(
            TypicalPhrases::of(self::said(self::profiles($this->counter)), Base::frequencies(), self::EXAMPLES),
            fn (TypicalPhrase $one): bool => ! isset($examples->in[$one->phrase]),
        )), 0, $most);
    }

    /** @return list<TypicalPhrase> what is typical of the examples, against all others */
    public function phrases(int $most): array
    {
        return TypicalPhrases::of(self::said(self::profiles($this->examples)), Base::frequencies(), $most);
    }

    /** @param  list<Profile>  $profiles */
    private static function said(array $profiles): Frequencies
    {
        return Frequencies::of(array_map(fn (Profile $one): array => $one->grams, $profiles));
    }

    /** @throws Mistake where no example is there any more */
    public function lookalikes(): Lookalikes
    {
        $examples = self::profiles($this->examples);
        if ($examples === []) {
            throw new Mistake('None of the examples is there any more.');
        }

        return Lookalikes::to($examples, self::profiles($this->counter), Base::frequencies());
    }

    /**
     * @param  list<string>  $tokens
     * @return list<Profile>
     */
    private static function profiles(array $tokens): array
    {
        $pasted = array_values(array_filter($tokens, fn (string $one): bool => $one[0] === '~'));
        $profiles = array_map(fn (string $mark): Profile => Profile::of(
            $mark, (string) DB::table('pasted')->where('mark', '@'.substr($mark, 1))
                ->value('text'),
        ), $pasted);

        return [...$profiles, ...iterator_to_array(
            Texts::of(array_map(intval(...), array_values(array_diff($tokens, $pasted)))), false,
        )];
    }

    /**
     * @param  list<Alike>  $all
     * @return list<Alike>
     */
    private static function best(array $all, int $most): array
    {
        usort($all, fn (Alike $a, Alike $b): int => [$b->likeness, $a->id] <=> [$a->likeness, $b->id]);

        return array_slice($all, 0, $most);
    }
}
