<?php

declare(strict_types=1);

namespace App\View\Alike;

use App\Alike\AlikeTo;
use App\Alike\Base;
use App\Alike\Proposed;
use App\Finder\ValueLabel;
use App\Models\Account;
use App\Models\KeptList;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Models\User;
use App\Support\Format;
use Illuminate\Support\Collection;
use Luftig\Core\Company\Industries;
use Luftig\Core\Likeness\Alike;
use Luftig\Core\Mistake;

/** Accounts like some examples: who they are, what made them so, which example leads elsewhere. */
final readonly class AlikePage
{
    public const SHOWN = 50;

    private const SHARED = 2;

    /** So many times as alike as any few accounts the examples are of one sort, or of much the same. */
    private const CLOSE = 2.2;

    private const LOOSE = 1.5;

    /**
     * @param  list<Alike>  $results
     * @param  Collection<int, Account>  $accounts
     * @param  Collection<int, Standing>  $standings
     * @param  array<string, string>  $names  token → name
     * @param  array<string, Alike>  $pulls  how alike each example is to all of them together
     */
    private function __construct(
        private Offer $offer,
        private User $user,
        private ?AlikeTo $to,
        private array $results,
        private Collection $accounts,
        private Collection $standings,
        private array $names,
        private array $pulls,
        private float $coherence,
        private float $usual,
        private ?string $odd,
        private ?int $others,
        private int $keptOut,
        public ?KeptList $list,
        public ?string $problem,
    ) {
    }

    /**
     * @param  list<string>  $examples
     * @param  list<string>  $counter
     * @param  string  $last  what was added last, whose effect is told
     */
    public static function of(
        Offer $offer,
        User $user,
        array $examples,
        array $counter,
        string $last,
        ?KeptList $list,
    ): self {
        $nothing = fn (?string $problem): self => new self(
            $offer, $user, null, [], collect(), collect(), [], [], 1.0, 0.0, null, null, 0, $list, $problem,
        );
        if ($examples === []) {
            return $nothing(null);
        }
        try {
            $to = AlikeTo::from($examples, $counter, self::SHOWN * 2);
            $lookalikes = $to->lookalikes();
        } catch (Mistake $mistake) {
            return $nothing($mistake->getMessage());
        }
        $all = $list === null ? $to->results() : $to->among(array_values(array_map(
            intval(...), $list->members()->pluck('record_id')->all(),
        )));
        $standings = Standing::query()->where('offer_id', $offer->id)
            ->whereIn('account_id', self::ids($all))->get()->keyBy('account_id');
        $isKeptOut = fn (Alike $one): bool => ($standings[(int) $one->id] ?? null)?->state === StandingState::KeptOut;
        $results = array_slice(array_values(array_filter(
            $all, fn (Alike $one): bool => $list !== null || ! $isKeptOut($one),
        )), 0, self::SHOWN);
        $tokens = [...$to->examples, ...$to->counter];

        return new self(
            $offer,
            $user,
            $to,
            $results,
            Account::query()->with('industries', 'places')
                ->whereIn('id', self::ids($results))->get()->keyBy('id'),
            $standings,
            array_combine($tokens, ValueLabel::names($tokens)),
            $to->pulls(),
            $lookalikes->coherence(),
            Base::usual(),
            ($odd = $lookalikes->oddOne()) === null ? null : (string) $odd,
            in_array($last, $tokens, true) && $list === null ? self::othersWithout($to, $last, $all) : null,
            count(array_filter(array_slice($all, 0, self::SHOWN), $isKeptOut)),
            $list,
            null,
        );
    }

    public function isEmpty(): bool
    {
        return $this->to === null;
    }

    public function about(): string
    {
        if ($this->to === null) {
            return '';
        }

        return $this->list === null
            ? 'the '.Format::number(count($this->results)).' most like '
                .Format::count(count($this->to->examples), 'example')
            : 'how like the examples those of “'.$this->list->name.'” are';
    }

    /** How close the examples are to each other, and whether they are enough. */
    public function coherence(): string
    {
        $many = count($this->to->examples ?? []);

        return match (true) {
            $many === 1 => 'One example alone says little of what is meant; three to eight are enough.',
            $this->coherence >= self::CLOSE * $this->usual => 'The examples speak of the same; that is enough.',
            $this->coherence >= self::LOOSE * $this->usual => $many >= 5 ? 'The examples speak of much the same.'
                : 'The examples speak of much the same; another one or two would make it surer.',
            default => 'The examples speak of different things. Take out the one that leads elsewhere, or begin with '
                .'fewer.',
        };
    }

    /** @return array{name: string, url: string, others: string}|null the example that stands apart, and without it */
    public function odd(): ?array
    {
        if ($this->odd === null || $this->to === null) {
            return null;
        }
        $others = self::othersWithout($this->to, $this->odd, $this->results);

        return [
            'name' => $this->names[$this->odd] ?? 'One', 'url' => $this->without($this->odd),
            'others' => $others === null ? '' : "without it, $others of the first ".count($this->results).' are others',
        ];
    }

    /** What the last step changed. */
    public function effect(): ?string
    {
        return $this->others === null ? null : Format::count($this->others, 'of the first '.self::SHOWN.' is another',
            'of the first '.self::SHOWN.' are others').' than before this step.';
    }

    public function keptOut(): ?string
    {
        return $this->keptOut === 0 || $this->list !== null ? null
            : Format::count($this->keptOut, 'is', 'are').' like them and kept out, so not shown.';
    }

    /** @return list<array{name: string, url: string|null, pull: string, without: string}> */
    public function examples(): array
    {
        return array_map(fn (string $one): array => [
            'name' => $this->names[$one] ?? $one, 'url' => ctype_digit($one) ? route('accounts.show', $one) : null,
            'pull' => isset($this->pulls[$one]) ? Format::percent($this->pulls[$one]->text) : '',
            'without' => $this->without($one),
        ], $this->to->examples ?? []);
    }

    /** @return list<array{name: string, without: string}> */
    public function counterExamples(): array
    {
        return array_map(fn (string $one): array => [
            'name' => $this->names[$one] ?? $one, 'without' => $this->without($one),
        ], $this->to->counter ?? []);
    }

    /**
     * @return list<array{account: Account, about: string, likeness: string, text: string, industry: string,
     *     size: string, phrases: string, state: string, more: string, not: string}>
     */
    public function rows(): array
    {
        $rows = [];
        foreach ($this->results as $one) {
            $account = $this->accounts[(int) $one->id] ?? null;
            if ($account === null) {
                continue;
            }
            $id = (string) $account->id;
            $industry = $account->industries->first()?->code;
            $standing = $this->standings[$account->id] ?? null;
            $rows[] = [
                'account' => $account,
                'about' => Format::line(
                    $industry === null ? null : lcfirst(Industries::name($industry)),
                    $account->headquarters()?->city,
                    Format::heads($account->headcount),
                ),
                'likeness' => Format::percent($one->likeness), 'text' => Format::percent($one->text),
                'industry' => Format::percent($one->industry), 'size' => Format::percent($one->size),
                'phrases' => implode(' · ', $one->phrases),
                'state' => $standing === null ? '' : ($standing->priority === null ? $standing->state->label()
                    : 'priority '.Format::priority($standing->priority)),
                'more' => $this->url([...$this->tokens(), $id], $this->counter(), $id),
                'not' => $this->url($this->tokens(), [...$this->counter(), $id], $id),
            ];
        }

        return $rows;
    }

    /** The same in the Finder, where every other condition narrows it. */
    public function inFinder(string $field = '', string $value = ''): string
    {
        return route('finder', ['on' => 'accounts', 'c' => array_filter([
            ['f' => 'alike', 'v' => implode(',', $this->tokens()), 'n' => (string) AlikeTo::USUAL]
            + ($this->counter() === [] ? [] : ['q2' => implode(',', $this->counter())]),
            ['f' => 'kept_out', 'x' => '1'],
            $field === '' ? null : ['f' => $field, $field === 'words' ? 'q' : 'v' => $value, 'x' => '1'],
        ])]);
    }

    /** @return array{e: string, x: string} examples and counter-examples, as the form that adds to them carries them */
    public function carried(): array
    {
        return ['e' => implode(',', $this->tokens()), 'x' => implode(',', $this->counter())];
    }

    public function phrases(): string
    {
        return route('alike.phrases', ['e' => $this->tokens()]);
    }

    /** @return list<array{says: string, url: string}> what those that are not meant share, as exclusions */
    public function traits(): array
    {
        if ($this->to === null || count($this->to->counter) < self::SHARED) {
            return [];
        }
        $traits = [];
        foreach ($this->to->sharedIndustries() as $code => $many) {
            if ($many >= self::SHARED) {
                $traits[] = [
                    'says' => lcfirst(Industries::name((string) $code))." ($many of ".count($this->to->counter).')',
                    'url' => $this->inFinder('industry', (string) $code),
                ];
            }
        }
        foreach ($this->to->misleading() as $phrase) {
            $traits[] = [
                'says' => "“{$phrase->phrase}” ({$phrase->in} of ".count($this->to->counter).')',
                'url' => $this->inFinder('words', "\"{$phrase->phrase}\""),
            ];
        }

        return $traits;
    }

    /** @return list<array{says: string, url: string}> whom one may begin with */
    public function proposals(): array
    {
        $customers = Proposed::customers();
        $answered = $this->user->leads() || $this->offer->answers_agreed_at !== null
            ? Proposed::answered($this->offer) : [];
        $link = fn (array $ids): string => $this->url(array_values(array_map(strval(...), $ids)), [], '');

        return array_values(array_filter([
            $customers === [] ? null : [
                'says' => Format::count(count($customers), 'best customer'), 'url' => $link($customers),
            ],
            $answered === [] ? null : [
                'says' => 'the '.Format::number(count($answered)).' who answered last', 'url' => $link($answered),
            ],
        ]));
    }

    /** Who may begin with those who answered. */
    public function agreed(): string
    {
        return $this->offer->answers_agreed_at === null ? 'Only leads begin with those who answered.'
            : 'Everybody may begin with those who answered; '.($this->offer->agreedBy->name ?? 'somebody').' agreed '
                .Format::ago($this->offer->answers_agreed_at).'.';
    }

    public function hasAgreed(): bool
    {
        return $this->offer->answers_agreed_at !== null;
    }

    /** Of a list: whether it drifts away from the examples towards its end. */
    public function drift(): ?string
    {
        if ($this->list === null || $this->results === []) {
            return null;
        }
        $mean = fn (array $some): float => array_sum(array_map(fn (Alike $one): float => $one->likeness, $some))
            / max(1, count($some));
        $many = count($this->results);
        $order = array_flip($this->list->members()->pluck('record_id')->all());
        $byPlace = $this->results;
        usort($byPlace, fn (Alike $a, Alike $b): int => $order[$a->id] <=> $order[$b->id]);
        $part = max(1, intdiv($many, 5));

        return 'In the mean '.Format::percent($mean($byPlace)).' alike; its first fifth '
            .Format::percent($mean(array_slice($byPlace, 0, $part))).', its last '
            .Format::percent($mean(array_slice($byPlace, -$part))).'.';
    }

    /** @return list<string> */
    private function tokens(): array
    {
        return $this->to->examples ?? [];
    }

    /** @return list<string> */
    private function counter(): array
    {
        return $this->to->counter ?? [];
    }

    private function without(string $token): string
    {
        return $this->url(
            array_values(array_diff($this->tokens(), [$token])),
            array_values(array_diff($this->counter(), [$token])),
            '',
        );
    }

    /**
     * @param  list<string>  $examples
     * @param  list<string>  $counter
     */
    private function url(array $examples, array $counter, string $last): string
    {
        return route('alike', array_filter([
            'e' => implode(',', $examples), 'x' => implode(',', array_diff($counter, $examples)), 'last' => $last,
            'list' => $this->list?->id,
        ]));
    }

    /**
     * @param  list<Alike>  $all
     * @return list<int>
     */
    private static function ids(array $all): array
    {
        return array_map(fn (Alike $one): int => (int) $one->id, $all);
    }

    /**
     * How many of the first would be others without one example or counter-example.
     *
     * @param  list<Alike>  $results
     */
    private static function othersWithout(AlikeTo $to, string $token, array $results): ?int
    {
        $examples = array_values(array_diff($to->examples, [$token]));
        if ($examples === []) {
            return null;
        }
        $ids = fn (array $all): array => self::ids(array_slice(array_values($all), 0, self::SHOWN));
        $before = AlikeTo::from($examples, array_values(array_diff($to->counter, [$token])), self::SHOWN)->results();

        return count(array_diff($ids($results), $ids($before), [(int) $token]));
    }
}
