<?php

declare(strict_types=1);

namespace App\Alike;

use App\Support\Folder;
use App\Support\Workers;
use Luftig\Core\Likeness\Frequencies;
use Luftig\Core\Likeness\Profile;

/**
 * Which accounts say a phrase most: of each account its heaviest phrases, phrase by phrase in one file. So that of a
 * large base only those are compared in full that may be alike at all. Derived, and made anew by night; what came in
 * since is compared from the next one on.
 *
 * The file: a table of (hash of the phrase, where, how many; 32 bits each, by hash), then for each phrase the numbers
 * of accounts (32 bits each) and their weights (8 bits each).
 */
final class Postings
{
    /** Phrases of an account that are kept. */
    private const KEPT = 40;

    /** Phrases of the examples that are looked up. */
    private const ASKED = 120;

    private const ENTRY = 12;

    private const WEIGHT = 255;

    private const WORKERS = 2;

    /** Bytes before the table: how many entries it has. */
    private const HEAD = 4;

    public static function build(): void
    {
        $frequencies = Base::frequencies();
        $isAlone = ! Workers::areToBeHad();
        $of = $isAlone ? 1 : self::WORKERS;
        $path = self::path();
        Folder::make(dirname($path));
        $work = function (int $worker, int $of) use ($frequencies, $path): void {
            gc_disable();
            file_put_contents("$path.$worker", serialize(self::gathered($frequencies, $worker, $of)));
            gc_enable();
        };
        $isAlone ? $work(0, 1) : Workers::share($of, $work);
        $all = [];
        for ($worker = 0; $worker < $of; $worker++) {
            $some = unserialize((string) file_get_contents("$path.$worker"), ['allowed_classes' => false]);
            foreach ((array) $some as $hash => [$ids, $weights]) {
                $all[$hash] = [($all[$hash][0] ?? '').$ids, ($all[$hash][1] ?? '').$weights];
            }
            unlink("$path.$worker");
        }
        self::write($path, $all);
    }

    public static function isThere(): bool
    {
        return is_file(self::path());
    }

    /**
     * @param  array<string, float>  $query  phrase → weight
     * @return list<int> accounts that say most of it
     */
    public static function candidates(array $query, int $most): array
    {
        $query = array_filter($query, fn (float $weight): bool => $weight > 0);
        arsort($query);
        $file = fopen(self::path(), 'rb') ?: throw new \RuntimeException('The phrases cannot be read.');
        $entries = self::number((string) fread($file, self::HEAD), 0);
        $table = (string) fread($file, max(1, $entries * self::ENTRY));
        $scores = [];
        foreach (array_slice($query, 0, self::ASKED, true) as $phrase => $weight) {
            [$ids, $weights] = self::of($file, $table, crc32((string) $phrase));
            foreach ($ids as $i => $id) {
                $scores[$id] = ($scores[$id] ?? 0.0) + $weight * ord($weights[$i - 1]);
            }
        }
        fclose($file);
        arsort($scores);

        return array_keys(array_slice($scores, 0, $most, true));
    }

    /** @return array<int, array{string, string}> hash → packed accounts and weights */
    private static function gathered(Frequencies $frequencies, int $worker, int $of): array
    {
        $postings = [];
        foreach (Texts::of(null, $worker, $of) as $id => $profile) {
            foreach (self::heaviest($frequencies, $profile) as $phrase => $weight) {
                $hash = crc32((string) $phrase);
                $postings[$hash] ??= ['', ''];
                $postings[$hash][0] .= pack('V', $id);
                $postings[$hash][1] .= chr((int) round(self::WEIGHT * $weight));
            }
        }

        return $postings;
    }

    /** @return array<string, float> of the phrases that others say, too */
    private static function heaviest(Frequencies $frequencies, Profile $profile): array
    {
        $vector = array_intersect_key($frequencies->vector($profile->grams), $frequencies->in);
        arsort($vector);

        return array_slice($vector, 0, self::KEPT, true);
    }

    /** @param  array<int, array{string, string}>  $all */
    private static function write(string $path, array $all): void
    {
        ksort($all);
        $at = self::HEAD + count($all) * self::ENTRY;
        $table = '';
        foreach ($all as $hash => [$ids]) {
            $many = intdiv(strlen($ids), 4);
            $table .= pack('V3', $hash, $at, $many);
            $at += 5 * $many;
        }
        $file = fopen("$path.new", 'wb') ?: throw new \RuntimeException("$path.new cannot be written.");
        fwrite($file, pack('V', count($all)).$table);
        foreach ($all as [$ids, $weights]) {
            fwrite($file, $ids.$weights);
        }
        fclose($file);
        // A reader has the old one or the new one, and never a part.
        rename("$path.new", $path);
    }

    /**
     * @param  resource  $file
     * @return array{array<int, int>, string} numbers of accounts, from 1, and their weights
     */
    private static function of($file, string $table, int $hash): array
    {
        $low = 0;
        $high = intdiv(strlen($table), self::ENTRY) - 1;
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            $found = self::number($table, $middle * self::ENTRY);
            if ($found === $hash) {
                $many = self::number($table, $middle * self::ENTRY + 8);
                fseek($file, self::number($table, $middle * self::ENTRY + 4));
                $all = (string) fread($file, max(1, 5 * $many));

                return [(array) unpack('V*', substr($all, 0, 4 * $many)), substr($all, 4 * $many)];
            }
            $found < $hash ? $low = $middle + 1 : $high = $middle - 1;
        }

        return [[], ''];
    }

    private static function number(string $file, int $at): int
    {
        return ord($file[$at]) | ord($file[$at + 1]) << 8 | ord($file[$at + 2]) << 16 | ord($file[$at + 3]) << 24;
    }

    private static function path(): string
    {
        return config()->string('luftig.finder').'/phrases.bin';
    }
}
