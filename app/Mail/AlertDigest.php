<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\User;
use App\View\Lists\AlertsDigest;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/** The signals of which somebody is told since the last of these mails. */
final class AlertDigest extends Mailable implements ShouldQueue
{
    use Queueable;
    use SerializesModels;

    /** So many are told one by one. */
    public const NAMED = 30;

    /**
     * @param  list<int>  $ids  of those told one by one
     * @param  int  $count  of all
     */
    public function __construct(
        public readonly User $user,
        public readonly array $ids,
        public readonly int $count,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->digest()->subject());
    }

    public function content(): Content
    {
        return new Content(text: 'mail.alert-digest', with: ['digest' => $this->digest()]);
    }

    private function digest(): AlertsDigest
    {
        return new AlertsDigest($this->user, $this->ids, $this->count);
    }
}
