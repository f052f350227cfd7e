<?php

declare(strict_types=1);

namespace App\KeepOut;

use App\Models\KeepOut;
use App\Models\KeepOutType;
use Illuminate\Support\Facades\DB;

/** The keep-out entries in force, ready to be asked many times. */
final readonly class EntriesInForce
{
    /**
     * @param  array<int, string>  $accounts  id → reason
     * @param  array<string, string>  $domains
     * @param  array<int, string>  $contacts
     * @param  array<string, string>  $addresses
     */
    private function __construct(
        private array $accounts,
        private array $domains,
        private array $contacts,
        private array $addresses,
    ) {
    }

    public static function now(): self
    {
        $accounts = $domains = $contacts = $addresses = [];
        foreach (KeepOut::query()->inForce()->get() as $entry) {
            match ($entry->type) {
                KeepOutType::Account => $accounts[(int) $entry->account_id] = $entry->reason,
                KeepOutType::Contact => $contacts[(int) $entry->contact_id] = $entry->reason,
                KeepOutType::Domain => $domains[mb_strtolower((string) $entry->value)] = $entry->reason,
                KeepOutType::Address => $addresses[mb_strtolower((string) $entry->value)] = $entry->reason,
                KeepOutType::Query => null,
            };
        }

        foreach (
            DB::table('recognised')->leftJoin('keep_outs', 'keep_outs.id', '=', 'keep_out_id')
                ->where(fn ($either) => $either->whereNull('until')->orWhere('until', '>=', now()->toDateString()))
                ->get(['recognised.account_id', 'because']) as $row
        ) {
            $accounts[(int) $row->account_id] ??= $row->because;
        }

        return new self($accounts, $domains, $contacts, $addresses);
    }

    public function account(int $id, ?string $domain): ?string
    {
        return $this->accounts[$id] ?? $this->domains[$domain ?? ''] ?? null;
    }

    /** Whether there is any entry on a person or an address. */
    public function namesPeople(): bool
    {
        return $this->contacts !== [] || $this->addresses !== [] || $this->domains !== [];
    }

    /** Why somebody may not be approached in a way that needs one of these addresses: every one of them is kept out. */
    public function all(string ...$addresses): ?string
    {
        $because = array_map($this->address(...), $addresses);

        return $because === [] || in_array(null, $because, true) ? null : $because[array_key_first($because)];
    }

    public function contact(int $id): ?string
    {
        return $this->contacts[$id] ?? null;
    }

    /** Whether the person asked for it themselves. */
    public function asked(int $contact): bool
    {
        return ($this->contacts[$contact] ?? null) === KeepOut::ASKED;
    }

    public function address(string $address): ?string
    {
        $address = mb_strtolower($address);

        return $this->addresses[$address] ?? $this->domains[(string) substr(strrchr($address, '@') ?: '', 1)] ?? null;
    }
}
