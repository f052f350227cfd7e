<?php

declare(strict_types=1);

namespace App\View\Reasons;

use App\KeepOut\EntriesInForce;
use App\Models\Approach;
use App\Models\ApproachKind;
use App\Models\Reason;
use App\Support\Format;
use App\View\Ways;
use Carbon\CarbonImmutable;
use Luftig\Core\Signal\Kind;

/** A reason with its evidence as it was, and what came of it. */
final readonly class ReasonPage
{
    private const OF_SUBJECT = 7;

    /** @param  array<string, mixed>  $evidence  as it was frozen */
    private function __construct(public Reason $reason, private array $evidence, public ?Ways $ways)
    {
    }

    public static function of(Reason $reason): self
    {
        $barred = EntriesInForce::now();
        $isOut = $barred->account($reason->account_id, $reason->account->domain) !== null
            || $reason->contact_id !== null && $barred->contact($reason->contact_id) !== null;

        return new self(
            $reason,
            $reason->evidence,
            $isOut ? null : Ways::byReason($reason, self::subject($reason), $barred),
        );
    }

    public function account(): string
    {
        return $this->evidence['account']['name'];
    }

    public function about(): string
    {
        $to = $this->evidence['contact'];

        return Format::line(
            $to === null ? 'nobody in particular' : implode(', ', array_filter([$to['name'], $to['title']])),
            $this->reason->channel === null ? null : 'by '.ApproachKind::from($this->reason->channel)->label(),
            $this->reason->user->name
                .($this->reason->created_at === null ? '' : ', '.Format::ago($this->reason->created_at)),
        );
    }

    public function isUsed(): bool
    {
        return $this->reason->approaches->isNotEmpty();
    }

    public function isExpired(): bool
    {
        return ! $this->isUsed() && $this->reason->isExpired();
    }

    public function isReady(): bool
    {
        return ! $this->isUsed() && ! $this->reason->isExpired();
    }

    public function back(): string
    {
        return route('reasons.index', [
            'state' => $this->isUsed() ? 'used' : ($this->isExpired() ? 'expired' : 'ready'),
        ]);
    }

    public function expired(): string
    {
        return $this->reason->isStruck() ? 'No longer good' : 'Expired on '.Format::day($this->reason->expires_on);
    }

    public function why(): string
    {
        return $this->reason->isStruck() ? 'what it rests on was struck out since.'
            : 'what it rests on is no longer fresh, or the act-by day has come.';
    }

    public function until(): string
    {
        return 'Good until '.Format::weekday($this->reason->expires_on->subDay()).'.';
    }

    /**
     * @return array<int, array{approach: Approach, title: string, next: string|null, result: string|null,
     *     after: string}>
     */
    public function approaches(): array
    {
        return $this->reason->approaches->map(fn (Approach $approach): array => [
            'approach' => $approach,
            'title' => ucfirst($approach->kind->label()).', '.Format::ago($approach->made_at).', '
                .($approach->user->name ?? 'somebody'),
            'next' => $approach->next_step === null ? null : $approach->next_step
                .($approach->next_step_on === null ? '' : ', '.Format::weekday($approach->next_step_on)),
            'result' => $approach->result?->label(),
            'after' => ($approach->later_on === null ? '' : ', '.Format::day($approach->later_on))
                .($approach->instead === null ? '' : ", rather {$approach->instead}"),
        ])->all();
    }

    public function frozen(): string
    {
        $standing = $this->evidence['standing'];

        return ($this->reason->created_at === null ? '' : Format::date($this->reason->created_at).': ')
            .($standing['priority'] === null ? '' : 'priority '.Format::priority((float) $standing['priority']).', ')
            .'Fit '.Format::part((float) $standing['fit']).', Access '.Format::part((float) $standing['access']);
    }

    /** @return array<int, array{title: string, about: string, link: string|null, quote: string|null}> */
    public function signals(): array
    {
        return array_map(fn (array $signal): array => [
            'title' => $signal['title'], 'link' => $signal['link'], 'quote' => $signal['quote'],
            'about' => Format::line(
                Kind::from($signal['kind'])->label(),
                Format::date(CarbonImmutable::parse($signal['occurred_at'])),
                $signal['source'],
                'freshness '.Format::part((float) $signal['freshness']).', fresh until '
                    .Format::day(CarbonImmutable::parse($signal['fresh_until'])->subDay()),
            ),
        ], $this->evidence['signals']);
    }

    /** @return list<string> */
    public function facts(): array
    {
        return array_values(array_map(ucfirst(...), $this->evidence['facts']));
    }

    /** What a mail with its words would be about. */
    public static function subject(Reason $reason): string
    {
        $title = (string) ($reason->evidence['signals'][0]['title'] ?? '');
        $words = preg_split('/\s+/u', $title, -1, PREG_SPLIT_NO_EMPTY) ?: [];

        return $words === [] || count($words) > self::OF_SUBJECT ? "A question to {$reason->account->name}" : $title;
    }
}
