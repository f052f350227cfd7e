<?php

declare(strict_types=1);

namespace Luftig\Core\Company;

/** Whether two records are of one company. What is unsure, a person decides. */
enum Verdict: string
{
    case Same = 'same';
    case Unsure = 'unsure';
    case Separate = 'separate';
}
