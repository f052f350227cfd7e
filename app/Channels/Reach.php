<?php

declare(strict_types=1);

namespace App\Channels;

use App\KeepOut\EntriesInForce;
use App\Models\Channel;
use App\Models\Contact;
use Carbon\CarbonImmutable;
use Luftig\Core\Reach\Access;
use Luftig\Core\Reach\Channel as Rule;
use Luftig\Core\Reach\ChannelType;

/** How a contact is reached: the best channel and what all of them are worth. */
final readonly class Reach
{
    /**
     * @param  array<string, Channel>  $byType  the best of each type
     * @param  list<Rule>  $rules  all that may be used
     */
    private function __construct(
        public float $access,
        public ?Channel $best,
        private array $byType,
        public float $intro,
        public array $rules,
    ) {
    }

    public static function of(Contact $contact, EntriesInForce $barred): self
    {
        $now = CarbonImmutable::now();
        $best = null;
        $most = 0.0;
        $rules = [];
        $byType = [];
        $worths = [];
        foreach ($contact->channels as $channel) {
            if ($barred->address($channel->value) !== null) {
                continue;
            }
            $rules[] = $rule = $channel->asRule($now);
            $worth = $rule->worth();
            if ($worth > $most) {
                [$best, $most] = [$channel, $worth];
            }
            $type = $channel->type->value;
            if ($worth > ($worths[$type] ?? 0.0)) {
                [$byType[$type], $worths[$type]] = [$channel, $worth];
            }
        }

        return new self(
            Access::of($rules, $contact->intro ?? 0.0)->value, $best, $byType, $contact->intro ?? 0.0, $rules,
        );
    }

    /** The best address, number or profile of a type; null: there is none that works and may be used. */
    public function best(ChannelType $type): ?string
    {
        return ($this->byType[$type->value] ?? null)?->value;
    }

    /** Whether a number of their own is known. */
    public function isDirect(): bool
    {
        return ($this->byType[ChannelType::DirectPhone->value] ?? null)?->isDirect() ?? false;
    }

    /** The best of a type with its state. */
    public function labelOf(ChannelType $type): string
    {
        return ($this->byType[$type->value] ?? null)?->label() ?? $type->label();
    }

    public function label(): string
    {
        return match (true) {
            $this->best === null => $this->intro > 0 ? 'through one of us' : 'no channel',
            $this->best->type === ChannelType::Email => $this->best->label(),
            $this->best->type === ChannelType::Social => 'social, active',
            $this->best->type === ChannelType::DirectPhone && ! $this->best->isDirect() => 'switchboard',
            default => $this->best->type->label(),
        };
    }
}
