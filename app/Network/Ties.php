<?php

declare(strict_types=1);

namespace App\Network;

use App\Models\Contact;
use App\Models\Position;
use App\Models\Relation;
use App\Models\Station;
use App\Models\User;
use App\Support\Format;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\Title;
use Luftig\Core\Reach\RelationStrength;

/** Who of us knows which contact, how well, and from where. */
final class Ties
{
    private const DAYS_IN_MONTH = 30.4375;

    /**
     * @var array<int, array<int, array{user: User, strengths: list<float>, because: list<string>}>> contact → one of us
     *     →
     */
    private array $ties = [];

    /** @param  Collection<array-key, Contact>  $contacts  with their positions */
    public function __construct(Collection $contacts)
    {
        $ids = $contacts->pluck('id')->all();
        foreach (Relation::query()->with('user')->whereIn('contact_id', $ids)->get() as $relation) {
            $this->add((int) $relation->contact_id, $relation->user, $relation->strength(), $this->inWords($relation));
        }
        $affiliations = DB::table('affiliations')->whereIn('contact_id', $ids)
            ->whereIn('kind', ['school', 'association'])->get();
        $positions = $contacts->flatMap(fn (Contact $contact): Collection => $contact->positions->toBase());
        $stations = Station::query()->with('user', 'account')->where(fn ($either) => $either
            ->whereIn('account_id', $positions->pluck('account_id')->filter()->unique())
            ->orWhereIn('name', $positions->pluck('company')->concat($affiliations->pluck('name'))->filter()->unique()))
            ->get();
        $held = self::held($contacts);
        foreach ($stations as $station) {
            if ($station->kind === 'position') {
                $this->addColleagues($station, $held[self::where($station->account_id, $station->name)] ?? []);
            } else {
                foreach (
                    $affiliations->filter(
                        fn ($one): bool => $one->kind === $station->kind && mb_strtolower($one->name) === mb_strtolower(
                            $station->name,
                        ),
                    ) as $shared
                ) {
                    $this->add(
                        $shared->contact_id,
                        $station->user,
                        $station->kind === 'school' ? RelationStrength::STUDIED : RelationStrength::ASSOCIATION,
                        ($station->kind === 'school' ? 'studied at ' : 'both in ').$station->name,
                    );
                }
            }
        }
    }

    /** @return list<array{user: User, strength: float, because: string}> the strongest first */
    public function of(Contact $contact): array
    {
        $ties = array_map(
            fn (array $tie): array => [
                'user' => $tie['user'],
                'strength' => RelationStrength::together($tie['strengths']),
                'because' => implode('; ', array_unique($tie['because'])),
            ],
            array_values($this->ties[$contact->id] ?? []),
        );
        usort(
            $ties,
            fn (array $a, array $b): int => $b['strength'] <=> $a['strength'] ?: $a['user']->id <=> $b['user']->id,
        );

        return $ties;
    }

    /**
     * @param  Collection<array-key, Contact>  $contacts
     * @return array<string, list<array{Contact, Position}>> where (where()) → who held which position there
     */
    private static function held(Collection $contacts): array
    {
        $held = [];
        foreach ($contacts as $contact) {
            foreach ($contact->positions as $position) {
                $held[self::where($position->account_id, (string) $position->company)][] = [$contact, $position];
            }
        }

        return $held;
    }

    /** At an account, or at a company of a name that is none. */
    private static function where(?int $account, string $name): string
    {
        return $account === null ? 'named '.mb_strtolower($name) : "account $account";
    }

    /** @param  list<array{Contact, Position}>  $held  there */
    private function addColleagues(Station $station, array $held): void
    {
        $today = CarbonImmutable::today();
        foreach ($held as [$contact, $position]) {
            [$from, $to] = [
                max($station->since ?? $station->until ?? $today, $position->since ?? $position->until ?? $today),
                min($station->until ?? $today, $position->until ?? $today),
            ];
            if ($from > $to) {
                continue;
            }
            $both = Title::unpacked($station->reading)->functions & Title::unpacked($position->reading)->functions;
            $this->add(
                $contact->id,
                $station->user,
                RelationStrength::ofWorkingTogether(
                    $from->diffInDays($to) / self::DAYS_IN_MONTH, $station->account?->headcount, $both !== 0,
                ),
                'worked at '.($station->account->name ?? $station->name).' together until '.$to->format('M Y'),
            );
        }
    }

    private function add(int $contact, User $user, float $strength, string $because): void
    {
        $this->ties[$contact][$user->id] ??= ['user' => $user, 'strengths' => [], 'because' => []];
        $this->ties[$contact][$user->id]['strengths'][] = $strength;
        $this->ties[$contact][$user->id]['because'][] = $because;
    }

    private function inWords(Relation $relation): string
    {
        return implode(', ', array_filter([
            'in the address book',
            $relation->since === null ? null : 'since '.$relation->since->format('Y'),
            $relation->exchanges === null ? null : Format::count($relation->exchanges, 'exchange'),
            $relation->last_exchange === null ? null : 'last '.$relation->last_exchange->format('M Y'),
        ]));
    }
}
