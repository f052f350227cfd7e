<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\User;
use App\Reasons\Drafts;
use App\Reasons\RecordReason;
use App\Reasons\UndatedFacts;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Standings\Snapshot;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;

/** Invents what the reps wrote down: ready, used, and behind us; each rests on what is really there. */
final readonly class Reasons
{
    private const READY = 40;

    private const USED = 30;

    private const EXPIRED = 30;

    /** Days that words which rest on facts alone are good for. */
    private const DAYS_OF_FACTS = 60;

    public function __construct(private Dice $dice, private CarbonImmutable $now)
    {
    }

    /**
     * @param  list<User>  $reps
     * @param  list<int>  $without  accounts that are left as they are
     */
    public function write(Offer $offer, array $reps, array $without): void
    {
        $catalogue = RuleBook::catalogueOf($offer->rules ?? throw new \LogicException('The offer has rules.'));
        $standings = Standing::query()
            ->with('account.signals.contact', 'account.contacts', 'account.places', 'account.technologies')
            ->where('offer_id', $offer->id)->where('state', StandingState::Ranked)->whereNotIn('account_id', $without)
            ->orderByDesc('priority')->orderBy('account_id')->limit(self::READY + self::USED + self::EXPIRED + 60)
            ->get();
        $made = 0;
        foreach ($standings as $standing) {
            $lines = SignalLine::of($standing, $standing->account->signals, $catalogue);
            $to = $this->addressee($standing);
            $draft = Drafts::of($offer, $standing->account, $to, $lines, onlyFresh: true);
            $facts = UndatedFacts::of($standing->account);
            if ($to === null || $draft->restsOn === [] || $facts === []) {
                continue;
            }
            $by = $this->dice->pick($reps);
            if ($made < self::READY + self::USED) {
                $reason = RecordReason::record(
                    $offer, $standing->account, $to, $by, $standing, $draft->of('email')->text, 'email',
                    $draft->restsOn, [], $draft->angle,
                );
                $made < self::READY || $this->use($offer, $reason);
            } elseif ($made < self::READY + self::USED + self::EXPIRED) {
                $this->longAgo($offer, $standing, $to, $by, $facts[0]);
            }
            $made++;
        }
    }

    private function addressee(Standing $standing): ?Contact
    {
        /** @var Collection<int, Contact> $contacts */
        $contacts = $standing->account->contacts->keyBy('id');

        return $contacts[$standing->contacts[0][0] ?? 0] ?? null;
    }

    /** Sent some hours ago, and not answered yet. */
    private function use(Offer $offer, Reason $reason): void
    {
        $at = $this->now->subDays($this->dice->int(1, 2))->setTime($this->dice->int(7, 15), $this->dice->int(0, 59));
        Approach::query()->create([
            'offer_id' => $offer->id, 'account_id' => $reason->account_id, 'contact_id' => $reason->contact_id,
            'reason_id' => $reason->id, 'user_id' => $reason->user_id, 'kind' => ApproachKind::Email, 'made_at' => $at,
            'snapshot' => Snapshot::of($offer, $reason->account_id, $at),
        ]);
        $reason->timestamps = false;
        $reason->forceFill(['created_at' => $at->subHour(), 'updated_at' => $at->subHour()])->save();
    }

    /** Resting on a fact, and never used while it was good. */
    private function longAgo(Offer $offer, Standing $standing, Contact $to, User $by, string $fact): void
    {
        $at = $this->now->subDays($this->dice->int(self::DAYS_OF_FACTS + 3, 150));
        $reason = RecordReason::record(
            $offer,
            $standing->account,
            $to,
            $by,
            $standing,
            "Hello {$to->first_name}, {$standing->account->name} $fact. {$offer->question}",
            'email',
            [],
            [$fact],
        );
        $reason->timestamps = false;
        $reason->forceFill([
            'created_at' => $at, 'updated_at' => $at, 'expires_on' => $at->addDays(self::DAYS_OF_FACTS)->toDateString(),
        ])->save();
    }
}
