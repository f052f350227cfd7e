<?php

declare(strict_types=1);

namespace App\View\Reasons;

use App\Models\Account;
use App\Models\ApproachKind;
use App\Models\Contact;
use App\Models\Offer;
use App\Standings\Barred;
use App\View\Choices;
use App\View\Line;
use App\View\Reach;
use Illuminate\Support\Collection;
use Luftig\Core\Reason\Draft;

/** The form of a reason: to whom, in which words, and what these rest on. */
final readonly class NewReasonPage
{
    public Draft $draft;

    /** @var list<int> signals that the words rest on */
    private array $said;

    /**
     * @param  list<Line>  $lines
     * @param  Collection<int, Contact>  $contacts  who may be addressed
     * @param  list<string>  $facts
     */
    public function __construct(
        Offer $offer,
        public Account $account,
        private array $lines,
        private Collection $contacts,
        public ?Contact $contact,
        public array $facts,
        private Barred $barred,
    ) {
        $this->draft = Drafting::of($offer, $account->name, $contact, $lines, onlyFresh: true);
        $this->said = array_map(fn (Line $line): int => $line->signal->id, Drafting::restsOn($contact, $lines));
    }

    /** @return array<int|string, string> */
    public function people(): array
    {
        return ['' => 'nobody in particular'] + $this->contacts->mapWithKeys(fn (Contact $one): array => [
            $one->id => $one->name().($one->title === null ? '' : ", {$one->title}").' ('.Reach::of($one, $this->barred)->label().')',
        ])->all();
    }

    /** @return array<int|string, string> */
    public function kinds(): array
    {
        return ['' => 'not decided'] + Choices::of(ApproachKind::class);
    }

    /** @return list<array{line: Line, may: bool, ticked: bool, note: string}> what speaks for the account */
    public function signals(): array
    {
        $old = old('words') === null ? null : array_map(strval(...), (array) old('signals', []));

        return array_map(function (Line $line) use ($old): array {
            $may = $line->mayBeSaid() && $line->isFresh();

            return [
                'line' => $line, 'may' => $may,
                'ticked' => $old === null ? in_array($line->signal->id, $this->said, true) : in_array((string) $line->signal->id, $old, true),
                'note' => match (true) {
                    ! $line->kind->mayBeQuoted() => '· they would not expect us to know',
                    ! $line->isFresh() => '· no longer fresh',
                    default => '',
                },
            ];
        }, $this->offered());
    }

    public function isTicked(string $fact): bool
    {
        return in_array($fact, (array) old('facts', $this->offered() === [] ? [$this->facts[0] ?? ''] : []), true);
    }

    public function isEmpty(): bool
    {
        return $this->offered() === [] && $this->facts === [];
    }

    /** @return list<Line> */
    private function offered(): array
    {
        return array_values(array_filter($this->lines, fn (Line $line): bool => $line->push > 0));
    }
}
