<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Channels\Reach;
use App\Exports\MailFile;
use App\KeepOut\EntriesInForce;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Offer;
use App\Models\Reason;
use App\Reasons\Drafts;
use App\View\Reasons\ReasonPage;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Luftig\Core\Reach\ChannelType;

/** Words as a mail that any mail program opens. */
final class MailFileController extends Controller
{
    public function draft(Request $request, Offer $offer, Account $account): Response
    {
        $contact = $request->filled('contact')
            ? $account->contacts()->with('channels')->findOrFail($request->integer('contact')) : null;
        $draft = Drafts::for($offer, $account, $contact, self::text($request, 'angle')) ?? abort(404);

        return $this->file($request, $account, $contact, $draft->subject(), $draft->of('email')->text);
    }

    public function reason(Request $request, Reason $reason): Response
    {
        $reason->load('account', 'contact.channels');

        return $this->file($request, $reason->account, $reason->contact, ReasonPage::subject($reason), $reason->words);
    }

    private function file(
        Request $request,
        Account $account,
        ?Contact $contact,
        string $subject,
        string $body,
    ): Response {
        $barred = EntriesInForce::now();
        abort_if($barred->account($account->id, $account->domain) !== null
            || $contact !== null && $barred->contact($contact->id) !== null, 404);
        $to = $contact === null ? null : Reach::of($contact, $barred)->best(ChannelType::Email);
        $name = Str::slug($contact?->name() ?? $account->name) ?: 'mail';

        return response(MailFile::of(self::user($request), $to, $contact?->name() ?? '', $subject, $body))
            ->withHeaders([
                'Content-Type' => 'message/rfc822', 'Content-Disposition' => "attachment; filename=\"$name.eml\"",
                'Cache-Control' => 'private, no-store',
            ]);
    }
}
