<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Accounts\StoredAccounts;
use App\Models\Signal;
use App\Models\Technology;
use App\Support\TechnologyIds;
use Luftig\Core\Company\Technology as Name;
use Luftig\Core\Signal\Kind;

/** Keeps what accounts run in step with what signals say they adopted or dropped, so that the two cannot disagree. */
final class NamedTechnologies
{
    public const KINDS = [Kind::TechAdopted, Kind::TechDropped];

    public function __construct(
        private readonly TechnologyIds $technologies = new TechnologyIds,
        private readonly StoredAccounts $accounts = new StoredAccounts,
    ) {
    }

    /**
     * The newest of the signals that name a technology says whether it is in use; what is announced is not yet.
     *
     * @param  array<int, list<string>>  $named  account → technologies that its signals name
     */
    public function follow(array $named, Ledger $ledger): void
    {
        if ($named === []) {
            return;
        }
        $used = Technology::query()->toBase()->join('account_technology', 'technology_id', '=', 'technologies.id')
            ->whereIn('account_id', array_keys($named))->orderBy('technologies.id')
            ->get(['account_id', 'technologies.id', 'name'])->groupBy('account_id');
        $newest = $this->newest(array_keys($named));
        foreach ($named as $account => $names) {
            $before = $after = ($used[$account] ?? collect())->pluck('name', 'id')->all();
            foreach (array_unique($names) as $name) {
                $isSame = fn (string $other): bool => Name::key($other) === Name::key($name);
                $kind = $newest[$account][Name::key($name)] ?? null;
                $after = match (true) {
                    $kind === Kind::TechDropped => array_filter($after, fn (string $other): bool => ! $isSame($other)),
                    $kind === Kind::TechAdopted && array_filter($after, $isSame) === [] => [
                        $this->technologies->of($name) => $name,
                    ] + $after,
                    default => $after,
                };
            }
            ksort($after);
            if (array_keys($after) !== array_keys($before)) {
                $ids = fn (array $technologies): array => ['technologies' => array_keys($technologies)];
                $this->accounts->change($account, $ids($after));
                $ledger->changed('account', $account, $ids($before), $ids($after));
            }
        }
    }

    /**
     * @param  list<int>  $accounts
     * @return array<int, array<string, Kind>> account → technology → what was said of it last
     */
    private function newest(array $accounts): array
    {
        $newest = [];
        foreach (
            Signal::query()->whereIn('account_id', $accounts)->whereIn('kind', self::KINDS)->whereNotNull('facts')
                ->where('occurred_at', '<=', now())->orderBy('occurred_at')->orderBy('id')->get() as $signal
        ) {
            if (isset($signal->facts['technology'])) {
                $newest[$signal->account_id][Name::key($signal->facts['technology'])] = $signal->kind;
            }
        }

        return $newest;
    }
}
