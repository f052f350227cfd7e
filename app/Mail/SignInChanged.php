<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/** Something that somebody signs in with is another since a moment ago. */
final class SignInChanged extends Mailable implements ShouldQueue
{
    use Queueable;
    use SerializesModels;

    /**
     * @param  string  $what  as it goes on after “since then”
     * @param  string|null  $by  who did it, where it was not they themselves
     */
    public function __construct(
        public readonly User $user,
        public readonly string $what,
        public readonly ?string $by,
        public readonly CarbonImmutable $at,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: 'How you sign in to Luftig was changed');
    }

    public function content(): Content
    {
        return new Content(text: 'mail.sign-in-changed', with: [
            'when' => $this->at->setTimezone($this->user->time_zone)->format('j F Y, H:i'),
        ]);
    }
}
