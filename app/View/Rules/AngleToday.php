<?php

declare(strict_types=1);

namespace App\View\Rules;

use App\Models\Contact;
use App\Models\Offer;
use App\Models\Standing;
use App\Models\StandingState;
use App\Reasons\AngleSet;
use App\Reasons\Drafts;
use App\Reasons\Proposal;
use App\Support\Format;
use App\View\Accounts\Ranking;
use Luftig\Core\Reason\Words;

/** Whom an angle holds for today, among the first accounts of the ranking, and how it would read to three of them. */
final readonly class AngleToday
{
    private const FIRST = 200;

    private const PEOPLE = 4;

    private const NAMED = 10;

    private const DRAFTS = 3;

    /** @param  list<array{Standing, Contact|null, Proposal}>  $holds */
    private function __construct(private array $holds, private int $of)
    {
    }

    /** @param  array<string, mixed>  $angle  as it is stored */
    public static function of(Offer $offer, array $angle): self
    {
        $set = AngleSet::read([$angle]);
        $standings = (new Ranking($offer, StandingState::Ranked))->query()
            ->with('account.places', 'account.technologies')->limit(self::FIRST)->get();
        $lines = Ranking::lines($offer, $standings);
        $foremost = $standings->mapWithKeys(fn (Standing $one): array => [
            $one->account_id => array_column(array_slice($one->contacts ?? [], 0, self::PEOPLE), 0),
        ]);
        $contacts = Contact::query()->whereIn('id', $foremost->flatten())->whereNull('merged_into')->with('positions')
            ->get()->keyBy('id');
        $holds = [];
        foreach ($standings as $standing) {
            foreach ($foremost[$standing->account_id] ?: [0] as $id) {
                $to = $contacts->get($id);
                $draft = Drafts::by(
                    $set, $set->angles[0], $offer, $standing->account, $to, $lines[$standing->account_id] ?? [],
                );
                if ($draft !== null) {
                    $holds[] = [$standing, $to, $draft];

                    break;
                }
            }
        }

        return new self($holds, $standings->count());
    }

    public function summary(): string
    {
        $many = count($this->holds);

        return "It holds for $many of the first ".Format::count($this->of, 'account', 'accounts').' of the ranking, '
            .'asked of the first four people of each.';
    }

    /** @return list<array{name: string, address: string}> */
    public function named(): array
    {
        return array_map(fn (array $one): array => [
            'name' => $one[0]->account->name.($one[1] === null ? '' : ', '.$one[1]->name()),
            'address' => route('accounts.show', $one[0]->account_id),
        ], array_slice($this->holds, 0, self::NAMED));
    }

    public function more(): int
    {
        return max(0, count($this->holds) - self::NAMED);
    }

    /** @return list<array{to: string, language: string, says: string, words: string, doubts: list<string>}> */
    public function drafts(): array
    {
        return array_map(function (array $one): array {
            $message = $one[2]->of('message');

            return [
                'to' => ($one[1]?->name() ?? 'nobody in particular').', '.$one[0]->account->name,
                'language' => AnglePage::language($one[2]->language), 'says' => $one[2]->headline(),
                'words' => $message->text, 'doubts' => [
                    ...array_map(
                        fn (string $slot): string => "Nothing is known for {{{$slot}}}; it would not be proposed.",
                        $message->open,
                    ),
                    ...self::length('message', $message), ...self::length('connect', $one[2]->of('connect')),
                ],
            ];
        }, array_slice($this->holds, 0, self::DRAFTS));
    }

    /** @return list<string> */
    private static function length(string $kind, Words $words): array
    {
        return $words->limit !== null && $words->length > $words->limit
            ? ["As $kind it has {$words->length} characters; at most {$words->limit} fit."] : [];
    }
}
