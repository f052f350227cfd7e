<?php

declare(strict_types=1);

namespace App\Models;

use Luftig\Core\Reason\Limit;

/** How somebody was approached (rule 19). */
enum ApproachKind: string
{
    case Comment = 'comment';
    case Connect = 'connect';
    case Message = 'message';
    case Email = 'email';
    case Call = 'call';
    case Letter = 'letter';
    case AskIntroduction = 'ask_intro';

    /** How long its words may be; null: as long as one likes. */
    public function limit(): ?Limit
    {
        return Limit::of($this->value);
    }

    public function label(): string
    {
        return match ($this) {
            self::Comment => 'comment',
            self::Connect => 'connection',
            self::Message => 'message',
            self::Email => 'e-mail',
            self::Call => 'call',
            self::Letter => 'letter',
            self::AskIntroduction => 'ask for an introduction',
        };
    }
}
