<?php

declare(strict_types=1);

namespace App\Channels;

use App\Models\Approach;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Relation;
use App\Models\Result;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Luftig\Core\Reach\LocalHour;
use Luftig\Core\Reach\NextSteps;
use Luftig\Core\Reach\Step;

/** What a rep does first to reach somebody, at the hour it is there, by what was answered before (rule 18). */
final readonly class FirstSteps
{
    /** Results of so long ago say nothing of today. */
    private const DAYS = 365;

    /** What was done so lately is not done again. */
    private const DONE = 14;

    /**
     * @param  array<string, array{int, int}>  $record  kind → how many were answered, of how many
     * @param  array<int, true>  $connected  contacts whom the rep is in touch with
     * @param  array<int, list<Step>>  $done  contact → what was done lately
     */
    private function __construct(
        private User $rep,
        private array $record,
        private array $connected,
        private array $done,
    ) {
    }

    /** @param  Collection<array-key, Contact>  $contacts  who may be asked about */
    public static function for(Offer $offer, User $rep, Collection $contacts): self
    {
        $ids = $contacts->pluck('id');
        $done = [];
        foreach (
            Approach::query()->whereIn('contact_id', $ids)->where('made_at', '>=', now()->subDays(self::DONE))
                ->get(['contact_id', 'kind']) as $approach
        ) {
            $step = Step::tryFrom($approach->kind->value);
            if ($step !== null) {
                $done[(int) $approach->contact_id][] = $step;
            }
        }

        return new self(
            $rep,
            self::record($offer),
            array_fill_keys(
                Relation::query()->where('user_id', $rep->id)->whereIn('contact_id', $ids)->pluck('contact_id')->all(),
                true,
            ),
            $done,
        );
    }

    /** @param  bool  $hasFreshPost  something of theirs that one can comment is fresh */
    public function of(Contact $contact, Reach $reach, bool $hasFreshPost): NextSteps
    {
        // Whom the rep knows best is asked by nobody else.
        $isOwnWay = $contact->intro_by === $this->rep->id && $contact->intro_via === null;
        $there = self::nowAt($contact);

        return NextSteps::of(
            $reach->rules,
            $isOwnWay ? 0.0 : $reach->intro,
            $hasFreshPost,
            isset($this->connected[$contact->id]),
            $there === null ? null : new LocalHour($there->dayOfWeekIso, 60 * $there->hour + $there->minute),
            $this->record,
            $this->done[$contact->id] ?? [],
        );
    }

    /** What time it is where they work; null: nobody knows where that is. */
    public static function nowAt(Contact $contact): ?CarbonImmutable
    {
        $place = $contact->account->headquarters();
        $isAbroad = $contact->country !== null && $contact->country !== $place?->country;
        $zone = LocalTime::zone(
            $contact->country ?? $place?->country, $isAbroad ? null : $place?->latitude,
            $isAbroad ? null : $place?->longitude,
        );

        return $zone === null ? null : CarbonImmutable::now($zone);
    }

    /** @return array<string, array{int, int}> */
    private static function record(Offer $offer): array
    {
        return Approach::query()->toBase()->where('offer_id', $offer->id)->whereNotNull('result')
            ->where('made_at', '>=', now()->subDays(self::DAYS))->groupBy('kind')
            ->selectRaw('kind, SUM(result IN (?, ?)) AS answered, COUNT(*) AS made', [
                Result::Interested->value, Result::Meeting->value,
            ])->get()->mapWithKeys(fn ($row): array => [$row->kind => [(int) $row->answered, (int) $row->made]])->all();
    }
}
