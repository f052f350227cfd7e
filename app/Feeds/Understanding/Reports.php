<?php

declare(strict_types=1);

namespace App\Feeds\Understanding;

use App\Feeds\AccountsNamed;
use App\Feeds\Brought;
use App\Feeds\KeepSignals;
use App\Feeds\PressClasses;
use App\Feeds\Understanding;
use App\Feeds\Wanted;
use App\Models\Account;
use App\Models\Feed;
use App\Models\ItemState;
use App\Models\Mention;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Signal\Aboutness;
use Luftig\Core\Signal\Item;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\Mention as Named;
use Luftig\Core\Signal\Story;
use Luftig\Core\Signal\Strength;
use stdClass;

/** Reports of the press: whom each is about, and what sort of thing it tells (rule 25). */
final class Reports implements Understanding
{
    private const SAME_DAYS = 7;

    private const QUOTE = 400;

    /** What happens once in a while: two that tell of it within a few days tell of one. */
    private const SELDOM = [Kind::Funding, Kind::HiringFreeze, Kind::LeadershipChange];

    public function take(Feed $feed, array $items): int
    {
        $classes = PressClasses::all();
        $wanted = [];
        $decided = $this->decided($items);
        foreach ($items as $item) {
            if ($item->isGone) {
                // What was printed once was printed.
                $item->becomes(ItemState::Taken, 'It is no longer listed.', $item->accountBefore);

                continue;
            }
            $mentions = AccountsNamed::in($this->item($item));
            $this->remember($item, $mentions, $decided[$item->id] ?? []);
            $taken = array_values(array_filter(
                $mentions,
                fn (Named $one): bool => ($decided[$item->id][$one->id] ?? $one->verdict()) === Aboutness::Taken,
            ));
            foreach ($taken as $mention) {
                $wanted[] = $this->wanted($feed, $classes, $item, $mention);
            }
            $waits = array_filter(
                $mentions,
                fn (Named $one): bool => ($decided[$item->id][$one->id] ?? $one->verdict()) === Aboutness::ToDecide,
            );
            match (true) {
                $taken !== [] => $item->becomes(ItemState::Taken, $taken[0]->because, (int) $taken[0]->id),
                $waits !== [] => $item->becomes(ItemState::Waiting, reset($waits)->because),
                default => $item->becomes(ItemState::Dropped, 'It names nobody in the base.'),
            };
        }

        return KeepSignals::keep($wanted);
    }

    /** What somebody decided to be about an account becomes its signal. */
    public function accept(Mention $mention): int
    {
        $item = Brought::of(DB::table('feed_items')->where('id', $mention->feed_item_id)->sole());

        return KeepSignals::keep([$this->wanted(
            $mention->item->feed,
            PressClasses::all(),
            $item,
            new Named($mention->account_id, 1.0, 'Decided by a person.', $mention->in_title),
        )]);
    }

    private function item(Brought $item): Item
    {
        return new Item($item->title, $item->facts['text'] ?? '', $item->facts['links'] ?? []);
    }

    private function wanted(Feed $feed, PressClasses $classes, Brought $item, Named $mention): Wanted
    {
        $text = $item->facts['text'] ?? '';
        [$class, $kind] = $classes->of($item->title, $text);
        $name = (string) Account::query()->whereKey($mention->id)->value('name');

        return new Wanted(
            sha1("report|{$item->id}|{$mention->id}"),
            (int) $mention->id,
            $kind,
            $item->title,
            $item->at,
            match ($kind) {
                Kind::News => Strength::ofNews($mention->inTitle),
                Kind::Funding => Strength::ofFunding(null, null, null),
                default => 1.0,
            },
            [$item->id => [min($mention->confidence, $feed->confidence), $mention->because]],
            $item->facts['paper'] ?? $feed->name,
            $item->link,
            $text === '' ? null : mb_strimwidth($text, 0, self::QUOTE, '…'),
            ['class' => $class],
            isSame: fn (stdClass $other): bool => in_array($kind, self::SELDOM, true)
                || $this->isSame($item, $other, $name),
            days: self::SAME_DAYS,
        );
    }

    /** With the name of the account, which both may tell or only one of them. */
    private function isSame(Brought $item, stdClass $other, string $name): bool
    {
        $story = fn (string $title, string $at, ?string $link): Story => new Story(
            $title, CarbonImmutable::parse($at, 'UTC')->getTimestamp(), array_filter([$link]),
        );
        $one = $story($item->title, $item->at->toIso8601ZuluString(), $item->link);

        return $one->isSame($story($other->title, $other->occurred_at, $other->link))
            || $name !== '' && $one->isSame($story("$name $other->title", $other->occurred_at, null));
    }

    /**
     * What people decided of these items before; it stands.
     *
     * @param  list<Brought>  $items
     * @return array<int, array<int, Aboutness>> item → account → verdict
     */
    private function decided(array $items): array
    {
        $decided = [];
        foreach (
            Mention::query()->whereIn('feed_item_id', array_map(fn (Brought $one): int => $one->id, $items))
                ->whereNotNull('decided_by')->get() as $mention
        ) {
            $decided[$mention->feed_item_id][$mention->account_id] = $mention->verdict;
        }

        return $decided;
    }

    /**
     * @param  list<Named>  $mentions
     * @param  array<int, Aboutness>  $decided  which stay as they are
     */
    private function remember(Brought $item, array $mentions, array $decided): void
    {
        DB::table('mentions')->where('feed_item_id', $item->id)->whereNull('decided_by')->delete();
        DB::table('mentions')->insert(array_values(array_map(fn (Named $one): array => [
            'feed_item_id' => $item->id, 'account_id' => $one->id, 'confidence' => $one->confidence,
            'because' => $one->because, 'in_title' => $one->inTitle, 'verdict' => $one->verdict()->value,
        ], array_filter($mentions, fn (Named $one): bool => ! isset($decided[$one->id])))));
    }
}
