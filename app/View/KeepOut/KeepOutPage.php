<?php

declare(strict_types=1);

namespace App\View\KeepOut;

use App\Models\Account;
use App\Models\CustomerPeriod;
use App\Models\KeepOut;
use App\Support\Format;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Facades\DB;

/** Who must not be approached: the entries in force, and how many are kept out by what they are. */
final readonly class KeepOutPage
{
    private const SIZE = 25;

    /** @param  LengthAwarePaginator<int, KeepOut>  $entries */
    private function __construct(public LengthAwarePaginator $entries, private int $ended)
    {
    }

    public static function of(): self
    {
        return new self(
            KeepOut::query()->with('account', 'contact', 'user')->inForce()->latest()->latest('id')
                ->paginate(self::SIZE),
            KeepOut::query()->where('until', '<', today())->count(),
        );
    }

    public function about(): string
    {
        $customers = CustomerPeriod::query()
            ->where(fn ($begun) => $begun->whereNull('since')->orWhere('since', '<=', today()))
            ->where(fn ($lasting) => $lasting->whereNull('until')->orWhere('until', '>=', today()))->distinct()
            ->count('account_id');
        $competitors = Account::query()->where('status', 'competitor')->count();
        $agencies = Account::query()->where('status', 'agency')->count()
            + DB::table('recognised')->whereNull('keep_out_id')
                ->whereNotIn('account_id', Account::query()->whereNotNull('status')->select('id'))->count();

        return 'Who must not be approached, by anyone on the team. Besides the entries here, '
            .Format::count($customers, 'customer').', '
            .Format::count($competitors, 'competitor').' and '.Format::count($agencies, 'agency', 'agencies')
                .' are kept out by what they are.';
    }

    public function until(KeepOut $entry): string
    {
        return $entry->until === null ? 'for good' : Format::date($entry->until);
    }

    public function ended(): ?string
    {
        return $this->ended === 0
            ? null
            : Format::count($this->ended, 'entry', 'entries').($this->ended === 1 ? ' has' : ' have').' ended.';
    }
}
