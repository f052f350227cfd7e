<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\AskFactory;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A request for an introduction to a contact (rule 10).
 *
 * @property int $id
 * @property int $offer_id
 * @property int $contact_id to whom
 * @property int $user_id who asks
 * @property int|null $asked_user_id
 * @property int|null $asked_contact_id
 * @property int|null $approach_id as which it counts
 * @property list<string> $people names, from the one who asks to the contact
 * @property string $request
 * @property string $forward what can be passed on
 * @property AskState $state
 * @property string|null $answer
 * @property CarbonImmutable $asked_at
 * @property CarbonImmutable|null $answered_at
 * @property CarbonImmutable|null $remind_on
 * @property int $reminders
 * @property CarbonImmutable|null $reminded_at
 * @property CarbonImmutable|null $thanked_at
 * @property-read Contact $contact
 * @property-read User $user
 * @property-read User|null $askedUser
 * @property-read Contact|null $askedContact
 */
final class Ask extends Model
{
    /** @use HasFactory<AskFactory> */
    use HasFactory;

    /** Days for which somebody who was asked is spared. */
    public const LATELY = 30;

    protected $guarded = [];

    /** @var array<string, mixed> */
    protected $attributes = ['reminders' => 0];

    /** @var array<string, string> */
    protected $casts = [
        'people' => 'array', 'state' => AskState::class, 'asked_at' => 'datetime', 'answered_at' => 'datetime',
        'remind_on' => 'date', 'reminded_at' => 'datetime', 'thanked_at' => 'datetime',
    ];

    /** @return BelongsTo<Contact, $this> */
    public function contact(): BelongsTo
    {
        return $this->belongsTo(Contact::class);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    /** @return BelongsTo<User, $this> */
    public function askedUser(): BelongsTo
    {
        return $this->belongsTo(User::class, 'asked_user_id');
    }

    /** @return BelongsTo<Contact, $this> */
    public function askedContact(): BelongsTo
    {
        return $this->belongsTo(Contact::class, 'asked_contact_id');
    }

    public function introducer(): string
    {
        return $this->askedUser->name ?? $this->askedContact?->name() ?? 'somebody who is gone';
    }

    /** @return array<string, int> person, as a path names them → how often they were asked in the last 30 days */
    public static function lately(): array
    {
        $asked = [];
        foreach (
            self::query()->where('asked_at', '>=', now()->subDays(self::LATELY))
                ->get(['asked_user_id', 'asked_contact_id']) as $ask
        ) {
            $who = $ask->asked_user_id === null ? "c{$ask->asked_contact_id}" : "u{$ask->asked_user_id}";
            $asked[$who] = ($asked[$who] ?? 0) + 1;
        }

        return $asked;
    }
}
