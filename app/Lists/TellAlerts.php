<?php

declare(strict_types=1);

namespace App\Lists;

use App\KeepOut\EntriesInForce;
use App\Models\Alert;
use App\Models\AlertAbout;
use App\Models\Standing;
use App\Models\StandingState;
use App\Standings\RuleBook;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Catalogue;
use Luftig\Core\Signal\Kind;
use stdClass;

/**
 * Tells reps of signals that came in: those that are live and of a kind that counts, of accounts that may be approached
 * and of whom an alert is; each once, whichever alerts it meets and however often it comes.
 */
final class TellAlerts
{
    private const DAY = 86_400;

    /** @var array<int, Catalogue> by offer */
    private array $catalogues = [];

    private readonly CarbonImmutable $now;

    private readonly EntriesInForce $barred;

    public function __construct()
    {
        $this->now = CarbonImmutable::now();
        $this->barred = EntriesInForce::now();
    }

    /** @param  list<int>  $accounts  whose standings are new */
    public function of(array $accounts): void
    {
        $alerts = Alert::query()->with('offer.rules', 'user', 'list')->orderBy('id')->get()
            ->filter(fn (Alert $one): bool => $one->user->signs_in && $one->offer->rules !== null);
        $since = $alerts->min('created_at');
        if (! $since instanceof CarbonImmutable) {
            return;
        }
        $signals = DB::table('signals')->whereIn('account_id', $accounts)->where('created_at', '>=', $since)
            ->orderBy('id')->get([
                'id', 'account_id', 'contact_id', 'kind', 'offer_id', 'occurred_at', 'fingerprint', 'created_at',
            ]);
        if ($signals->isEmpty()) {
            return;
        }
        $told = [];
        foreach ($alerts as $alert) {
            foreach ($this->met($alert, array_values($signals->all())) as $signal) {
                $before = $told["$alert->user_id $signal->fingerprint"] ?? [];
                $told["$alert->user_id $signal->fingerprint"] = [
                    'user_id' => $alert->user_id, 'signal_id' => $signal->id, 'fingerprint' => $signal->fingerprint,
                    'on_today' => $alert->on_today || ($before['on_today'] ?? false),
                    'by_mail' => $alert->by_mail || ($before['by_mail'] ?? false),
                    'in_feed' => $alert->in_feed || ($before['in_feed'] ?? false),
                    'told_at' => $this->now->toDateTimeString(),
                ];
            }
        }
        foreach (array_chunk(array_values($told), 500) as $rows) {
            DB::table('alerted_signals')->insertOrIgnore($rows);
        }
    }

    /**
     * @param  list<stdClass>  $signals
     * @return list<stdClass>
     */
    private function met(Alert $alert, array $signals): array
    {
        $since = ($alert->created_at ?? $this->now)->toDateTimeString();
        $signals = array_filter($signals, fn (stdClass $one): bool => $one->created_at >= $since
            && ($one->offer_id === null || $one->offer_id === $alert->offer_id)
            && $this->counts($alert, Kind::from($one->kind), (string) $one->occurred_at)
            && ($one->contact_id === null || $this->barred->contact($one->contact_id) === null));
        $accounts = array_values(array_unique(array_map(fn (stdClass $one): int => $one->account_id, $signals)));
        if ($accounts === []) {
            return [];
        }
        $theirs = array_flip($this->accounts($alert, $accounts));
        $people = $alert->about === AlertAbout::Known || $alert->list?->subject === 'contacts'
            ? array_flip($this->people($alert, array_map(fn (stdClass $one): int => (int) $one->contact_id, $signals)))
            : null;

        return array_values(array_filter($signals, fn (stdClass $one): bool => isset($theirs[$one->account_id])
            && ($people === null || isset($people[(int) $one->contact_id]))));
    }

    /** Whether it is live, or announced, of a kind that is wanted and counts. */
    private function counts(Alert $alert, Kind $kind, string $at): bool
    {
        $rules = $alert->offer->rules ?? throw new \LogicException('filtered above');
        $rule = ($this->catalogues[$alert->offer_id] ??= RuleBook::catalogueOf($rules))->of($kind);
        $age = ($this->now->getTimestamp() - (int) strtotime("$at UTC")) / self::DAY;

        return $alert->isOf($kind) && $rule->sign !== 0 && ($age < 0 || $rule->stage($age)->isLive());
    }

    /**
     * Those of some accounts that the rep may approach, and that the alert is about.
     *
     * @param  list<int>  $accounts
     * @return list<int>
     */
    private function accounts(Alert $alert, array $accounts): array
    {
        $open = Standing::query()->where('offer_id', $alert->offer_id)->whereIn('account_id', $accounts)
            ->whereIn('state', [StandingState::Ranked, StandingState::Waiting])
            ->whereHas('account', fn ($account) => $account->where(fn ($either) => $either->whereNull('owner_id')
                ->orWhere('owner_id', $alert->user_id))->whereNull('merged_into'));

        $theirs = match ($alert->about) {
            AlertAbout::Mine => $open->whereHas('account', fn ($one) => $one->where('owner_id', $alert->user_id)),
            AlertAbout::Account => $open->where('account_id', $alert->account_id),
            AlertAbout::List => $alert->list?->subject === 'accounts'
                ? $open->whereIn('account_id', $this->members($alert)) : $open,
            default => $open,
        };

        return array_values($theirs->pluck('account_id')->all());
    }

    private function members(Alert $alert): Builder
    {
        return DB::table('list_members')->where('list_id', $alert->list_id)->select('record_id');
    }

    /**
     * @param  array<int>  $contacts
     * @return list<int>
     */
    private function people(Alert $alert, array $contacts): array
    {
        $people = DB::table('contacts')->whereIn('id', array_filter($contacts));
        $alert->about === AlertAbout::List
            ? $people->whereIn('id', $this->members($alert))
            : $people->where(fn (Builder $any) => array_map(
                fn (string $table) => $any->orWhereIn('id', DB::table($table)->where('user_id', $alert->user_id)
                    ->whereNotNull('contact_id')->select('contact_id')),
                ['relations', 'reservations', 'approaches'],
            ));

        return array_values($people->pluck('id')->all());
    }
}
