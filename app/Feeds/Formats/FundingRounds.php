<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use App\Feeds\Cursor;
use App\Feeds\Fetched;
use App\Feeds\Fetcher;
use App\Feeds\Format;
use App\Feeds\Found;
use App\Feeds\Portion;
use App\Feeds\Unreadable;
use App\Models\ItemKind;
use Carbon\CarbonImmutable;
use Luftig\Core\Company\Domain;

/** Funding rounds of a register as JSON, by the schema beside this class. */
final class FundingRounds implements Format
{
    public static function name(): string
    {
        return 'funding-rounds';
    }

    public static function label(): string
    {
        return 'Register: funding rounds as JSON';
    }

    public static function kind(): ItemKind
    {
        return ItemKind::Round;
    }

    public function read(Fetched $answer, Cursor $cursor): Portion
    {
        $json = json_decode($answer->text());
        if (! is_object($json) || ! is_array($json->rounds ?? null)) {
            throw new Unreadable('This is no JSON object with a list of rounds.');
        }
        $next = is_string($json->next ?? null) && $json->next !== '' ? $json->next : null;

        return new Portion(
            $this->items(array_values($json->rounds)),
            $next === null ? [] : [Fetcher::absolute($next, $answer->address)],
        );
    }

    /**
     * @param  list<mixed>  $rounds
     * @return iterable<Found>
     */
    private function items(array $rounds): iterable
    {
        $schema = new Schema(__DIR__.'/funding-round.schema.json');
        foreach ($rounds as $round) {
            $raw = json_encode($round, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
            $wrong = $schema->wrong($round);
            if ($wrong !== null) {
                $says = mb_strimwidth($wrong, 0, 250, '…');
                yield new Found(sha1($raw), mb_strimwidth($raw, 0, 80, '…'), [], $raw, refused: $says);

                continue;
            }
            $stage = $round->round ?? 'undisclosed';
            $amount = isset($round->amount) ? (float) $round->amount : null;
            yield new Found(
                (string) $round->id,
                self::title($stage, $amount, $round->currency ?? 'EUR'),
                array_filter([
                    'domain' => Domain::from($round->domain)?->name, 'round' => $stage, 'amount' => $amount,
                    'currency' => $amount === null ? null : ($round->currency ?? 'EUR'),
                ], static fn (mixed $value): bool => $value !== null),
                $raw,
                $round->link ?? null,
                CarbonImmutable::parse($round->date, 'UTC'),
            );
        }
    }

    private static function title(string $stage, ?float $amount, string $currency): string
    {
        $round = match (true) {
            preg_match('/^[a-z]$/i', $stage) === 1 => 'Round '.strtoupper($stage),
            $stage === 'undisclosed' => 'A round',
            default => ucfirst($stage),
        };

        return $amount === null
            ? $round
            : "$round, ".rtrim(rtrim(number_format($amount / 1e6, 1), '0'), '.')." M $currency";
    }
}
