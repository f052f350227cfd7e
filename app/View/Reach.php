<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Channel;
use App\Models\Contact;
use App\Standings\Barred;
use Carbon\CarbonImmutable;
use Luftig\Core\Priority\Access;
use Luftig\Core\Priority\ChannelType;

/** How a contact is reached: the best channel and what all of them are worth. */
final readonly class Reach
{
    private function __construct(public float $access, public ?Channel $best)
    {
    }

    public static function of(Contact $contact, Barred $barred): self
    {
        $now = CarbonImmutable::now();
        $best = null;
        $most = 0.0;
        $rules = [];
        foreach ($contact->channels as $channel) {
            if ($barred->address($channel->value) !== null) {
                continue;
            }
            $rules[] = $rule = $channel->asRule($now);
            if ($rule->worth() > $most) {
                [$best, $most] = [$channel, $rule->worth()];
            }
        }

        return new self(Access::of($rules)->value, $best);
    }

    public function label(): string
    {
        return match (true) {
            $this->best === null => 'no channel',
            $this->best->type === ChannelType::Email => 'e-mail, '.$this->best->state->label(),
            $this->best->type === ChannelType::Social => 'social, active',
            default => $this->best->type->label(),
        };
    }
}
