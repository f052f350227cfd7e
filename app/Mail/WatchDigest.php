<?php

declare(strict_types=1);

namespace App\Mail;

use App\Models\Watch;
use App\View\Lists\Digest;
use Carbon\CarbonImmutable;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;

/** Who is new on a watch, the first of them by name. */
final class WatchDigest extends Mailable implements ShouldQueue
{
    use Queueable;
    use SerializesModels;

    /**
     * @param  array<int, string>  $why  of those told by name, by their ids; not of all, who may be very many
     * @param  int  $count  of all
     */
    public function __construct(
        public readonly Watch $watch,
        public readonly array $why,
        public readonly int $count,
        public readonly CarbonImmutable $since,
    ) {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: $this->digest()->subject());
    }

    public function content(): Content
    {
        return new Content(text: 'mail.watch-digest', with: ['digest' => $this->digest()]);
    }

    private function digest(): Digest
    {
        return new Digest($this->watch, $this->why, $this->count, $this->since);
    }
}
