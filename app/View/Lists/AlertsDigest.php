<?php

declare(strict_types=1);

namespace App\View\Lists;

use App\Models\AlertedSignal;
use App\Models\User;
use App\Support\Format;

/** What came in, as a mail tells it: by account, the newest first. */
final readonly class AlertsDigest
{
    /** @param  list<int>  $ids  of those told one by one */
    public function __construct(private User $user, private array $ids, private int $count)
    {
    }

    public function subject(): string
    {
        return 'Luftig: '.Format::count($this->count, 'new signal');
    }

    /** @return list<array{name: string, signals: list<array{says: string, url: string}>}> */
    public function accounts(): array
    {
        $accounts = [];
        foreach (AlertedSignal::query()->told($this->user)->whereKey($this->ids)->get() as $one) {
            if ($one->signal !== null) {
                $accounts[$one->signal->account->name][] = [
                    'says' => $one->signal->title.', '.Format::date($one->signal->occurred_at),
                    'url' => route('signals.show', $one->signal),
                ];
            }
        }

        return array_map(
            fn (int|string $name, array $signals): array => ['name' => (string) $name, 'signals' => $signals],
            array_keys($accounts),
            array_values($accounts),
        );
    }

    public function more(): int
    {
        return max(0, $this->count - count($this->ids));
    }
}
