<?php

declare(strict_types=1);

namespace App\KeepOut;

use App\Models\Account;
use App\Models\Channel;
use App\Models\Contact;
use App\Models\KeepOut;
use App\Models\KeepOutType;
use App\Support\AccountIds;
use App\Support\Like;
use App\Support\Together;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Enters who is kept out, and ends that, so that the accounts it concerns follow. */
final class KeepOutEntries
{
    private const SAME = ['type', 'value', 'reason', 'account_id', 'contact_id'];

    /**
     * What two people enter for the same reason is one entry, for the longer of both times.
     *
     * @param  array<string, mixed>  $entry
     * @return array{KeepOut, int|null} how many accounts a query found
     */
    public static function enter(array $entry): array
    {
        return Together::write(function () use ($entry): array {
            // The lock also holds the gap, so that of two at once one waits.
            $there = KeepOut::query()->inForce()->lockForUpdate()
                ->where(array_intersect_key($entry, array_flip(self::SAME)))->first();
            if ($there !== null) {
                $until = $entry['until'] ?? null;
                if ($there->until !== null && ($until === null || $there->until->lessThan($until))) {
                    $there->update(['until' => $until]);
                }

                return [$there, null];
            }
            $entry = KeepOut::query()->create($entry);
            AccountIds::markStale(self::accounts($entry));

            return [$entry, $entry->type === KeepOutType::Query ? RecogniseAccounts::apply($entry) : null];
        });
    }

    public static function end(KeepOut $entry): void
    {
        Together::write(function () use ($entry): void {
            AccountIds::markStale(self::accounts($entry));
            $entry->delete();
        });
    }

    /** @return list<int> whom it concerns */
    private static function accounts(KeepOut $entry): array
    {
        $found = match ($entry->type) {
            KeepOutType::Account => collect([$entry->account_id])->filter(),
            KeepOutType::Query => DB::table('recognised')->where('keep_out_id', $entry->id)->pluck('account_id'),
            KeepOutType::Contact => Contact::query()->whereKey($entry->contact_id)->pluck('account_id'),
            KeepOutType::Domain => Account::query()->where('domain', $entry->value)->pluck('id')
                ->concat(self::reachedBy(Channel::query()->where('value', 'like', Like::anywhere('@'.$entry->value)))),
            KeepOutType::Address => self::reachedBy(Channel::query()->where('value', $entry->value)),
        };

        return array_values(array_unique($found->map(fn (mixed $id): int => (int) $id)->all()));
    }

    /**
     * @param  Builder<Channel>  $channels
     * @return Collection<int, int> accounts
     */
    private static function reachedBy(Builder $channels): Collection
    {
        return Contact::query()->whereIn('id', $channels->select('contact_id'))->pluck('account_id');
    }
}
