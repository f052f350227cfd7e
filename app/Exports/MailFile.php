<?php

declare(strict_types=1);

namespace App\Exports;

use App\Models\User;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;

/** A mail that is written and not sent (RFC 5322): mail programs open it, ready to be sent. */
final class MailFile
{
    /** @param  string|null  $to  null: no address is known that works */
    public static function of(User $from, ?string $to, string $name, string $subject, string $body): string
    {
        $mail = (new Email)->subject($subject)->text($body);
        if ($from->email !== null) {
            $mail->from(new Address($from->email, $from->name));
        }
        if ($to !== null) {
            $mail->to(new Address($to, $name));
        }
        $mail->getHeaders()->addTextHeader('X-Unsent', '1');

        // Without a sender there is nothing that could be sent, and a draft needs none.
        return $mail->getHeaders()->toString().$mail->getBody()->toString();
    }
}
