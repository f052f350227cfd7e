<?php

declare(strict_types=1);

namespace Luftig\Core\Reach;

/** A kind of approach that can come first, named as approaches are (rule 19). */
enum Step: string
{
    case Comment = 'comment';
    case Connect = 'connect';
    case Message = 'message';
    case Email = 'email';
    case Call = 'call';
    case Introduction = 'ask_intro';
}
