<?php

declare(strict_types=1);

namespace Luftig\Core\Reason;

use Luftig\Core\Signal\Kind;

/**
 * A plain sentence from the strongest signals (rule 19). It quotes nothing that the other side would not expect us to
 * know, and has no words that tell time, so that it is as true on the day of use as on the day of writing.
 */
final readonly class Draft
{
    /** Where the offer has none of its own. */
    private const QUESTION = 'May I ask who looks after that with you?';

    private const WORDS_OF_SUBJECT = 7;

    /** @param  list<Evidence>  $evidence what it speaks of, the strongest first; at most two */
    private function __construct(
        private string $account,
        private ?string $addressee,
        private array $evidence,
        private string $question,
    ) {
    }

    /**
     * @param  list<Evidence>  $evidence  the strongest first
     * @param  string|null  $addressee  first name
     * @param  string|null  $question  what the offer would ask, as a sentence
     */
    public static function of(string $account, ?string $addressee, array $evidence, ?string $question = null): self
    {
        $kinds = [];
        foreach ($evidence as $one) {
            if ($one->kind->mayBeQuoted()) {
                $kinds[$one->kind->value] ??= $one;
            }
        }

        return new self($account, $addressee, array_slice(array_values($kinds), 0, 2), $question ?? self::QUESTION);
    }

    /** What to say, as a rep would note it for herself. */
    public function headline(): string
    {
        return ucfirst($this->evidence === [] ? 'begin with what they do' : $this->advice($this->evidence[0]));
    }

    public function words(): string
    {
        $hello = Greeting::of($this->addressee);
        if ($this->evidence === []) {
            return "$hello what you do is close to what we know well. {$this->question}";
        }
        $seen = implode(', and ', array_map($this->mention(...), $this->evidence));

        return "$hello $seen. {$this->question}";
    }

    /** Of a mail: what it is about, at most seven words (rule 21). */
    public function subject(): string
    {
        $title = $this->evidence[0]->title ?? '';
        $words = preg_split('/\s+/u', $title, -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return $words === [] || count($words) > self::WORDS_OF_SUBJECT ? "A question to {$this->account}" : $title;
    }

    private function advice(Evidence $evidence): string
    {
        $whose = $evidence->isAddressee ? 'their' : ($evidence->person ?? 'somebody').'’s';

        return match ($evidence->kind) {
            Kind::Funding => "ask what the new money will change: {$evidence->title}",
            Kind::Hiring => "offer relief until it is filled: {$evidence->title}",
            Kind::Growth => "ask what grows along with it: {$evidence->title}",
            Kind::Decline => 'ask what fewer hands have to manage now',
            Kind::NewLeader => $evidence->isAddressee
                ? 'ask what they found on taking over'
                : "ask what changes now: {$evidence->title}",
            Kind::Promotion => "congratulate on $whose new position",
            Kind::CustomerAlum => 'speak of the customer they came from',
            Kind::LeadershipChange => 'ask what the new management looks at first',
            Kind::TechAdopted => "offer what completes it: {$evidence->title}",
            Kind::TechDropped => "ask what takes its place: {$evidence->title}",
            Kind::PostEngagement => $evidence->isAddressee
                ? 'answer what they said under the post'
                : "take up $whose remark under the post",
            Kind::News => "take up what the press wrote: {$evidence->title}",
            Kind::Expansion => "ask about the new capacity: {$evidence->title}",
            Kind::HiringFreeze => 'speak of what can be done without new hands',
            Kind::RivalSigned => 'leave the door open for a second opinion',
            Kind::OwnEngagement, Kind::TopicInterest => 'begin with what they do',
        };
    }

    private function mention(Evidence $evidence): string
    {
        $what = '“'.$evidence->title.'”';

        return match ($evidence->kind) {
            Kind::Funding, Kind::News, Kind::Expansion, Kind::HiringFreeze => "I read of {$this->account}: $what",
            Kind::Hiring => "I saw what you are looking for: $what",
            Kind::NewLeader,
            Kind::Promotion => $evidence->isAddressee
                ? 'congratulations on the new position'
                : "I saw that there is a new face with you: $what",
            Kind::CustomerAlum => $evidence->isAddressee
                ? 'we may have met where you worked before'
                : 'one of you knows us from a former employer',
            Kind::PostEngagement => $evidence->isAddressee
                ? 'what you said under the post stayed with me'
                : "I came across a remark from your house: $what",
            default => "I noticed: $what",
        };
    }
}
