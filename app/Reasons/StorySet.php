<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Account;
use App\Models\AccountIndustry;
use App\Models\Offer;
use App\Models\Story;
use App\Models\Technology;
use Luftig\Core\Reason\Likeness;
use WeakMap;

/** The stories of an offer that may be told, and which of them is of a company like an account (rule 21). */
final class StorySet
{
    /** @var WeakMap<Offer, self>|null */
    private static ?WeakMap $read = null;

    /** @param  list<array{Story, Likeness}>  $stories */
    private function __construct(private readonly array $stories)
    {
    }

    /** Read once for the rows of a page; of an offer that is loaded anew, or when a story was saved, anew. */
    public static function of(Offer $offer): self
    {
        self::$read ??= new WeakMap;

        return self::$read[$offer] ??= new self(array_values(
            Story::query()->where('offer_id', $offer->id)->told()->orderBy('id')->get()
                ->map(fn (Story $one): array => [$one, new Likeness(
                    $one->industries, $one->headcount, $one->country, $one->technologies,
                )])->all(),
        ));
    }

    /** Stories have changed. */
    public static function forget(): void
    {
        self::$read = null;
    }

    /** @return array{Story, float}|null the most alike, and how alike; never its own */
    public function for(Account $account): ?array
    {
        $as = self::likeness($account);
        $best = null;
        foreach ($this->stories as [$story, $of]) {
            $like = $story->account_id === $account->id ? 0.0 : $of->to($as);
            if ($like >= max(Likeness::LEAST, ($best[1] ?? 0.0) + 1e-9)) {
                $best = [$story, $like];
            }
        }

        return $best;
    }

    /** As a reason keeps it among its facts. */
    public static function fact(Story $story): string
    {
        $words = array_values($story->words)[0] ?? throw new \LogicException('A story has words.');

        return "like them: {$words['customer']}: {$words['result']}";
    }

    private static function likeness(Account $account): Likeness
    {
        $account->loadMissing('industries', 'technologies', 'places');

        return new Likeness(
            array_values($account->industries->map(fn (AccountIndustry $one): string => (string) $one->code)
                ->filter()->all()),
            $account->headcount,
            $account->headquarters()?->country,
            array_values($account->technologies->map(fn (Technology $one): string => $one->name)->all()),
        );
    }
}
