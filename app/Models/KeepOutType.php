<?php

declare(strict_types=1);

namespace App\Models;

enum KeepOutType: string
{
    case Account = 'account';
    case Domain = 'domain';
    case Contact = 'contact';
    case Address = 'address';

    /** Every account whose words a text query finds (rule 11). */
    case Query = 'query';
}
