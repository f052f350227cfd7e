<?php

declare(strict_types=1);

namespace App\Lists;

use App\Finder\Records;
use App\Finder\Search;
use App\Finder\StepForm;
use App\Models\KeptList;
use App\Models\Offer;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Index\Record;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\SpotCheck;
use Luftig\Core\Search\Subject;

/** What of a list is judged, and what that says of the list (rule 13). */
final readonly class Sample
{
    private const DRAWN = 20;

    private const OFFERED = 6;

    /**
     * @param  array<int, int|bool>  $fits  record → whether it fits, of those judged
     * @param  list<int>  $next  those still to be judged
     */
    private function __construct(
        private KeptList $list,
        public int $size,
        public array $fits,
        public array $next,
        public SpotCheck $check,
    ) {
    }

    public static function of(KeptList $list): self
    {
        $members = $list->members()->get(['record_id', 'fits']);
        $fits = $members->whereNotNull('fits')->pluck('fits', 'record_id')->all();
        $judged = count($fits);
        $check = SpotCheck::of((int) array_sum($fits), $judged, $members->count());
        // A first sample; then as many more as it takes.
        $more = $judged < self::DRAWN ? self::DRAWN : $judged + min(self::DRAWN, $check->more);
        $drawn = array_map(
            fn (int $at): int => (int) $members[$at]?->record_id,
            SpotCheck::draw($members->count(), $list->id, $more),
        );
        $next = array_values(array_diff($drawn, array_keys($fits)));

        return new self(
            $list,
            $members->count(),
            $fits,
            $judged < self::DRAWN ? $next : array_slice($next, 0, $more - $judged),
            $check,
        );
    }

    /**
     * What the misses share and the hits do not, as steps that would leave it out.
     *
     * @return list<array{step: StepForm, misses: int, address: string}>
     */
    public function exclusions(Offer $offer, Search $search): array
    {
        $misses = $hits = [];
        foreach ((new Records($offer))->read($this->accounts()) as $account) {
            foreach ($this->list->subject === Subject::Accounts->value ? [$account] : $account->contacts as $record) {
                if (isset($this->fits[$record->id])) {
                    $values = self::values($account, $record);
                    (bool) $this->fits[$record->id] ? $hits[] = $values : $misses[] = $values;
                }
            }
        }
        $offered = [];
        foreach (array_slice(SpotCheck::sharedByMisses($misses, $hits), 0, self::OFFERED) as $shared) {
            $step = StepForm::from(['f' => $shared['field'], 'v' => $shared['value'], 'x' => '1']);
            if (
                $step !== null
                && ! in_array($step->says(), array_map(fn (array $one): string => $one['step']->says(), $offered), true)
            ) {
                $offered[] = ['step' => $step, 'misses' => $shared['misses'], 'address' => route(
                    'finder',
                    $search->parameters([...$search->steps, $step]),
                )];
            }
        }

        return $offered;
    }

    /** @return array<string, list<string>> */
    private static function values(Record $account, Record $record): array
    {
        return array_diff_key($account->values + $record->values, array_flip(
            [Field::Owner->value, Field::State->value, Field::PostalArea->value],
        ));
    }

    /** @return list<int> of those judged, ascending */
    private function accounts(): array
    {
        $judged = array_keys($this->fits);
        $accounts = $this->list->subject === Subject::Accounts->value
            ? $judged
            : DB::table('contacts')->whereIn('id', $judged)->distinct()->pluck('account_id')->all();
        sort($accounts);

        return $accounts;
    }
}
