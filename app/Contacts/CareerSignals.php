<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Models\CustomerPeriod;
use App\Models\Offer;
use App\Models\StruckSignal;
use App\Standings\RuleBook;
use App\Support\AccountIds;
use App\Support\Bulk;
use App\Support\Same;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Buying\PeopleSignal;
use Luftig\Core\Buying\PeopleSignals;
use Luftig\Core\Person\Career;
use Luftig\Core\Person\PositionHeld;
use Luftig\Core\Person\Title;
use Luftig\Core\Signal\Kind;
use stdClass;

/**
 * The signals that follow from people's positions: made, changed and withdrawn as positions, customers and buyer roles
 * change. A signal that a file brought of the same person and kind at about the same time stands for it.
 */
final class CareerSignals
{
    private const CHUNK = 1000;

    private const KINDS = ['new_leader', 'promotion', 'leadership_change', 'customer_alum'];

    /** Older arrivals push nothing, and are too old to make later ones less of a novelty. */
    private const DAYS = 730;

    private const SAME_DAYS = 45;

    private const FIELDS = ['title', 'occurred_at', 'strength', 'confidence'];

    /** @var array<int, PeopleSignals>|null offer → what follows by its buyer roles */
    private ?array $rules = null;

    private readonly CarbonImmutable $now;

    public function __construct()
    {
        $this->now = CarbonImmutable::now();
    }

    /** @param  array<int>  $contacts */
    public function refresh(array $contacts): void
    {
        foreach (array_chunk(array_values(array_unique($contacts)), self::CHUNK) as $ids) {
            $this->store($ids, $this->wanted($ids));
        }
    }

    /** Of those who are, or were, at these accounts. */
    public function refreshAt(int ...$accounts): void
    {
        $keys = DB::table('accounts')->whereIn('id', $accounts)->pluck('name_key')->filter()->all();
        $this->refresh(
            DB::table('positions')->whereIn('account_id', $accounts)->orWhereIn('company_key', $keys)->distinct()
                ->pluck('contact_id')->all(),
        );
    }

    public function refreshAll(): void
    {
        $last = 0;
        do {
            $ids = DB::table('positions')->where('contact_id', '>', $last)->groupBy('contact_id')
                ->havingRaw('COUNT(*) > 1')->orderBy('contact_id')->limit(self::CHUNK)->pluck('contact_id')->all();
            $this->refresh($ids);
            $last = end($ids);
        } while (count($ids) === self::CHUNK);
    }

    /**
     * @param  list<int>  $ids
     * @return array<string, array<string, mixed>> by fingerprint
     */
    private function wanted(array $ids): array
    {
        $positions = [];
        foreach (
            DB::table('positions')->leftJoin('accounts', 'accounts.id', '=', 'positions.account_id')
                ->whereIn('contact_id', $ids)->get(
                    [
                        'contact_id', 'positions.account_id', 'accounts.name', 'accounts.merged_into', 'company',
                        'company_key', 'title', 'reading', 'since', 'until',
                    ],
                ) as $position
        ) {
            $positions[$position->contact_id][] = $position;
        }
        $positions = array_filter($positions, fn (array $own): bool => count($own) > 1);
        if ($positions === []) {
            return [];
        }
        $byName = $this->accountsByName($positions);
        $brought = [];
        foreach (
            DB::table('signals')->where('derived', false)->whereIn('contact_id', array_keys($positions))
                ->whereIn('kind', self::KINDS)->get(['contact_id', 'kind', 'occurred_at']) as $row
        ) {
            $brought[$row->contact_id.$row->kind][] = self::day($row->occurred_at);
        }
        $wanted = [];
        $people = DB::table('contacts')->join('accounts', 'accounts.id', '=', 'contacts.account_id')->leftJoin(
            'places',
            fn ($join) => $join->on('places.account_id', '=', 'accounts.id')->where('headquarters', true),
        )
            ->leftJoin(
                'account_industry',
                fn ($join) => $join->on('account_industry.account_id', '=', 'accounts.id')->where('position', 0),
            )
            ->whereIn('contacts.id', array_keys($positions))->whereNull('contacts.merged_into')
            ->whereNull('accounts.merged_into')
            ->get([
                'contacts.id', 'contacts.account_id', 'first_name', 'last_name', 'contacts.confidence', 'headcount',
                'places.country', 'code',
            ]);
        foreach ($people as $person) {
            $career = Career::at($person->account_id, array_map(
                fn (stdClass $position): PositionHeld => $this->held($position, $byName),
                $positions[$person->id],
            ));
            if (
                $career->now?->since === null
                || $career->now->since < self::day($this->now->subDays(self::DAYS)->toDateString())
            ) {
                continue;
            }
            foreach ($this->ofOffers($person, $career) as [$signal, $offer]) {
                foreach ($brought[$person->id.$signal->kind->value] ?? [] as $day) {
                    if (abs($day - $signal->day) <= self::SAME_DAYS) {
                        continue 2;
                    }
                }
                $from = $signal->from === null ? null : collect($positions[$person->id])->first(
                    fn (stdClass $position): bool => $position->title === $signal->from->text
                            && self::optionalDay($position->since) === $signal->from->since,
                );
                $wanted[sha1("derived|{$person->id}|{$signal->kind->value}|$offer")] = [
                    'account_id' => $person->account_id, 'contact_id' => $person->id, 'kind' => $signal->kind->value,
                    'offer_id' => $offer,
                    'title' => mb_substr(
                        self::says(
                            $signal->kind,
                            trim("$person->first_name $person->last_name"),
                            $career->now->text,
                            $from === null ? null : $from->name ?? $from->company,
                        ),
                        0,
                        255,
                    ),
                    'occurred_at' => gmdate('Y-m-d H:i:s', $signal->day * 86400),
                    'strength' => $signal->strength,
                    'confidence' => $signal->confidence,
                ];
            }
        }

        return $wanted;
    }

    /**
     * What follows for each offer; what follows for all alike, once and for all.
     *
     * @return list<array{PeopleSignal, int|null}> the signal, and whose offer it belongs to
     */
    private function ofOffers(stdClass $person, Career $career): array
    {
        $rules = $this->rules ??= $this->rules();
        $found = [];
        foreach ($rules as $offer => $signals) {
            foreach (
                $signals->of(
                    $career,
                    $person->country,
                    $person->headcount,
                    (float) $person->confidence,
                    str_starts_with((string) $person->code, '94'),
                ) as $signal
            ) {
                $found[$signal->kind->value][$offer] = $signal;
            }
        }
        $signals = [];
        foreach ($found as $offers) {
            $alike = count($offers) === count($rules)
                && count(array_unique(array_map(fn (PeopleSignal $signal): float => $signal->strength, $offers))) === 1;
            foreach ($alike ? [null => reset($offers)] : $offers as $offer => $signal) {
                $signals[] = [$signal, $alike ? null : (int) $offer];
            }
        }

        return $signals;
    }

    /**
     * @param  list<int>  $ids
     * @param  array<string, array<string, mixed>>  $wanted
     */
    private function store(array $ids, array $wanted): void
    {
        $there = DB::table('signals')->where('derived', true)->whereIn('contact_id', $ids)
            ->get(['id', 'account_id', 'fingerprint', ...self::FIELDS])->keyBy('fingerprint');
        $wanted = array_diff_key($wanted, StruckSignal::query()->whereIn('fingerprint', array_keys($wanted))
            ->pluck('id', 'fingerprint')->all());
        $now = $this->now->toDateTimeString();
        $new = $touched = [];
        foreach ($wanted as $fingerprint => $signal) {
            $existing = $there[$fingerprint] ?? null;
            if ($existing === null) {
                $new[] = [...array_values($signal), 'positions', true, $now, $fingerprint, $now, $now];
            } elseif (
                array_filter(
                    ['account_id', ...self::FIELDS],
                    fn (string $field): bool => ! Same::value($signal[$field], $existing->$field),
                )
                    !== []
            ) {
                DB::table('signals')->where('id', $existing->id)->update(
                    array_intersect_key($signal, array_flip(['account_id', ...self::FIELDS])) + ['updated_at' => $now],
                );
                $touched[] = $existing->account_id;
            } else {
                continue;
            }
            $touched[] = $signal['account_id'];
        }
        $gone = $there->diffKeys($wanted);
        DB::table('signals')->whereIn('id', $gone->pluck('id'))->delete();
        Bulk::insert(
            'signals',
            [
                'account_id', 'contact_id', 'kind', 'offer_id', ...self::FIELDS, 'source', 'derived', 'seen_at',
                'fingerprint', 'created_at', 'updated_at',
            ],
            $new,
        );
        AccountIds::markStale([...$touched, ...$gone->pluck('account_id')->all()]);
    }

    /**
     * Companies that positions name and that are accounts; a name that two accounts have is nobody's.
     *
     * @param  array<int, list<stdClass>>  $positions
     * @return array<string, int>
     */
    private function accountsByName(array $positions): array
    {
        $keys = array_unique(array_filter(
            array_map(
                fn (stdClass $position): ?string => $position->account_id === null ? $position->company_key : null,
                array_merge(...array_values($positions)),
            ),
        ));

        return DB::table('accounts')->whereIn('name_key', $keys)->whereNull('merged_into')->groupBy('name_key')
            ->havingRaw('COUNT(*) = 1')->selectRaw('name_key, MIN(id) AS id')->pluck('id', 'name_key')->all();
    }

    /** @param  array<string, int>  $byName */
    private function held(stdClass $position, array $byName): PositionHeld
    {
        $named = $position->account_id === null ? $byName[(string) $position->company_key] ?? null : null;

        return new PositionHeld(
            $position->merged_into ?? $position->account_id ?? $named,
            (string) $position->title,
            Title::unpacked($position->reading),
            self::optionalDay($position->since),
            self::optionalDay($position->until),
            $named !== null,
        );
    }

    /** @return array<int, PeopleSignals> */
    private function rules(): array
    {
        $customers = [];
        foreach (CustomerPeriod::query()->get() as $period) {
            $customers[$period->account_id][] = [
                self::optionalDay($period->since?->toDateString()),
                self::optionalDay($period->until?->toDateString()),
            ];
        }

        return Offer::query()->with('rules')->orderBy('id')->get()
            ->filter(fn (Offer $offer): bool => $offer->rules !== null)
            ->mapWithKeys(
                fn (Offer $offer): array => [$offer->id => new PeopleSignals(
                    RuleBook::of($offer->rules ?? throw new \LogicException('filtered above'))->roles->roles,
                    $customers,
                )],
            )
            ->all();
    }

    private static function says(Kind $kind, string $name, string $title, ?string $from): string
    {
        return match ($kind) {
            Kind::NewLeader => "$name joined as $title".($from === null ? '' : " from $from"),
            Kind::Promotion => "$name moved up to $title",
            Kind::CustomerAlum => "$name came from ".($from === null ? 'a customer' : "$from, a customer"),
            default => "$name is the new $title",
        };
    }

    private static function day(string $date): int
    {
        return intdiv((int) strtotime(substr($date, 0, 10).' UTC'), 86400);
    }

    private static function optionalDay(?string $date): ?int
    {
        return $date === null ? null : self::day($date);
    }
}
