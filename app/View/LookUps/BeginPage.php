<?php

declare(strict_types=1);

namespace App\View\LookUps;

use App\LookUps\Outlook;
use App\LookUps\Spending;
use App\LookUps\Wanted;
use App\Models\LookUpService;
use App\Models\User;
use App\Support\Format;

/** What a run would be, before it is begun: how many, what it takes at most, what is to be expected. */
final readonly class BeginPage
{
    private function __construct(
        public string $name,
        public ?int $list,
        public Wanted $wanted,
        public Outlook $outlook,
        public float $left,
        public ?float $least,
    ) {
    }

    public static function of(User $user, string $name, ?int $list, Wanted $wanted, ?float $least): self
    {
        return new self(
            $name, $list, $wanted, Outlook::of($wanted->contacts), Spending::leftTo($user), $least,
        );
    }

    public function says(): string
    {
        if ($this->outlook->people === 0) {
            return 'There is nobody here to ask for.';
        }

        return Format::count($this->outlook->people, 'person', 'people').' would be asked for. It takes at most '
            .Format::count((int) ceil($this->outlook->most), 'credit').'; by how services did so far, some '
            .Format::number((int) round($this->outlook->cost)).' for some '
            .Format::count((int) round($this->outlook->found), 'address', 'addresses').'. What was asked in the last '
            .'half year is not paid again.';
    }

    /** Why it cannot begin; null: it can. */
    public function obstacle(): ?string
    {
        return match (true) {
            $this->outlook->people === 0 => '',
            LookUpService::query()->that(LookUpService::FINDS)->doesntExist() => 'No service is asked at present; a '
                .'lead adds one under Look-ups.',
            $this->left <= 0 => 'Nothing is left to spend this month; a lead sets the budget under Look-ups.',
            default => null,
        };
    }

    /** @return list<string> who is not asked for, and why */
    public function others(): array
    {
        $others = [];
        foreach ($this->wanted->others as $why => $many) {
            $others[] = Format::number($many).' '.$why;
        }

        return $others;
    }

    public function order(): string
    {
        $order = LookUpService::query()->that(LookUpService::FINDS)->pluck('name')->all();
        $checker = LookUpService::query()->that(LookUpService::CHECKS)->first();

        return implode(', then ', $order).($checker === null ? '; nobody checks what they find'
            : "; what they find {$checker->name} checks");
    }

    public function proposedMost(): string
    {
        return Format::worth(min($this->left, ceil($this->outlook->most)));
    }

    /** @return list<int> */
    public function contacts(): array
    {
        return array_map(fn ($one): int => $one->id, $this->wanted->contacts);
    }
}
