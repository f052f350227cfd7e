<?php

declare(strict_types=1);

namespace App\Finder;

use App\Alike\AlikeTo;
use App\Models\Approach;
use App\Models\Channel;
use App\Models\Decision;
use App\Models\KeepOut;
use App\Models\Offer;
use App\Models\Reservation;
use App\Models\StandingState;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Search\Condition;
use Luftig\Core\Search\Field;
use Luftig\Core\Search\Subject;

/** Sets that change with every click and so stand outside the index: lists, what is in work, who is kept out. */
final class Sets
{
    private const DAYS_IN_WORK = 30;

    /** @var array<string, list<int>> */
    private array $known = [];

    public function __construct(private readonly Offer $offer)
    {
    }

    /**
     * The sets that a condition on lists, work or keep-out means.
     *
     * @param  list<string>  $values
     */
    public static function condition(Field $field, Subject $subject, array $values, bool $exclude): Condition
    {
        $of = $subject === Subject::Accounts ? 'account' : 'contact';
        $names = match ($field) {
            Field::KeptOut => $subject === Subject::Accounts
                ? ['account:barred']
                : ['account:barred', 'contact:barred'],
            Field::Work => array_map(
                fn (string $value): string => $value === 'new' ? "!$of:known" : "$of:$value",
                $values,
            ),
            Field::Approached => array_map(
                fn (string $value): string => $value === 'anyone' ? "$of:approached" : "$of:approached-".(int) $value,
                $values,
            ),
            // A tag on an account is on those in it, too.
            Field::Tag => array_merge(...array_map(
                fn (string $value): array => $subject === Subject::Accounts ? ['account:tag-'.(int) $value] : [
                    'account:tag-'.(int) $value,
                    'contact:tag-'.(int) $value,
                ],
                $values,
            )),
            default => array_map(
                fn (string $value): string => (
                    DB::table('lists')->where('id', (int) $value)->value('subject') === 'accounts'
                        ? 'account'
                        : 'contact'
                ).':list-'.(int) $value,
                $values,
            ),
        };

        return Condition::any($field, $names, $exclude);
    }

    /** @return list<int> ids */
    public function __invoke(string $name): array
    {
        return $this->known[$name] ??= array_values(array_unique($this->read($name)));
    }

    /** @return array<int> */
    private function read(string $name): array
    {
        [$of, $what] = explode(':', $name, 2);
        $column = $of.'_id';
        if (str_starts_with($what, 'list-')) {
            return DB::table('list_members')->where('list_id', (int) substr($what, 5))->pluck('record_id')->all();
        }
        if (str_starts_with($what, 'tag-')) {
            return DB::table('taggings')->where('tag_id', (int) substr($what, 4))->where('subject', $of.'s')
                ->pluck('record_id')->all();
        }
        if (str_starts_with($what, 'approached')) {
            $by = (int) substr($what, strlen('approached-'));

            return Approach::query()->where('offer_id', $this->offer->id)
                ->when($by > 0, fn ($query) => $query->where('user_id', $by))->whereNotNull($column)->distinct()
                ->pluck($column)->all();
        }
        if (str_starts_with($what, 'alike-')) {
            return AlikeTo::fromName(substr($what, 6))->ids();
        }
        if (str_starts_with($what, 'reach-')) {
            return Reachability::fromName(substr($what, 6))->ids($this->offer);
        }

        return match ($what) {
            'in_work' => [
                ...Approach::query()->where('made_at', '>=', now()->subDays(self::DAYS_IN_WORK))->whereNotNull($column)
                    ->distinct()->pluck($column)->all(),
                ...Reservation::query()->where('until', '>=', today())->pluck($column)->all(),
            ],
            'kept' => array_diff([
                ...DB::table('list_members')->join('lists', 'lists.id', '=', 'list_id')
                    ->where('offer_id', $this->offer->id)->whereNull('deleted_at')->where('subject', $of.'s')
                    ->pluck('record_id')->all(),
                ...(
                    $of === 'account' ? Decision::query()->where(
                        'offer_id',
                        $this->offer->id,
                    )->where('decision', 'kept')->pluck('account_id')->all() : []
                ),
            ], $this("$of:in_work")),
            'known' => [...$this("$of:in_work"), ...$this("$of:kept")],
            'barred' => $of === 'account'
                ? DB::table('standings')->where(
                    'offer_id',
                    $this->offer->id,
                )->where('state', StandingState::KeptOut->value)->pluck('account_id')->all()
                : [
                    ...KeepOut::query()->inForce()->whereNotNull('contact_id')->pluck('contact_id')->all(),
                    ...Channel::query()
                        ->whereIn('value', KeepOut::query()->inForce()->where('type', 'address')->select('value'))
                        ->pluck('contact_id')->all(),
                ],
            default => [],
        };
    }
}
