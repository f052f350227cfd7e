<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Alike\Proposed;
use App\Channels\ListBounces;
use App\Finder\ResultRows;
use App\Finder\Search;
use App\Lists\Collect;
use App\Lists\KeepResults;
use App\Lists\SplitBy;
use App\Lists\Trial;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Tag;
use App\Support\Format;
use App\View\Choices;
use App\View\Finder\Results;
use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Gate;
use Luftig\Core\Search\Subject;

/** One list: who is on it, what made it, and what can be done with it. */
final readonly class ListPage
{
    private const SIZE = 25;

    private const TRIAL = 20;

    /**
     * @param  LengthAwarePaginator<int, int>  $pages
     * @param  int  $newer  whom the same search would add today
     * @param  int  $gone  whom it would miss
     */
    private function __construct(
        public KeptList $list,
        private Search $search,
        public int $size,
        public Results $results,
        public LengthAwarePaginator $pages,
        private ?Trial $trial,
        private int $newer,
        private int $gone,
    ) {
    }

    public static function of(Offer $offer, KeptList $list, Search $search, int $page): self
    {
        $size = $list->members()->count();
        $ids = array_values($list->members()->forPage($page, self::SIZE)->pluck('record_id')->all());
        $now = KeepResults::chosen($search, null, $list->per_account, $list->best);
        $members = $list->members()->pluck('record_id')->all();

        return new self(
            $list,
            $search,
            $size,
            Results::of(
                $offer, ResultRows::of($offer, Subject::from($list->subject), $ids), null,
                Gate::allows('update', $list),
            ),
            new LengthAwarePaginator($ids, $size, self::SIZE, $page, ['path' => route('lists.show', $list)]),
            Trial::of($list),
            count(array_diff($now, $members)),
            count(array_diff($members, $now)),
        );
    }

    /** Its accounts beside the best customers. */
    public function alike(): string
    {
        return route('alike', ['list' => $this->list->id, 'e' => implode(',', Proposed::customers())]);
    }

    public function about(): string
    {
        $made = $this->list->created_at === null ? '' : ' '.Format::ago($this->list->created_at);

        return Format::count($this->size, rtrim($this->list->subject, 's')).', by '
            .($this->list->user->name ?? 'somebody').$made;
    }

    public function isOfAccounts(): bool
    {
        return $this->list->subject === Subject::Accounts->value;
    }

    public function inFinder(): string
    {
        return route('finder', ['on' => $this->list->subject, 'c' => [['f' => 'list', 'v' => $this->list->id]]]);
    }

    /** The people of a list of accounts. */
    public function people(): string
    {
        return route(
            'finder',
            ['on' => 'contacts', 'c' => [['f' => 'list', 'v' => $this->list->id], ['f' => 'kept_out', 'x' => 1]]],
        );
    }

    public function isByHand(): bool
    {
        return Collect::isByHand($this->list);
    }

    public function sameSearch(): string
    {
        return route('finder', $this->search->parameters());
    }

    /** @return list<array{string, string}> condition → what it asks */
    public function steps(): array
    {
        return Steps::of($this->search);
    }

    public function atMost(): string
    {
        return $this->list->per_account === null ? '' : ", at most {$this->list->per_account} at one account";
    }

    public function since(): string
    {
        return 'would add '.Format::number($this->newer).' and miss '.Format::number($this->gone).'.';
    }

    /** @return array{list: KeptList, says: string, isIn: bool}|null what it is held for */
    public function trial(): ?array
    {
        return $this->trial === null ? null : [
            'list' => $this->trial->list, 'isIn' => $this->trial->isIn(),
            'says' => "{$this->trial->approached} of {$this->trial->size} approached, "
                ."{$this->trial->answered} answered or silent for two weeks.",
        ];
    }

    /** @return array{says: string, warns: bool}|null mails that are to be expected back; null: it is of accounts */
    public function bounces(): ?array
    {
        if ($this->isOfAccounts()) {
            return null;
        }
        [$bounces, $without] = ListBounces::of($this->list);

        return [
            'warns' => $bounces->areTooMany(),
            'says' => Format::count($bounces->sent, 'contact').' can be mailed'.($bounces->sent === 0 ? '' : '; of '
                .Format::count($bounces->sent, 'mail').' '.number_format($bounces->expected, 1)
                .' are to be expected back ('.Format::percent($bounces->rate()).')')
                .($bounces->dead === 0 ? '' : "; {$bounces->dead} with a dead address")
                .($without === 0 ? '' : "; $without without any").'.',
        ];
    }

    public function mayTry(): bool
    {
        return $this->size > 1;
    }

    public function proposedTrial(): int
    {
        return min(self::TRIAL, $this->size - 1);
    }

    /** @return array<int|string, string> */
    public function splits(): array
    {
        return Choices::among(SplitBy::of(Subject::from($this->list->subject)));
    }

    /** @return Collection<int, string> */
    public function tags(): Collection
    {
        return Tag::query()->orderBy('name')->pluck('name');
    }
}
