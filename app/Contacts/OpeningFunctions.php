<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Models\Offer;
use App\Standings\RuleBook;
use App\Support\AccountIds;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Person\Title;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Signal\RoleOfInterest;

/**
 * Which functions an opening concerns: those that the roles of interest tie it to; without one, what its title says.
 * Who heads an opening does not depend on what we sell, so the roles of all offers are asked.
 */
final class OpeningFunctions
{
    private const CHUNK = 2000;

    /** @var list<RoleOfInterest>|null */
    private ?array $roles = null;

    public function __construct(private readonly Titles $titles = new Titles)
    {
    }

    /** @return int a set of functions; 0 for what concerns nobody in particular */
    public function of(string $kind, string $title, ?string $text): int
    {
        if ($kind !== Kind::Hiring->value) {
            return 0;
        }
        $this->roles ??= array_merge(
            [],
            ...Offer::query()->with('rules')->get()
                ->map(fn (Offer $offer): array => $offer->rules === null ? [] : RuleBook::of($offer->rules)->interests)
                ->all(),
        );
        $byTitle = $byText = 0;
        foreach ($this->roles as $role) {
            $byTitle |= $role->titleMatches($title) ? $role->functions : 0;
            $byText |= $role->textMatches($title, (string) $text) ? $role->functions : 0;
        }

        return $byTitle ?: $byText ?: Title::unpacked($this->titles->read($title, null, null))->functions;
    }

    /** After the roles of interest changed. */
    public function refreshAll(): void
    {
        DB::table('signals')->where('kind', Kind::Hiring->value)
            ->select(['id', 'account_id', 'title', 'quote', 'concerns'])->chunkById(self::CHUNK,
                function ($rows): void {
                    $changed = [];
                    foreach ($rows as $row) {
                        $set = $this->of(Kind::Hiring->value, $row->title, $row->quote);
                        if ($set !== $row->concerns) {
                            $changed[$set][] = $row->id;
                        }
                    }
                    foreach ($changed as $set => $ids) {
                        DB::table('signals')->whereIn('id', $ids)->update(['concerns' => $set]);
                    }
                    AccountIds::markStale(
                        $rows->whereIn('id', array_merge([], ...array_values($changed)))->pluck('account_id')->all(),
                    );
                });
    }
}
