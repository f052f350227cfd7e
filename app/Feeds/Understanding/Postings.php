<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Feeds\AccountsNamed;
use App\Feeds\Brought;
use App\Feeds\CandidateCompanies;
use App\Feeds\HiringSignals;
use App\Feeds\OpeningsOf;
use App\Feeds\TechnologiesOf;
use App\Feeds\TechnologySignals;
use App\Feeds\Understanding;
use App\Models\Feed;
use App\Models\ItemState;
use App\Models\Mention as Mentioned;
use App\Support\AccountIds;
use App\Support\Bulk;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Company\Agency;
use Luftig\Core\Signal\Aboutness;
use Luftig\Core\Signal\Item;
use Luftig\Core\Signal\Mention;

/** Postings: whose they are, and which openings stand behind them (rule 17). */
final class Postings implements Understanding
{
    /** How sure it is whom an agency seeks for, at most. */
    private const AGENCY = .4;

    public function take(Feed $feed, array $items): int
    {
        $byDomain = AccountIds::of(array_map(fn (Brought $one): array => $one->facts, $items));
        $unknown = array_filter(
            $items,
            fn (Brought $one): bool => ! isset($one->facts['domain'], $byDomain[$one->facts['domain'] ?? '']),
        );
        $byName = AccountsNamed::byNames(array_values(array_unique(array_filter(array_map(
            fn (Brought $one): string => isset($one->facts['domain']) ? '' : (string) ($one->facts['employer'] ?? ''),
            $unknown,
        )))));
        $agencies = DB::table('accounts')->whereIn('id', [...$byDomain, ...$byName])->where('status', 'agency')
            ->pluck('id')->flip();
        $touched = [];
        foreach ($items as $item) {
            $domain = $item->facts['domain'] ?? null;
            $employer = (string) ($item->facts['employer'] ?? $domain);
            $account = $domain === null ? ($byName[$employer] ?? null) : ($byDomain[$domain] ?? null);
            $agency = $this->agency($item, $employer, $account !== null && isset($agencies[$account]));
            $item->agency = $agency;
            if ($agency !== null) {
                $this->client($item, $agency, $account);
            } elseif ($account === null) {
                $item->becomes(ItemState::Dropped, $domain === null
                    ? "Nobody in the base is called {$employer}, or several are."
                    : "Nobody in the base has the domain {$domain}.");
            } else {
                $item->becomes(ItemState::Taken, $domain === null
                    ? 'By the name of the employer alone.'
                    : "By the domain {$domain}.", $account);
            }
            array_push($touched, ...array_filter([$account, $item->account, $item->accountBefore]));
        }
        CandidateCompanies::see(array_filter(
            $items,
            fn (Brought $one): bool => $one->state !== ItemState::Taken
                && ! isset($byDomain[$one->facts['domain'] ?? '']) && ! isset($byName[$one->facts['employer'] ?? '']),
        ));
        $this->own($items);
        $touched = array_values(array_unique($touched));
        OpeningsOf::renew($touched);
        TechnologySignals::renew(TechnologiesOf::named($items));

        return HiringSignals::renew($touched);
    }

    private function agency(Brought $item, string $employer, bool $isKnown): ?string
    {
        return match (true) {
            $isKnown => 'agency, as the base says',
            ($item->facts['agency'] ?? false) === true => 'agency, as the source says',
            default => Agency::ofPosting($employer, $item->facts['text'] ?? ''),
        };
    }

    /** Of whom an agency may be speaking: a hint that a person decides. */
    private function client(Brought $item, string $agency, ?int $account): void
    {
        $mentions = array_values(array_filter(
            AccountsNamed::in(new Item($item->title, $item->facts['text'] ?? '')),
            fn (Mention $one): bool => $one->id !== $account && $one->verdict() !== Aboutness::Dropped,
        ));
        $decided = Mentioned::query()->where('feed_item_id', $item->id)->whereNotNull('decided_by')->get();
        $theirs = $decided->firstWhere('verdict', Aboutness::Taken);
        if ($theirs !== null) {
            $item->becomes(ItemState::Taken, 'Decided by a person.', $theirs->account_id);

            return;
        }
        $mentions = array_values(array_filter(
            $mentions,
            fn (Mention $one): bool => ! $decided->contains('account_id', $one->id),
        ));
        DB::table('mentions')->where('feed_item_id', $item->id)->whereNull('decided_by')->delete();
        DB::table('mentions')->insertOrIgnore(array_map(fn (Mention $one): array => [
            'feed_item_id' => $item->id, 'account_id' => $one->id,
            'confidence' => min(self::AGENCY, $one->confidence),
            'because' => "$agency; {$one->because}", 'in_title' => $one->inTitle,
            'verdict' => Aboutness::ToDecide->value,
        ], $mentions));
        $item->becomes($mentions === [] ? ItemState::Dropped : ItemState::Waiting, ucfirst($agency).'.');
    }

    /**
     * Whose they are is written down at once, since openings are told from all postings of an account.
     *
     * @param  list<Brought>  $items
     */
    private function own(array $items): void
    {
        $of = [];
        foreach ($items as $item) {
            if ($item->account !== $item->accountBefore) {
                $of[$item->id] = $item->account;
            }
        }
        Bulk::set('feed_items', 'account_id', $of);
    }
}
