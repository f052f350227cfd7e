<?php

declare(strict_types=1);

namespace App\Mail;

use App\Finder\Rows;
use App\Models\Watch;
use Carbon\CarbonImmutable;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Mail\Mailable;
use Illuminate\Mail\Mailables\Content;
use Illuminate\Mail\Mailables\Envelope;
use Illuminate\Queue\SerializesModels;
use Luftig\Core\Finder\Subject;

/** Who is new on a watch, the first of them by name. */
final class WatchDigest extends Mailable implements ShouldQueue
{
    use Queueable;
    use SerializesModels;

    private const NAMED = 20;

    /** @param  array<int, string>  $why  of each newcomer, by its id */
    public function __construct(public readonly Watch $watch, public readonly array $why, public readonly CarbonImmutable $since)
    {
    }

    public function envelope(): Envelope
    {
        return new Envelope(subject: "{$this->watch->name}: ".count($this->why).' new');
    }

    public function content(): Content
    {
        $ids = array_slice(array_keys($this->why), 0, self::NAMED);

        return new Content(text: 'mail.watch-digest', with: ['records' => Rows::of($this->watch->offer, Subject::from($this->watch->subject), $ids)->records]);
    }
}
