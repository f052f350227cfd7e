<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Feeds\Brought;
use App\Feeds\CandidateCompanies;
use App\Feeds\KeepSignals;
use App\Feeds\Understanding;
use App\Feeds\Wanted;
use App\Intake\SignalRows;
use App\Models\Feed;
use App\Models\ItemKind;
use App\Models\ItemState;
use App\Support\AccountIds;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Kind;
use stdClass;

/**
 * Signals that sources post: of the account whose domain they name, and of the person whose address or profile. Looks
 * at pages are counted, by person and day, and never quoted.
 */
final class Events implements Understanding
{
    public function take(Feed $feed, array $items): int
    {
        $accounts = AccountIds::of(array_map(fn (Brought $one): array => $one->facts, $items));
        $people = $this->people($items);
        $heads = DB::table('accounts')->whereIn('id', $accounts)->pluck('headcount', 'id')->all();
        $wanted = $looks = [];
        foreach ($items as $item) {
            $person = $people[mb_strtolower((string) ($item->facts['profile'] ?? ''))]
                ?? $people[$item->facts['email'] ?? ''] ?? null;
            $account = $person->account ?? $accounts[$item->facts['domain'] ?? ''] ?? null;
            if ($account === null) {
                $item->becomes(ItemState::Dropped, isset($item->facts['domain'])
                    ? "Nobody in the base has the domain {$item->facts['domain']}."
                    : 'Nobody in the base has this address or profile.');

                continue;
            }
            $why = $person === null ? 'By the domain.' : 'By the address of the person.';
            $item->becomes(ItemState::Taken, $why, $account);
            $isLook = ($item->facts['deed'] ?? '') === 'page';
            $key = "$account ".($person->id ?? 0).' '.$item->at->toDateString();
            if ($isLook && isset($looks[$key])) {
                continue;
            }
            $looks[$key] = true;
            $wanted[] = $this->wanted($feed, $item, $account, $person, $heads[$account] ?? null, $isLook);
        }

        CandidateCompanies::see(array_filter(
            $items,
            fn (Brought $one): bool => $one->state === ItemState::Dropped,
        ));

        return KeepSignals::keep($wanted);
    }

    private function wanted(
        Feed $feed,
        Brought $item,
        int $account,
        ?stdClass $person,
        ?int $heads,
        bool $isLook,
    ): Wanted {
        $kind = Kind::from($item->facts['kind']);
        $facts = array_intersect_key($item->facts, array_flip(['deed', 'topic', 'technology', 'round']));
        $because = $person === null ? 'It names the domain.' : 'It names the person.';
        $sources = [$item->id => [$feed->confidence, $because]];
        $title = $item->title;
        if ($isLook) {
            $same = $this->looks($item, $account, $person);
            $sources = array_fill_keys([...$same, $item->id], [$feed->confidence, $because]);
            $facts['times'] = count($sources);
            $title = count($sources) === 1 ? $title : 'Looked at '.count($sources).' pages of ours';
        }

        return new Wanted(
            $isLook
                ? sha1("look|$account|".($person->id ?? 0).'|'.$item->at->toDateString()) : sha1("event|{$item->id}"),
            $account,
            $kind,
            $person === null ? $title : "{$person->name}: ".lcfirst($title),
            $item->at,
            isset($item->facts['strength'])
                ? (float) $item->facts['strength'] : SignalRows::strength($kind, $facts, $heads) ?? 1.0,
            $sources,
            $feed->name,
            $isLook ? null : $item->link,
            $isLook ? null : $item->facts['quote'] ?? null,
            $facts,
            contact: $person?->id,
            confidence: $feed->confidence,
        );
    }

    /** @return list<int> other looks of the same day, by the same person or by nobody known */
    private function looks(Brought $item, int $account, ?stdClass $person): array
    {
        return array_values(DB::table('feed_items')->where('account_id', $account)
            ->where('kind', ItemKind::Event->value)->whereNot('id', $item->id)
            ->whereBetween('at', [$item->at->startOfDay(), $item->at->endOfDay()])
            ->whereRaw("JSON_VALUE(facts, '$.deed') = 'page'")
            ->when($person === null, fn ($query) => $query->whereRaw("JSON_VALUE(facts, '$.email') IS NULL"))
            ->when($person !== null, fn ($query) => $query->where(fn ($either) => $either
                ->whereRaw("JSON_VALUE(facts, '$.email') = ?", [$item->facts['email'] ?? ''])
                ->orWhereRaw("JSON_VALUE(facts, '$.profile') = ?", [$item->facts['profile'] ?? ''])))
            ->pluck('id')->all());
    }

    /**
     * @param  list<Brought>  $items
     * @return array<string, stdClass> address or profile → id, account and name; of whom only one has it
     */
    private function people(array $items): array
    {
        $emails = array_filter(array_map(fn (Brought $one): string => $one->facts['email'] ?? '', $items));
        $profiles = array_filter(array_map(fn (Brought $one): string => $one->facts['profile'] ?? '', $items));
        $select = ['contacts.id', 'contacts.account_id AS account', 'first_name', 'last_name'];
        $rows = [
            ...DB::table('channels')->join('contacts', 'contacts.id', '=', 'contact_id')->where('type', 'email')
                ->whereIn('value', $emails)->whereNull('merged_into')->get([...$select, 'value'])->all(),
            ...DB::table('contacts')->whereIn('profile', $profiles)->whereNull('merged_into')
                ->get([...$select, 'profile AS value'])->all(),
        ];
        $people = $shared = [];
        foreach ($rows as $row) {
            $key = mb_strtolower($row->value);
            $row->name = trim("$row->first_name $row->last_name");
            $shared[$key] = isset($people[$key]) && $people[$key]->id !== $row->id || isset($shared[$key]);
            $people[$key] = $row;
        }

        return array_diff_key($people, array_filter($shared));
    }
}
