<?php

declare(strict_types=1);

namespace App\View\Account;

use App\Finder\Search;
use App\Models\Offer;
use App\Support\Format;
use App\View\Accounts\Ranking;
use Luftig\Core\Search\Subject;

/** What one steps through, from account to account: what a search found, or the ranking. */
final readonly class Neighbours
{
    /**
     * @param  array<string, mixed>  $parameters  what an address needs to go on with the same
     * @param  array{before: int|null, after: int|null, position: int|null, of: int}  $around
     */
    private function __construct(
        public string $back,
        public string $backTo,
        private array $parameters,
        private array $around,
    ) {
    }

    /** @param  array<string, mixed>  $query  of the address */
    public static function of(Offer $offer, int $account, array $query): self
    {
        if (isset($query['on']) || isset($query['c'])) {
            $search = Search::from($offer, $query);
            if ($search->subject === Subject::Accounts) {
                return new self(
                    route('finder', $search->parameters()),
                    'what was found',
                    $search->parameters(),
                    self::among($search->ids(), $account),
                );
            }
        }
        $ranking = Ranking::from($offer, $query);

        return new self(
            route('accounts.index', $ranking->parameters()),
            $ranking->state->label().($ranking->search === '' ? '' : ": “{$ranking->search}”"),
            $ranking->parameters(),
            $ranking->around($account),
        );
    }

    public function position(): ?string
    {
        return $this->around['position'] === null
            ? null
            : Format::number($this->around['position']).' of '.Format::number($this->around['of']);
    }

    public function before(): ?string
    {
        return $this->step($this->around['before']);
    }

    public function after(): ?string
    {
        return $this->step($this->around['after']);
    }

    /**
     * @param  list<int>  $ids
     * @return array{before: int|null, after: int|null, position: int|null, of: int}
     */
    private static function among(array $ids, int $account): array
    {
        $at = array_search($account, $ids, true);

        return $at === false
            ? ['before' => null, 'after' => $ids[0] ?? null, 'position' => null, 'of' => count($ids)]
            : [
                'before' => $ids[$at - 1] ?? null, 'after' => $ids[$at + 1] ?? null, 'position' => $at + 1,
                'of' => count($ids),
            ];
    }

    private function step(?int $account): ?string
    {
        return $account === null ? null : route('accounts.show', [$account] + $this->parameters);
    }
}
