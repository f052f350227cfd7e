<?php

declare(strict_types=1);

// Without a mail server of one's own, mails are written to storage/logs/mail.log. MAIL_MAILER=smtp and MAIL_HOST send
// them.
return [
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'luftig@localhost'), 'name' => env('MAIL_FROM_NAME', 'Luftig')],
    'mailers' => ['log' => ['transport' => 'log', 'channel' => env('MAIL_LOG_CHANNEL', 'mail')]],
];
