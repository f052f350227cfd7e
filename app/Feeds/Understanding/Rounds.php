<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Feeds\Brought;
use App\Feeds\CandidateCompanies;
use App\Feeds\KeepSignals;
use App\Feeds\Understanding;
use App\Feeds\Wanted;
use App\Models\Feed;
use App\Models\ItemState;
use App\Support\AccountIds;
use App\Support\Money;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Strength;
use stdClass;

/** Rounds of a register: funding, as strong as round and amount by head make it (rule 2). */
final class Rounds implements Understanding
{
    /** A register learns of a round later than the papers. */
    private const SAME_DAYS = 21;

    public function take(Feed $feed, array $items): int
    {
        $accounts = AccountIds::of(array_map(fn (Brought $one): array => $one->facts, $items));
        $heads = DB::table('accounts')->whereIn('id', $accounts)->pluck('headcount', 'id')->all();
        $wanted = [];
        foreach ($items as $item) {
            $domain = $item->facts['domain'] ?? '';
            $account = $accounts[$domain] ?? null;
            if ($account === null) {
                $item->becomes(ItemState::Dropped, "Nobody in the base has the domain {$domain}.");

                continue;
            }
            $item->becomes(ItemState::Taken, 'It names the domain of the account.', $account);
            if ($item->isGone) {
                continue;
            }
            $amount = $item->facts['amount'] ?? null;
            $eur = $amount === null ? null : Money::inEur($amount, $item->facts['currency'] ?? 'EUR');
            $wanted[] = new Wanted(
                sha1("round|{$item->id}"),
                $account,
                Kind::Funding,
                $item->title,
                $item->at,
                Strength::ofFunding($item->facts['round'] ?? null, $eur, $heads[$account] ?? null),
                [$item->id => [$feed->confidence, 'It names the domain of the account.']],
                $feed->name,
                $item->link,
                null,
                array_filter([
                    'round' => $item->facts['round'] ?? null, 'amount' => $amount,
                    'currency' => $item->facts['currency'] ?? null, 'eur' => $eur,
                ]),
                isSame: fn (stdClass $other): bool => self::isSame($other, $item->facts),
                days: self::SAME_DAYS,
            );
        }

        CandidateCompanies::see(array_filter(
            $items,
            fn (Brought $one): bool => $one->state === ItemState::Dropped,
        ));

        return KeepSignals::keep($wanted);
    }

    /**
     * Two tell of one round unless they name different ones.
     *
     * @param  array<string, mixed>  $facts
     */
    private static function isSame(stdClass $other, array $facts): bool
    {
        $round = json_decode($other->facts ?? '[]', true)['round'] ?? null;

        return $round === null || ($facts['round'] ?? 'undisclosed') === 'undisclosed'
            || mb_strtolower((string) $round) === mb_strtolower((string) $facts['round']);
    }
}
