<?php

declare(strict_types=1);

namespace App\View\LookUps;

use App\Models\Account;
use App\Models\Contact;
use App\Models\Figure;
use App\Models\LookUp;
use App\Models\LookUpRun;
use App\Models\Outcome;
use App\Support\Format;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;

/** One run: how far it is, whom it found, and what it took. */
final readonly class RunPage
{
    private const SIZE = 50;

    /**
     * @param  array<string, int>  $counts  by outcome
     * @param  LengthAwarePaginator<int, \stdClass>  $people
     */
    private function __construct(
        public LookUpRun $run,
        private array $counts,
        public LengthAwarePaginator $people,
    ) {
    }

    public static function of(LookUpRun $run): self
    {
        return new self(
            $run->loadMissing('user'),
            self::counts($run),
            $run->people()->orderBy('position')->paginate(self::SIZE)->withQueryString(),
        );
    }

    /** @return array<string, int> by outcome */
    public static function counts(LookUpRun $run): array
    {
        $counts = [];
        foreach ([$run->people(), $run->figures()] as $asked) {
            foreach (
                $asked->groupBy('outcome')->selectRaw('outcome, COUNT(*) AS many')
                    ->pluck('many', 'outcome') as $of => $many
            ) {
                $counts[(string) $of] = ($counts[(string) $of] ?? 0) + (int) $many;
            }
        }

        return $counts;
    }

    public static function stateOf(LookUpRun $run): string
    {
        return match ($run->state) {
            LookUpRun::QUEUED => 'about to begin', LookUpRun::RUNNING => 'under way',
            LookUpRun::STOPPED => 'stopped', default => 'done',
        };
    }

    public function about(): string
    {
        $by = ($this->run->standing_order_id === null ? '' : 'the standing order of ').$this->run->user->name;
        $until = match (true) {
            $this->people->isEmpty() => '',
            $this->run->accepts_doubtful => '; content with a doubtful address',
            default => '; until a checked one is found',
        };

        return ucfirst(self::stateOf($this->run)).", begun by $by ".Format::ago($this->run->created_at).$until
            .($this->run->most === null ? '' : ', for at most '.Format::worth($this->run->most).' credits').'.';
    }

    public function isMoving(): bool
    {
        return $this->run->isOpen();
    }

    public function progress(): float
    {
        $all = array_sum($this->counts);

        return $all === 0 ? 1.0 : 1 - ($this->counts[Outcome::Waiting->value] ?? 0) / $all;
    }

    /** @return list<array{label: string, number: string, field: string}> */
    public function tally(): array
    {
        $tally = [];
        foreach (Outcome::cases() as $outcome) {
            if (($many = $this->counts[$outcome->value] ?? 0) > 0) {
                $tally[] = [
                    'label' => $outcome->label($this->people->isEmpty()), 'number' => Format::number($many),
                    'field' => $outcome->value,
                ];
            }
        }

        $tally[] = ['label' => 'credits', 'number' => Format::worth($this->run->spent()), 'field' => 'credits'];

        return $tally;
    }

    /** Whether there is somebody to ask for, or to ask for again. */
    public function mayGoOn(): bool
    {
        return ! $this->run->isOpen() && ($this->counts[Outcome::Waiting->value] ?? 0)
            + ($this->counts[Outcome::Failed->value] ?? 0) > 0;
    }

    /**
     * @return list<array{contact: Contact, outcome: string, why: string, asked: list<array{service: string,
     *     says: string, price: string}>}>
     */
    public function rows(): array
    {
        $ids = array_map(fn ($one): int => (int) $one->contact_id, $this->people->items());
        $contacts = Contact::query()->with('account')->whereIn('id', $ids)->get()->keyBy('id');
        $asked = LookUp::query()->with('service')->lately()->whereIn('contact_id', $ids)->orderBy('id')->get()
            ->groupBy('contact_id');
        $rows = [];
        foreach ($this->people->items() as $one) {
            if (isset($contacts[$one->contact_id])) {
                $rows[] = [
                    'contact' => $contacts[$one->contact_id],
                    'outcome' => Outcome::from($one->outcome)->label(), 'why' => (string) $one->why,
                    'asked' => self::asked($asked[$one->contact_id] ?? collect()),
                ];
            }
        }

        return $rows;
    }

    /**
     * @return list<array{account: Account, figure: string, outcome: string, why: string,
     *     asked: list<array{service: string, says: string, price: string}>}>
     */
    public function figures(): array
    {
        $figures = $this->run->figures()->orderBy('position')->get();
        $accounts = Account::query()->whereIn('id', $figures->pluck('account_id'))->get()->keyBy('id');
        $asked = LookUp::query()->with('service')->lately()->whereIn('account_id', $accounts->keys())->orderBy('id')
            ->get()->groupBy(fn (LookUp $line): string => "{$line->account_id} {$line->fact?->value}");

        return array_values($figures->map(fn ($one): array => [
            'account' => $accounts[$one->account_id] ?? abort(404), 'figure' => Figure::from($one->fact)->label(),
            'outcome' => Outcome::from($one->outcome)->label(isFigure: true), 'why' => (string) $one->why,
            'asked' => self::asked($asked["{$one->account_id} {$one->fact}"] ?? collect()),
        ])->all());
    }

    /**
     * @param  Collection<int, LookUp>  $lines
     * @return list<array{service: string, says: string, price: string}>
     */
    private static function asked(Collection $lines): array
    {
        return array_values($lines->map(fn (LookUp $line): array => [
            'service' => $line->service->name, 'says' => LedgerPage::says($line),
            'price' => Format::worth($line->price),
        ])->all());
    }
}
