<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** What somebody works on (rule 7). */
enum BusinessFunction: string
{
    case GeneralManagement = 'general_management';
    case Operations = 'operations';
    case SupplyChain = 'supply_chain';
    case Engineering = 'engineering';
    case Maintenance = 'maintenance';
    case Quality = 'quality';
    case It = 'it';
    case Data = 'data';
    case Finance = 'finance';
    case Procurement = 'procurement';
    case Sales = 'sales';
    case Marketing = 'marketing';
    case CustomerService = 'customer_service';
    case Hr = 'hr';
    case Legal = 'legal';
    case Sustainability = 'sustainability';
    case Product = 'product';
    case Research = 'research';
    case Administration = 'administration';
    case Clinical = 'clinical';
    case Teaching = 'teaching';
    case Hospitality = 'hospitality';
    case Trades = 'trades';
    case Delivery = 'delivery';

    /** Kept for functions that a team defines for itself; what they are called is known to whoever asks. */
    case Own1 = 'own_1';
    case Own2 = 'own_2';
    case Own3 = 'own_3';
    case Own4 = 'own_4';

    public function isOwn(): bool
    {
        return in_array($this, [self::Own1, self::Own2, self::Own3, self::Own4], true);
    }

    /** Its bit in a set of functions. */
    public function bit(): int
    {
        static $bits = [];

        return $bits[$this->value] ??= 1 << (int) array_search($this, self::cases(), true);
    }

    /** As it is written in words or in code: supply chain, supply_chain. */
    public static function named(string $name): ?self
    {
        return self::tryFrom(str_replace([' ', '-'], '_', strtolower(trim($name))));
    }

    /** @param  iterable<self>  $functions */
    public static function set(iterable $functions): int
    {
        $set = 0;
        foreach ($functions as $function) {
            $set |= $function->bit();
        }

        return $set;
    }

    /** @return list<self> */
    public static function in(int $set): array
    {
        return array_values(
            array_filter(self::cases(), static fn (self $function): bool => ($set & $function->bit()) !== 0),
        );
    }

    public function label(): string
    {
        return match ($this) {
            self::It => 'IT',
            self::Hr => 'HR',
            default => str_replace('_', ' ', $this->value),
        };
    }
}
