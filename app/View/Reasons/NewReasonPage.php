<?php

declare(strict_types=1);

namespace App\View\Reasons;

use App\Channels\Reach;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\ApproachKind;
use App\Models\Contact;
use App\Models\Offer;
use App\Network\CommonGround;
use App\Reasons\AngleUse;
use App\Reasons\Drafts;
use App\Reasons\Proposal;
use App\Reasons\StorySet;
use App\Standings\SignalLine;
use App\View\Choices;
use App\View\Typed;
use Illuminate\Support\Collection;

/** The form of a reason: to whom, in which words, and what these rest on. */
final readonly class NewReasonPage
{
    public Proposal $draft;

    /** @var list<int> signals that the words rest on */
    private array $said;

    /**
     * @param  list<SignalLine>  $lines
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
        private EntriesInForce $barred,
        ?string $angle = null,
    ) {
        CommonGround::load(collect(array_filter([$contact])));
        $this->draft = Drafts::of(
            $offer, $account, $contact, $lines, onlyFresh: true, angle: $angle,
            used: AngleUse::at([$account->id])[$account->id] ?? [],
        );
        $this->said = $this->draft->signals();
    }

    /** @return array<int|string, string> */
    public function people(): array
    {
        return ['' => 'nobody in particular'] + $this->contacts->mapWithKeys(fn (Contact $one): array => [
            $one->id => $one->name().($one->title === null ? '' : ", {$one->title}").' ('
                .Reach::of($one, $this->barred)->label().')',
        ])->all();
    }

    /** @return array<int, string> contact → how they are greeted */
    public function firstNames(): array
    {
        return $this->contacts->pluck('first_name', 'id')->all();
    }

    /** @return array<string, array{int, string}> kind of approach → how many of what its words may be */
    public function limits(): array
    {
        $limits = [];
        foreach (ApproachKind::cases() as $kind) {
            $limit = $kind->limit();
            if ($limit !== null) {
                $limits[$kind->value] = [$limit->most, $limit->unit()];
            }
        }

        return $limits;
    }

    /** @return array<int|string, string> */
    public function kinds(): array
    {
        return ['' => 'not decided'] + Choices::of(ApproachKind::class);
    }

    /** @return list<array{line: SignalLine, may: bool, ticked: bool, note: string}> what speaks for the account */
    public function signals(): array
    {
        $old = old('words') === null ? null : Typed::texts(old('signals', []));

        return array_map(function (SignalLine $line) use ($old): array {
            $may = $line->mayBeSaid() && $line->isFresh();

            return [
                'line' => $line, 'may' => $may,
                'ticked' => $old === null
                    ? in_array($line->signal->id, $this->said, true)
                    : in_array((string) $line->signal->id, $old, true),
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
        $said = match (true) {
            $this->draft->story !== null => [StorySet::fact($this->draft->story), ...$this->draft->facts],
            $this->draft->facts !== [] => $this->draft->facts,
            $this->offered() === [] => [$this->facts[0] ?? ''],
            default => [],
        };

        return in_array($fact, (array) old('facts', $said), true);
    }

    public function isEmpty(): bool
    {
        return $this->offered() === [] && $this->facts === [];
    }

    /** @return list<SignalLine> */
    private function offered(): array
    {
        return array_values(array_filter($this->lines, fn (SignalLine $line): bool => $line->push > 0));
    }
}
