<?php

declare(strict_types=1);

namespace App\Network;

use App\Models\Ask;
use App\Models\Contact;
use App\Models\User;
use Illuminate\Support\Collection;
use Luftig\Core\Reach\IntroPath;
use Luftig\Core\Reach\IntroPaths;
use Luftig\Core\Reach\RelationStrength;

/**
 * The strongest ways from one of us to a contact, each edge with its why (rule 10). Looked at are all of us, and of the
 * contacts beside the one in question those who know them best.
 */
final class Paths
{
    /** Of those who know the contact, so many are looked at. */
    private const BESIDE = 30;

    /** What is weaker is no way. */
    private const LEAST = .01;

    /** So many ways are looked through for those that are offered. */
    private const FOUND = 200;

    private IntroPaths $graph;

    /** @var array<string, array<string, array{float, list<string>}>> one → other → how well and why */
    private array $why = [];

    /** @var array<string, User|Contact> */
    private array $people = [];

    private function __construct(private readonly Contact $to)
    {
        $this->graph = new IntroPaths;
    }

    /** @return list<array{path: IntroPath, people: list<User|Contact>, why: list<array{string, float}>}> */
    public static function to(Contact $contact, User $from, int $most = IntroPaths::MOST): array
    {
        $self = new self($contact);
        $self->look($from);

        // Whom a colleague would ask, one asks oneself.
        $paths = array_filter(
            $self->graph->between("u{$from->id}", "c{$contact->id}", Ask::lately(), self::FOUND),
            fn (IntroPath $path): bool => $path->strength >= self::LEAST
                && ! str_starts_with((string) ($path->people[2] ?? ''), 'u'),
        );

        return array_map(fn (IntroPath $path): array => [
            'path' => $path,
            'people' => array_map(fn (int|string $id): User|Contact => $self->people[(string) $id], $path->people),
            'why' => $self->edges($path),
        ], array_slice(array_values($paths), 0, $most));
    }

    private function look(User $from): void
    {
        $strongest = [];
        foreach (Colleagues::of([$this->to->id]) as [, $other, $strength]) {
            $strongest[$other] = max($strongest[$other] ?? 0.0, $strength);
        }
        arsort($strongest);
        $beside = array_slice(array_keys($strongest), 0, self::BESIDE);
        // Each two once, of those who are looked at.
        $looked = array_flip([$this->to->id, ...$beside]);
        foreach (Colleagues::of(array_keys($looked), array_keys($looked)) as [$one, $other, $strength, $because]) {
            if ($one < $other) {
                $this->add("c$one", "c$other", $strength, $because);
            }
        }
        /** @var Collection<int, Contact> $contacts */
        $contacts = Contact::query()->with('positions')->whereKey(array_keys($looked))->get();
        $ties = new Ties($contacts);
        foreach ($contacts as $contact) {
            $this->people["c{$contact->id}"] = $contact;
            foreach ($ties->of($contact) as $tie) {
                $this->people["u{$tie['user']->id}"] = $tie['user'];
                $this->add("u{$tie['user']->id}", "c{$contact->id}", $tie['strength'], $tie['because']);
            }
        }
        $this->people["u{$from->id}"] = $from;
        foreach ($this->people as $id => $person) {
            if ($person instanceof User && $person->id !== $from->id) {
                $this->add("u{$from->id}", $id, RelationStrength::TEAMMATE, 'work together here');
            }
        }
    }

    private function add(string $one, string $other, float $strength, string $because): void
    {
        $this->graph->add($one, $other, $strength);
        [$one, $other] = $one < $other ? [$one, $other] : [$other, $one];
        $before = $this->why[$one][$other] ?? [0.0, []];
        $this->why[$one][$other] = [
            RelationStrength::together([$before[0], $strength]), array_values(array_unique([...$before[1], $because])),
        ];
    }

    /** @return list<array{string, float}> of each edge why, and how well */
    private function edges(IntroPath $path): array
    {
        $edges = [];
        for ($i = 1; isset($path->people[$i]); $i++) {
            $pair = array_map(strval(...), [$path->people[$i - 1], $path->people[$i]]);
            sort($pair, SORT_STRING);
            [$strength, $because] = $this->why[$pair[0]][$pair[1]];
            $edges[] = [implode('; ', $because), $strength];
        }

        return $edges;
    }
}
