<?php

declare(strict_types=1);

namespace Luftig\Core\Person;

/** What a word does in a title beside naming a rank or function. */
enum Mark: string
{
    /** Joins two positions, or two functions of one. */
    case And = 'and';

    /** What follows is the employer. */
    case Employer = 'employer';

    /** The word for the head of a firm, unless a function is named beside it: directeur, directeur inkoop. */
    case Firm = 'firm';

    /** Belongs to a motto or a hobby; the part it stands in says nothing. */
    case Slogan = 'slogan';

    /** Understood, and says nothing. */
    case Nothing = 'nothing';
}
