<?php

declare(strict_types=1);

namespace App\Reasons;

use App\Models\Story;
use App\Standings\SignalLine;
use Luftig\Core\Reason\Words;

/** What to say to somebody, by the angle that is proposed: in one line for the rep, and in words for each approach. */
final readonly class Proposal
{
    /**
     * @param  array<string, string>  $templates  words by kind of approach, in one language
     * @param  array<string, string>  $slots
     * @param  list<SignalLine>  $restsOn
     * @param  list<string>  $others  angles that hold besides, the heaviest first
     * @param  Story|null  $story  that the angle rests on
     * @param  list<string>  $facts  what they have in common with one of us, as far as it rests on that
     */
    public function __construct(
        public string $angle,
        private string $say,
        public string $language,
        private array $templates,
        private array $slots,
        public array $restsOn,
        public array $others = [],
        public ?Story $story = null,
        public array $facts = [],
    ) {
    }

    /** @param  list<string>  $others  angles that hold besides, the heaviest first */
    public function beside(array $others): self
    {
        return new self(
            $this->angle, $this->say, $this->language, $this->templates, $this->slots, $this->restsOn, $others,
            $this->story, $this->facts,
        );
    }

    /** What to say, as a rep would note it for herself. */
    public function headline(): string
    {
        return ucfirst(Words::of('message', $this->say, $this->slots)->text);
    }

    /** A message, which is what most ways can carry. */
    public function words(): string
    {
        return $this->of('message')->text;
    }

    /** Of a mail: what it is about. */
    public function subject(): string
    {
        return $this->of('email')->subject ?? '';
    }

    /** Words for one kind of approach; what has none of its own is a message. */
    public function of(string $approach): Words
    {
        $message = $this->templates['message'];
        $template = match (true) {
            isset($this->templates[$approach]) => $this->templates[$approach],
            $approach === 'email' => "Subject: {$this->templates['subject']}\n\n$message",
            default => $message,
        };

        return Words::of($approach, $template, $this->slots);
    }

    /** What to say on the phone and to ask, where the angle has words for it. */
    public function callSheet(): ?string
    {
        $call = isset($this->templates['call']) ? $this->of('call') : null;

        return $call === null || $call->open !== [] ? null : $call->text;
    }

    /** Of what is said how it reads, plainly. */
    public function reads(): string
    {
        $reads = $this->of('message')->reads();

        $questions = $reads['questions'] === 1 ? 'one question' : "{$reads['questions']} questions";

        return "{$reads['words']} words, $questions, read in {$reads['seconds']} s";
    }

    /** @return list<int> */
    public function signals(): array
    {
        return array_map(fn (SignalLine $line): int => $line->signal->id, $this->restsOn);
    }
}
