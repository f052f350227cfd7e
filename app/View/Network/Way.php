<?php

declare(strict_types=1);

namespace App\View\Network;

use App\KeepOut\EntriesInForce;
use App\Models\Ask;
use App\Models\Contact;
use App\Models\User;
use App\Network\Paths;
use App\Support\Format;
use Luftig\Core\Reach\IntroPath;

/** A way to a contact through people, each step with its why. */
final readonly class Way
{
    private const ASKED = 5;

    /**
     * @param  list<array{name: string, why: string|null, known: string|null}>  $steps  each person, and how the one
     *     before knows them
     */
    private function __construct(public string $strength, public array $steps, public ?string $asks)
    {
    }

    /** @return list<self> the strongest first */
    public static function to(Contact $contact, User $from, int $most = 5, ?EntriesInForce $barred = null): array
    {
        $isOut = ($barred ?? EntriesInForce::now())->contact($contact->id) !== null;

        return array_map(
            fn (array $way): self => self::of($way, $contact, $isOut), Paths::to($contact, $from, $most),
        );
    }

    /** @param  array{path: IntroPath, people: list<User|Contact>, why: list<array{string, float}>}  $way */
    private static function of(array $way, Contact $contact, bool $isOut): self
    {
        $steps = [];
        foreach ($way['people'] as $i => $person) {
            $steps[] = [
                'name' => $person instanceof User ? $person->name : $person->name(),
                'why' => $way['why'][$i - 1][0] ?? null,
                'known' => isset($way['why'][$i - 1]) ? Format::percent($way['why'][$i - 1][1]) : null,
            ];
        }

        return new self(
            Format::percent($way['path']->strength),
            $steps,
            $isOut || $way['path']->introducer() === null ? null
                : route('asks.create', [$contact, 'path' => implode('-', $way['path']->people)]),
        );
    }

    public function names(): string
    {
        return implode(' → ', array_column(array_slice($this->steps, 1), 'name'));
    }

    /** @return list<array{says: string, url: string}> of a contact, what was asked */
    public static function asked(Contact $contact): array
    {
        return array_values(Ask::query()->with('askedUser', 'askedContact')->where('contact_id', $contact->id)
            ->latest('asked_at')->limit(self::ASKED)->get()
            ->map(fn (Ask $ask): array => [
                'says' => "{$ask->introducer()}: {$ask->state->label()}, asked ".Format::ago($ask->asked_at),
                'url' => route('asks.show', $ask),
            ])->all());
    }
}
