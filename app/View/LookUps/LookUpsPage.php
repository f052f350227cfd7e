<?php

declare(strict_types=1);

namespace App\View\LookUps;

use App\LookUps\Records;
use App\LookUps\Spending;
use App\Models\Budget;
use App\Models\LookUpRun;
use App\Models\LookUpService;
use App\Models\Offer;
use App\Models\Outcome;
use App\Models\StandingOrder;
use App\Models\User;
use App\Support\Format;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;

/** What would be asked of whom for how much, what was asked, what it took, and how services do. */
final readonly class LookUpsPage
{
    private const RUNS = 10;

    /**
     * @param  LengthAwarePaginator<int, LookUpRun>  $runs
     * @param  Collection<int, LookUpService>  $services
     */
    private function __construct(
        public Pays $pays,
        public LengthAwarePaginator $runs,
        private Collection $services,
        public ?StandingOrder $order,
        private Spending $ofTeam,
        private Spending $own,
    ) {
    }

    public static function of(Offer $offer, User $user): self
    {
        return new self(
            Pays::ofAll($offer, $user),
            LookUpRun::query()->with('user')->where('offer_id', $offer->id)->latest('id')->paginate(self::RUNS),
            LookUpService::query()->orderByRaw("FIELD(does, 'find', 'check', 'know')")->orderBy('position')
                ->orderBy('id')->get(),
            StandingOrder::query()->where('offer_id', $offer->id)->where('user_id', $user->id)->first(),
            Spending::ofTeam(),
            Spending::of($user),
        );
    }

    public function about(): string
    {
        $limit = $this->ofTeam->limit;

        return $limit === null ? 'no budget is set: nothing is bought'
            : Format::worth(max(0, $limit - $this->ofTeam->spent)).' of '.Format::worth($limit)
                .' credits left this month';
    }

    /** What the order of the one who looks says, and what it took. */
    public function ordered(): string
    {
        return $this->order === null ? '' : 'Each night what pays'.($this->order->least === null ? ''
            : ', from priority '.Format::worth($this->order->least).' on').', for at most '
            .Format::count((int) round($this->order->credits), 'credit').' a month'.($this->order->accepts_doubtful
                ? ', content with a doubtful address' : '').'; this month it took '
            .Format::worth($this->order->spent()).'.';
    }

    /** @return list<array{who: string, spent: string, share: float|null}> of the team, and of the one who looks */
    public function budgets(): array
    {
        $line = fn (string $who, Spending $spending): array => [
            'who' => $who, 'spent' => $spending->limit === null
                ? Format::worth($spending->spent).' credits, no limit of their own'
                : Format::worth($spending->spent).' of '.Format::worth($spending->limit).' credits',
            'share' => $spending->limit > 0 ? min(1.0, $spending->spent / $spending->limit) : null,
        ];

        return [$line('The team', $this->ofTeam), $line('You', $this->own)];
    }

    /** @return list<array{id: string, name: string, credits: string}> whose budget can be set */
    public function limits(): array
    {
        $set = Budget::query()->pluck('credits', 'user_id');
        $credits = fn (?float $one): string => $one === null ? '' : Format::worth($one);

        return [
            ['id' => 'team', 'name' => 'The team, a month', 'credits' => $credits($set[''] ?? null)],
            ...User::query()->where('signs_in', true)->orderBy('name')->get()->map(fn (User $one): array => [
                'id' => (string) $one->id, 'name' => $one->name, 'credits' => $credits($set[$one->id] ?? null),
            ])->all(),
        ];
    }

    /** @return list<array{service: LookUpService, pauses: string, does: string, record: string}> */
    public function services(): array
    {
        return array_values($this->services->map(function (LookUpService $service): array {
            $record = Records::of($service);

            return [
                'service' => $service, 'pauses' => $service->paused ? 'Ask again' : 'Pause',
                'does' => match ($service->does) {
                    LookUpService::CHECKS => 'checks addresses',
                    LookUpService::KNOWS => 'knows figures, '.Format::count((int) round($service->price), 'credit')
                        .' each',
                    default => Format::count((int) round($service->price), 'credit').' for each found',
                },
                'record' => $service->does === LookUpService::CHECKS ? '' : ($record['asked'] === 0 ? 'not asked yet'
                    : 'asked for '.Format::number($record['asked']).', found '.Format::number($record['found'])
                        .($service->does === LookUpService::KNOWS ? ''
                            : ', of which '.Format::number($record['alive']).' held')
                        .'; took '.Format::worth($record['spent'])),
            ];
        })->all());
    }

    /** @return list<array{run: LookUpRun, state: string, people: string, found: string, took: string}> */
    public function rows(): array
    {
        return array_map(function (LookUpRun $run): array {
            $counts = RunPage::counts($run);

            return [
                'run' => $run, 'state' => RunPage::stateOf($run), 'people' => Format::number(array_sum($counts)),
                'found' => Format::number($counts[Outcome::Found->value] ?? 0)
                    .(($doubtful = $counts[Outcome::Doubtful->value] ?? 0) > 0 ? " and $doubtful doubtful" : ''),
                'took' => Format::worth($run->spent()),
            ];
        }, array_values($this->runs->items()));
    }
}
