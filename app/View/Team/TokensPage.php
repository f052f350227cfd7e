<?php

declare(strict_types=1);

namespace App\View\Team;

use App\Models\User;
use App\Support\Format;
use Laravel\Sanctum\PersonalAccessToken;

/** The tokens of somebody, and what each may do until when. */
final readonly class TokensPage
{
    /** @param  array<string, string>  $scopes  what there is to be allowed */
    public function __construct(private User $user, private array $scopes)
    {
    }

    /** @return list<array{id: int, name: string, says: string}> the newest first */
    public function tokens(): array
    {
        return array_values($this->user->tokens()->orderByDesc('id')->get()
            ->map(fn (PersonalAccessToken $token): array => [
                'id' => (int) $token->getKey(), 'name' => $token->name, 'says' => $this->says($token),
            ])->all());
    }

    private function says(PersonalAccessToken $token): string
    {
        $until = $token->expires_at?->toImmutable();

        return Format::line(
            implode('; ', array_intersect_key($this->scopes, array_flip($token->abilities ?? []))),
            match (true) {
                $until === null => 'holds until you end it',
                $until->isPast() => 'has ended',
                default => 'holds until '.Format::date($until),
            },
            $token->last_used_at === null ? 'never used' : 'used '.Format::ago($token->last_used_at->toImmutable()),
        );
    }
}
