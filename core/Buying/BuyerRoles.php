<?php

declare(strict_types=1);

namespace Luftig\Core\Buying;

use Luftig\Core\Person\Title;

/** The buyer roles of an offer, asked many times: what was asked before is remembered. */
final class BuyerRoles
{
    private const REMEMBERED = 50_000;

    private readonly bool $looksAtWords;

    /** @var array<string, RoleOfContact|null> */
    private array $known = [];

    /** @param  list<BuyerRole>  $roles */
    public function __construct(public readonly array $roles)
    {
        $this->looksAtWords = array_filter($roles, static fn (BuyerRole $role): bool => $role->looksAtWords()) !== [];
    }

    public function areDefined(): bool
    {
        return $this->roles !== [];
    }

    /**
     * @param  int  $reading  of the title (Title::packed)
     * @param  string  $text  the title as it is written
     */
    public function of(
        int $reading,
        string $text,
        ?string $country,
        ?int $headcount,
        bool $association = false,
    ): ?RoleOfContact {
        $key = $reading.($association ? 'a' : '-').Authority::sizeClass($headcount)
            .($this->looksAtWords ? $country.'|'.$text : '');
        if (! array_key_exists($key, $this->known)) {
            if (count($this->known) >= self::REMEMBERED) {
                $this->known = [];
            }
            $this->known[$key] = RoleOfContact::best(
                $this->roles, Title::unpacked($reading), $text, $country, $headcount, $association,
            );
        }

        return $this->known[$key];
    }
}
