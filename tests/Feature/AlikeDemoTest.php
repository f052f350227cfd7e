<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Alike\AlikeTo;
use App\Models\Account;
use App\Models\Offer;
use App\Models\User;
use Database\Demo\Crafts;
use Database\Demo\Scenario;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Likeness\Alike;
use Tests\TestCase;

/** The demo hides a group of firms under labels that mislead: what is found of it by examples, labels and words. */
final class AlikeDemoTest extends TestCase
{
    private const LOOKED_AT = 50;

    /** @var array<int, string> account → what it really makes */
    private array $made;

    public function test_a_hidden_group_is_found_from_five_examples_and_the_planted_one_is_named(): void
    {
        Offer::query()->delete();
        User::query()->delete();
        $scenario = new Scenario(1200, 1200, 600, 0, 0);
        $scenario->load(fn (string $line) => null);
        $ids = Account::query()->whereNull('merged_into')->pluck('id', 'domain');
        $this->made = [];
        foreach ($scenario->made as $domain => $craft) {
            isset($ids[$domain]) && $this->made[$ids[$domain]] = $craft;
        }
        $film = array_keys($this->made, Crafts::FILM, true);
        self::assertGreaterThan(70, count($film));
        // Every twelfth, so that nobody chose them.
        $examples = array_map(fn (int $i): string => (string) $film[12 * $i + 7], range(0, 4));

        $first = AlikeTo::from($examples, [], self::LOOKED_AT)->results();
        $missed = array_values(array_filter($first, fn (Alike $one): bool => ! $this->belongs((int) $one->id)));
        $counter = array_map(fn (Alike $one): string => (string) $one->id, array_slice($missed, 0, 5));
        $second = AlikeTo::from($examples, $counter, self::LOOKED_AT)->results();
        [$label, $words] = [$this->byLabel($examples), $this->byWords($examples)];
        printf(
            "\nhidden group of %d: first 50 from five examples %.2f, after %d counter-examples %.2f; by label %.2f, by "
                ."the database's words %.2f\n",
            count($film), $this->share($first), count($counter), $this->share($second), $label, $words,
        );
        self::assertGreaterThanOrEqual(.8, $this->share($first));
        self::assertGreaterThanOrEqual(.9, $this->share($second));
        self::assertGreaterThan($label, $this->share($second));
        self::assertGreaterThanOrEqual($words, $this->share($second));

        // One that makes something else, and speaks of nothing like it.
        $astray = (string) Account::query()->whereIn('id', array_keys($this->made, 'panels', true))
            ->where('description', 'not like', '%film%')->where('description', 'not like', '%wrap%')->orderBy('id')
            ->value('id');
        $with = AlikeTo::from([...$examples, $astray])->lookalikes();
        self::assertSame((int) $astray, $with->oddOne());
        self::assertGreaterThan($with->coherence(), AlikeTo::from($examples)->lookalikes()->coherence());
    }

    private function belongs(int $account): bool
    {
        return ($this->made[$account] ?? '') === Crafts::FILM;
    }

    /** @param  list<Alike>  $found */
    private function share(array $found): float
    {
        self::assertCount(self::LOOKED_AT, $found);

        return count(array_filter($found, fn (Alike $one): bool => $this->belongs((int) $one->id))) / count($found);
    }

    /**
     * Those of the label that most of the examples have.
     *
     * @param  list<string>  $examples
     */
    private function byLabel(array $examples): float
    {
        $codes = array_count_values(DB::table('account_industry')->whereIn('account_id', $examples)
            ->whereNotNull('code')->pluck('code')->map(strval(...))->all());
        arsort($codes);
        $found = DB::table('account_industry')->where('code', (string) array_key_first($codes))
            ->whereNotIn('account_id', $examples)->orderBy('account_id')->limit(self::LOOKED_AT)->pluck('account_id');

        return $found->filter(fn (int $one): bool => $this->belongs($one))->count() / max(1, $found->count());
    }

    /**
     * The database's own search by words, with query expansion.
     *
     * @param  list<string>  $examples
     */
    private function byWords(array $examples): float
    {
        DB::statement('CREATE TEMPORARY TABLE said (id INT, words TEXT, FULLTEXT (words)) ENGINE=MyISAM');
        DB::statement("INSERT INTO said SELECT id, CONCAT_WS('; ', keywords, description) FROM accounts WHERE "
            .'merged_into IS NULL');
        $words = DB::table('said')->whereIn('id', $examples)->pluck('words')->implode(' ');
        $found = DB::table('said')->whereNotIn('id', $examples)
            ->whereRaw('MATCH (words) AGAINST (? WITH QUERY EXPANSION)', [$words])->limit(self::LOOKED_AT)->pluck('id');
        DB::statement('DROP TEMPORARY TABLE said');

        return $found->filter(fn (int $one): bool => $this->belongs($one))->count() / max(1, $found->count());
    }
}
