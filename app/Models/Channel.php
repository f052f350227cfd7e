<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Database\Factories\ChannelFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Luftig\Core\Reach\AddressState;
use Luftig\Core\Reach\Channel as Rule;
use Luftig\Core\Reach\ChannelType;

/**
 * A way to reach a contact, with its state.
 *
 * @property int $id
 * @property int $contact_id
 * @property ChannelType $type
 * @property string $value
 * @property AddressState $state
 * @property float|null $chance
 * @property CarbonImmutable|null $active_at
 * @property string|null $source of which service it is
 * @property CarbonImmutable|null $checked_at
 */
final class Channel extends Model
{
    /** @use HasFactory<ChannelFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'active_at' => 'datetime', 'checked_at' => 'datetime', 'type' => ChannelType::class,
        'state' => AddressState::class,
    ];

    /** What it is, with what is known of it. */
    public function label(): string
    {
        return $this->type->label().match (true) {
            $this->type === ChannelType::Email => ', '.$this->state->label(),
            $this->type !== ChannelType::DirectPhone => '',
            $this->state === AddressState::Shared => ' that several here have, so the switchboard',
            $this->state->isDead() => ', dead',
            default => '',
        };
    }

    /** A number of their own. */
    public function isDirect(): bool
    {
        return $this->type === ChannelType::DirectPhone && $this->state !== AddressState::Shared;
    }

    /** What the core takes it for at a moment. */
    public function asRule(CarbonInterface $now): Rule
    {
        return new Rule(
            $this->type,
            $this->state,
            $this->chance,
            $this->active_at === null ? null : max(0, $this->active_at->diffInSeconds($now) / 86400),
        );
    }
}
