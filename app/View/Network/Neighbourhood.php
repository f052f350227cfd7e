<?php

declare(strict_types=1);

namespace App\View\Network;

use App\Models\Contact;
use App\Models\User;
use App\Network\Colleagues;
use App\Network\Ties;
use App\Support\Format;
use Illuminate\Support\Collection;

/** Who knows somebody: of us, and of the contacts who know them, with who of us knows these; drawn in three columns. */
final readonly class Neighbourhood
{
    private const US = 8;

    private const BETWEEN = 8;

    private const OF_EACH = 3;

    private const ROW = 40;

    private const TOP = 36;

    /** Where an edge begins and ends: at us, before and behind those between, at the contact. */
    private const COLUMNS = ['us' => 190, 'before' => 330, 'behind' => 600, 'contact' => 740];

    private const THINNEST = .75;

    private const THICKEST = 5.0;

    /**
     * @param  Collection<int, User>  $us
     * @param  Collection<int, Contact>  $between
     * @param  list<array{string, string, float, string}>  $edges  from, to, how well, why
     */
    private function __construct(
        public Contact $contact,
        private Collection $us,
        private Collection $between,
        private array $edges,
    ) {
    }

    public static function of(Contact $contact): self
    {
        $known = [];
        foreach (Colleagues::of([$contact->id]) as [, $other, $strength, $because]) {
            if ($strength > ($known[$other][0] ?? 0.0)) {
                $known[$other] = [$strength, $because];
            }
        }
        uasort($known, fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $known = array_slice($known, 0, self::BETWEEN, true);
        /** @var Collection<int, Contact> $contacts */
        $contacts = Contact::query()->with('positions.account', 'account')
            ->whereKey([$contact->id, ...array_keys($known)])->get()->keyBy('id');
        $ties = new Ties($contacts);
        $edges = $us = $best = [];
        foreach ($contacts as $id => $one) {
            foreach (array_slice($ties->of($one), 0, self::OF_EACH) as $tie) {
                $user = $tie['user'];
                $us[$user->id] = $user;
                $best[$user->id] = max($best[$user->id] ?? 0.0, $tie['strength'] * ($known[$id][0] ?? 1.0));
                $edges[] = ["u{$user->id}", "c$id", $tie['strength'], $tie['because']];
            }
            if (isset($known[$id])) {
                $edges[] = ["c$id", "c{$contact->id}", ...$known[$id]];
            }
        }
        arsort($best);
        $shown = array_slice(array_keys($best), 0, self::US);

        return new self(
            $contact->loadMissing('account'),
            collect($shown)->mapWithKeys(fn (int $id): array => [$id => $us[$id]]),
            $contacts->toBase()->except([$contact->id])
                ->sortByDesc(fn (Contact $one): float => $known[$one->id][0] ?? 0.0),
            array_values(array_filter(
                $edges, fn (array $one): bool => $one[0][0] === 'c' || in_array((int) substr($one[0], 1), $shown, true),
            )),
        );
    }

    public function isEmpty(): bool
    {
        return $this->edges === [];
    }

    public function about(): string
    {
        return Format::count($this->us->count(), 'of us', 'of us').' and '
            .Format::count($this->between->count(), 'other contact').' are near';
    }

    public function height(): int
    {
        return self::TOP + self::ROW * max(1, $this->us->count(), $this->between->count());
    }

    /** @return list<array{x: int, anchor: string, says: string}> */
    public function heads(): array
    {
        return [
            ['x' => self::COLUMNS['us'] - 10, 'anchor' => 'end', 'says' => 'Of us'],
            [
                'x' => intdiv(self::COLUMNS['before'] + self::COLUMNS['behind'], 2), 'anchor' => 'middle',
                'says' => 'Who knows them',
            ],
            ['x' => self::COLUMNS['contact'] + 10, 'anchor' => 'start', 'says' => 'The contact'],
        ];
    }

    /** @return list<array{x: int, y: int, anchor: string, name: string, about: string, url: string|null}> */
    public function people(): array
    {
        $people = [];
        foreach ($this->us as $user) {
            $people[] = [
                'x' => self::COLUMNS['us'] - 10, 'y' => $this->y("u{$user->id}"), 'anchor' => 'end',
                'name' => $user->name, 'about' => '', 'url' => null,
            ];
        }
        foreach ($this->between as $one) {
            $people[] = [
                'x' => intdiv(self::COLUMNS['before'] + self::COLUMNS['behind'], 2), 'y' => $this->y("c{$one->id}"),
                'anchor' => 'middle', 'name' => $one->name(), 'about' => $one->account->name,
                'url' => route('contacts.show', $one),
            ];
        }
        $people[] = [
            'x' => self::COLUMNS['contact'] + 10, 'y' => $this->y("c{$this->contact->id}"), 'anchor' => 'start',
            'name' => $this->contact->name(), 'about' => $this->contact->account->name,
            'url' => route('contacts.show', $this->contact),
        ];

        return $people;
    }

    /** @return list<array{x1: int, y1: int, x2: int, y2: int, width: float, says: string}> */
    public function lines(): array
    {
        return array_map(fn (array $one): array => [
            'x1' => $one[0][0] === 'u' ? self::COLUMNS['us'] : self::COLUMNS['behind'], 'y1' => $this->y($one[0]),
            'x2' => $one[1] === "c{$this->contact->id}" ? self::COLUMNS['contact'] : self::COLUMNS['before'],
            'y2' => $this->y($one[1]),
            'width' => round(self::THINNEST + (self::THICKEST - self::THINNEST) * $one[2], 2),
            'says' => $this->says($one),
        ], $this->edges);
    }

    /** @return list<string> the same in words */
    public function sentences(): array
    {
        return array_map($this->says(...), $this->edges);
    }

    /** @param  array{string, string, float, string}  $edge */
    private function says(array $edge): string
    {
        return "{$this->name($edge[0])} and {$this->name($edge[1])}: {$edge[3]} (".Format::percent($edge[2]).')';
    }

    private function name(string $token): string
    {
        $id = (int) substr($token, 1);

        return (string) ($token[0] === 'u' ? ($this->us[$id] ?? null)?->name
            : ($id === $this->contact->id ? $this->contact : $this->between[$id] ?? null)?->name());
    }

    private function y(string $token): int
    {
        $id = (int) substr($token, 1);
        [$at, $of] = match (true) {
            $token[0] === 'u' => [(int) $this->us->keys()->search($id), $this->us->count()],
            $id === $this->contact->id => [0, 1],
            default => [(int) $this->between->keys()->search($id), $this->between->count()],
        };
        $rows = max(1, $this->us->count(), $this->between->count());

        return (int) (self::TOP + self::ROW * ($at + ($rows - $of) / 2));
    }
}
