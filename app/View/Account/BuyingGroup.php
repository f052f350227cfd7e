<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Channels\Reach;
use App\Contacts\ContactChoice;
use App\Contacts\ForemostContacts;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Contact;
use App\Models\GroupPlace;
use App\Models\Offer;
use App\Models\Reservation;
use App\Models\Standing;
use App\Models\User;
use App\Standings\FactsReader;
use App\Standings\RuleBook;
use App\Standings\SignalLine;
use App\Standings\Standings;
use Carbon\CarbonImmutable;
use Luftig\Core\Buying\Part;
use Luftig\Core\Person\Title;
use Luftig\Core\Priority\RankedContact;
use Luftig\Core\Signal\Timing;

/** The people of one account who matter, by their part, and whom of them to contact now. */
final readonly class BuyingGroup
{
    /**
     * @param  array<string, list<GroupRow>>  $parts  in the order of Part
     * @param  list<GroupRow>  $others  who take no part
     * @param  list<GroupRow>  $chosen  in the order of rule 9
     * @param  list<string>  $gaps  sentences
     * @param  array<int, array{int|null, int}>  $marks  signal → whose own it is, and which functions it concerns
     * @param  int  $unseen  so many more people there are than stand here
     */
    private function __construct(
        public array $parts,
        public array $others,
        public array $chosen,
        public array $gaps,
        public ?string $pressure,
        private bool $rolesAreDefined,
        private array $marks,
        public int $unseen,
    ) {
    }

    /** @param  Contact|null  $also  who is wanted among however many */
    public static function of(
        Offer $offer,
        Account $account,
        Standing $standing,
        User $rep,
        ?Contact $also = null,
        ?EntriesInForce $barred = null,
    ): self {
        $barred ??= EntriesInForce::now();
        $contacts = ForemostContacts::of($offer, collect([$standing]), $also === null ? [] : [$also->id])
            ->with('channels', 'positions.account')->orderBy('id')->get();
        $book = RuleBook::of($standing->ruleSet);
        [$ranked, $marks] = self::ranked($book, $account, $standing->computed_at);
        $choice = (new ContactChoice($offer, $rep, $barred))
            ->of(collect([$standing->setRelation('account', $account)]), $contacts)[$account->id];
        $places = GroupPlace::query()->with('user')->where('offer_id', $offer->id)->where('account_id', $account->id)
            ->get()->keyBy('contact_id');
        $reserved = Reservation::query()->with('user')->where('account_id', $account->id)->where('until', '>=', today())
            ->get()->keyBy('contact_id');
        $rows = $contacts->map(fn (Contact $contact): GroupRow => new GroupRow(
            $contact, $ranked[$contact->id] ?? null, $places[$contact->id] ?? null, Reach::of($contact, $barred),
            $barred->contact($contact->id), $reserved[$contact->id] ?? null, $choice->skipped[$contact->id] ?? null,
        ))->sortByDesc(fn (GroupRow $row): array => [$row->ranked->priority ?? -1.0, $row->reach->access])->all();
        $byId = array_column(array_map(fn (GroupRow $row): array => [$row->contact->id, $row], $rows), 1, 0);
        $parts = [];
        foreach (Part::cases() as $part) {
            $parts[$part->value] = array_values(
                array_filter($rows, fn (GroupRow $row): bool => $row->part() === $part),
            );
        }

        return new self(
            $parts,
            array_values(array_filter($rows, fn (GroupRow $row): bool => $row->part() === null)),
            array_map(fn (int|string $id): GroupRow => $byId[$id], $choice->taken),
            self::gaps($parts),
            ContactChoice::pressure($account),
            $book->roles->areDefined(),
            $marks,
            $account->contacts()->count() - $contacts->count(),
        );
    }

    public function row(Contact $contact): ?GroupRow
    {
        foreach ([...array_values($this->parts), $this->others] as $rows) {
            foreach ($rows as $row) {
                if ($row->contact->is($contact)) {
                    return $row;
                }
            }
        }

        return null;
    }

    /**
     * Through whom the account is reached (rule 5).
     *
     * @return array{row: GroupRow, half: bool, role: bool}|null
     */
    public function through(): ?array
    {
        $reached = array_filter(
            [...array_merge([], ...array_values($this->parts)), ...$this->others],
            fn (GroupRow $row): bool => $row->barred === null
                && $row->place?->removed !== true
                && $row->reach->access > 0,
        );
        $eligible = array_filter($reached, fn (GroupRow $row): bool => $row->ranked !== null);
        $inRole = array_filter($eligible, fn (GroupRow $row): bool => (bool) $row->ranked?->role->isInRole());
        $of = $inRole !== [] ? $inRole : ($eligible !== [] ? $eligible : ($this->rolesAreDefined ? [] : $reached));
        usort($of, fn (GroupRow $a, GroupRow $b): int => $b->reach->access <=> $a->reach->access);

        return $of === []
            ? null
            : ['row' => $of[0], 'half' => $inRole === [] && $eligible !== [], 'role' => $inRole !== []];
    }

    /** How much of a signal's push counts for a contact (rule 8). */
    public function shareOf(SignalLine $line, Contact $contact): float
    {
        return match (true) {
            $line->kind->isEngagement() && ! in_array($line->signal->contact_id, [null, $contact->id], true) => .25,
            $this->inFull($line->signal->id, $contact) !== null => 1.0,
            default => .5,
        };
    }

    /** Why a signal counts in full for a contact; null where it counts half (rule 8). */
    public function inFull(int $signal, Contact $contact): ?string
    {
        [$own, $concerns] = $this->marks[$signal] ?? [null, 0];

        return match (true) {
            $own === $contact->id => 'their own',
            ($concerns & Title::unpacked($contact->reading)->functions) !== 0 => 'concerns their function',
            default => null,
        };
    }

    /**
     * @return array{array<int, RankedContact>, array<int, array{int|null, int}>} contacts by id as the standing has
     *     them, and the marks of signals
     */
    private static function ranked(RuleBook $book, Account $account, CarbonImmutable $at): array
    {
        foreach (FactsReader::for($at, $book)->read('`id` = '.$account->id) as $facts) {
            $timing = Timing::of($book->catalogue, $facts->seriesFor($book->offer), $at->getTimestamp());

            return [array_column(Standings::people($book, $facts, $timing)->contacts, null, 'id'), $facts->marks];
        }

        return [[], []];
    }

    /**
     * @param  array<string, list<GroupRow>>  $parts
     * @return list<string>
     */
    private static function gaps(array $parts): array
    {
        $gaps = [];
        foreach (
            [
                Part::SignsOff->value => 'signs off',
                Part::Shapes->value => 'shapes the decision',
                Part::Champion->value => 'would champion us',
            ] as $part => $does
        ) {
            $reached = array_filter(
                $parts[$part],
                fn (GroupRow $row): bool => $row->reach->access > 0 && $row->barred === null,
            );
            if ($parts[$part] === []) {
                $gaps[] = "Nobody who $does is known.";
            } elseif ($reached === []) {
                $gaps[] = "Nobody who $does is in reach.";
            }
        }

        return $gaps;
    }
}
