<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Models\Account;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Support\Format;

/** Why there is nobody to approach for an offer, in a sentence. */
final class WhyNobody
{
    private const CAUSES = 3;

    /** Null where there are accounts that are ranked. */
    public static function says(Offer $offer): ?string
    {
        $all = Account::query()->count();
        if ($all === 0) {
            return 'There is no account yet. Bring a file of accounts, then one of signals.';
        }
        $states = Standing::query()->where('offer_id', $offer->id)->toBase()->selectRaw('state, COUNT(*) AS n')
            ->groupBy('state')->pluck('n', 'state')->map(fn (mixed $n): int => (int) $n)
            ->all();
        $count = fn (StandingState $state): int => $states[$state->value] ?? 0;

        $everybody = $all === 1 ? 'The one account is' : 'All '.Format::number($all).' accounts are';

        return match (true) {
            $count(StandingState::Ranked) > 0 => null,
            array_sum($states) === 0 => 'The accounts are being computed; look again in a minute.',
            $count(StandingState::Waiting) > 0 => Format::count($count(StandingState::Waiting), 'account')
                .' fit, and nothing that is live speaks for any of them. Bring signals.',
            $count(StandingState::Out) === $all => $everybody
                .' out: '.self::causes($offer).'. The rules say whom '.$offer->name.' serves.',
            default => $everybody.' out or kept out: '
                .self::causes($offer).'.',
        };
    }

    private static function causes(Offer $offer): string
    {
        $causes = Standing::query()->where('offer_id', $offer->id)
            ->whereIn('state', [StandingState::Out, StandingState::KeptOut])->toBase()
            ->selectRaw('cause, COUNT(*) AS n')->groupBy('cause')->orderByDesc('n')->limit(self::CAUSES)->get();

        return $causes->map(fn ($row): string => Format::number((int) $row->n).' by “'.$row->cause.'”')->implode(', ');
    }
}
