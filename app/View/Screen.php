<?php

declare(strict_types=1);

namespace App\View;

use App\Models\User;
use App\Standings\FirstSteps;

/** The screens, in the order of the navigation; the last ones stand behind the initials. */
enum Screen: string
{
    case Today = 'today';
    case Accounts = 'accounts';
    case Contacts = 'contacts';
    case Finder = 'finder';
    case Lists = 'lists';
    case Network = 'network';
    case Reasons = 'reasons';
    case Results = 'results';
    case Intake = 'intake';
    case UnderWay = 'under-way';
    case LookUps = 'look-ups';
    case KeepOut = 'keep-out';
    case Alerts = 'alerts';
    case Pace = 'pace';
    case Rules = 'rules';
    case Team = 'team';
    case Begin = 'begin';

    private const BEHIND_INITIALS = [
        self::Intake, self::UnderWay, self::LookUps, self::KeepOut, self::Alerts, self::Pace, self::Rules, self::Team,
        self::Begin,
    ];

    public function label(): string
    {
        return match ($this) {
            self::KeepOut => 'Keep-out',
            self::UnderWay => 'Under way',
            self::LookUps => 'Look-ups',
            self::Alerts => 'My alerts',
            self::Pace => 'My pace, my password',
            self::Begin => 'First steps',
            default => ucfirst($this->value),
        };
    }

    public function path(): string
    {
        return $this === self::Today ? '/' : '/'.$this->value;
    }

    /** The letter after G that goes there. */
    public function key(): string
    {
        return match ($this) {
            self::Alerts => 'm',
            self::UnderWay => 'w',
            self::LookUps => 'o',
            self::Results => 's',
            self::Rules => 'u',
            self::Team => 'e',
            default => $this->value[0],
        };
    }

    /** @return list<self> */
    public static function navigation(): array
    {
        return array_values(
            array_udiff(self::cases(), self::BEHIND_INITIALS, fn (self $a, self $b): int => $a->value <=> $b->value),
        );
    }

    /** @return list<self> behind the initials of somebody */
    public static function menu(User $user): array
    {
        return array_values(array_filter(self::BEHIND_INITIALS, fn (self $one): bool => $one->isFor($user)));
    }

    /** @return list<self> */
    public static function all(User $user): array
    {
        return [...self::navigation(), ...self::menu($user)];
    }

    private function isFor(User $user): bool
    {
        return match ($this) {
            self::Rules, self::Team => $user->leads(),
            self::Begin => $user->leads() && FirstSteps::areLeft(),
            default => true,
        };
    }
}
