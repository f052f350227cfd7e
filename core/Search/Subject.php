<?php

declare(strict_types=1);

namespace Luftig\Core\Search;

/** What is searched for. */
enum Subject: string
{
    case Accounts = 'accounts';
    case Contacts = 'contacts';
}
