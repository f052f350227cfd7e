<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Models\ItemState;
use Carbon\CarbonImmutable;
use stdClass;

/** An item as it is kept, to be understood; and what becomes of it. */
final class Brought
{
    public ?ItemState $state = null;

    public ?string $why = null;

    public ?int $account = null;

    /** Whether nothing of it may be kept: it is of somebody who asked to be erased. */
    public bool $isForgotten = false;

    /** What shows that whoever seeks is an agency. */
    public ?string $agency = null;

    /** @param  array<string, mixed>  $facts */
    private function __construct(
        public readonly int $id,
        public readonly string $title,
        public readonly ?string $link,
        public readonly CarbonImmutable $at,
        public readonly array $facts,
        public readonly bool $isGone,
        public readonly ?int $accountBefore,
    ) {
    }

    public static function of(stdClass $row): self
    {
        return new self(
            $row->id,
            $row->title,
            $row->link,
            CarbonImmutable::parse($row->at ?? $row->seen_at, 'UTC'),
            json_decode($row->facts, true),
            $row->gone_at !== null,
            $row->account_id,
        );
    }

    public function forget(): void
    {
        $this->isForgotten = true;
        $this->becomes(ItemState::Dropped, 'This person asked to be erased, and is not kept.');
    }

    public function becomes(ItemState $state, ?string $why = null, ?int $account = null): void
    {
        $this->state = $state;
        $this->why = $why === null ? null : mb_strimwidth($why, 0, 255, '…');
        $this->account = $account;
    }
}
