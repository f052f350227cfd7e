<?php

declare(strict_types=1);

namespace App\View\Today;

use App\Models\AlertedSignal;
use App\Models\User;
use App\Support\Format;

/** Signals of which a rep is told on Today and that they have not seen yet, the newest first. */
final readonly class JustIn
{
    private const SHOWN = 5;

    /** Days after which what nobody looked at is no longer just in. */
    private const DAYS = 7;

    /** @param  list<array{account: string, says: string, url: string, at: string}>  $signals */
    private function __construct(public array $signals, public int $more, public int $until)
    {
    }

    public static function of(User $rep): self
    {
        $told = AlertedSignal::query()->told($rep)->where('on_today', true)->whereNull('seen_at')
            ->where('told_at', '>=', now()->subDays(self::DAYS));
        $first = (clone $told)->limit(self::SHOWN)->get();
        $signals = [];
        foreach ($first as $one) {
            if ($one->signal !== null) {
                $signals[] = [
                    'account' => $one->signal->account->name, 'says' => $one->signal->title,
                    'url' => route('accounts.show', $one->signal->account_id), 'at' => Format::ago($one->told_at),
                ];
            }
        }

        return new self($signals, max(0, $told->count() - count($signals)), $first->first()->id ?? 0);
    }
}
