<?php

declare(strict_types=1);

namespace App\LookUps;

use App\Models\LookUp;
use App\Models\LookUpService;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Priority\LookUp as Rule;
use Luftig\Core\Reach\AddressState;

/** How services did: how often they found somebody, and how much of it held when it was checked (rule 23). */
final class Records
{
    private const DEAD = [AddressState::Invalid, AddressState::Disposable, AddressState::Off];

    /** @var array<int, array<string, array{int, int}>> service → where and how large → asked, found alive */
    private array $counts = [];

    public function __construct()
    {
        $dead = implode(',', array_map(fn (AddressState $one): string => "'{$one->value}'", self::DEAD));
        foreach (
            DB::table('look_ups')->whereIn('state', [LookUp::FOUND, LookUp::NOTHING])
                ->groupBy('look_up_service_id', 'country', 'size')
                ->selectRaw("look_up_service_id AS service, country, size, COUNT(*) AS asked, SUM(state = 'found' AND "
                    ."(verdict IS NULL OR verdict NOT IN ($dead))) AS found")->get() as $row
        ) {
            $this->counts[(int) $row->service]["{$row->country}|{$row->size}"] = [(int) $row->asked, (int) $row->found];
        }
    }

    /** That a service finds somebody of a house like theirs, whose address works. */
    public function chance(LookUpService $service, ?string $country, int $size): float
    {
        [$asked, $found] = $this->counts[$service->id]["$country|$size"] ?? [0, 0];

        return Rule::chance($found, $asked);
    }

    /** @return array{asked: int, found: int, alive: int, spent: float} in all */
    public static function of(LookUpService $service): array
    {
        $found = $service->lookUps()->where('state', LookUp::FOUND);

        return [
            'asked' => $service->lookUps()->whereIn('state', [LookUp::FOUND, LookUp::NOTHING])->count(),
            'found' => (clone $found)->count(),
            'alive' => (clone $found)->where(fn ($either) => $either->whereNull('verdict')
                ->orWhereNotIn('verdict', array_map(fn ($one): string => $one->value, self::DEAD)))->count(),
            'spent' => (float) $service->lookUps()->sum('price'),
        ];
    }
}
