<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Intake\FromSource;
use App\Intake\ReactionRows;
use App\Models\Account;
use App\Models\Candidate;
use App\Models\CandidateState;
use App\Models\User;
use App\Support\Together;
use Illuminate\Support\Facades\DB;

/** People who turned up in a source and are nobody's contacts. */
final class CandidatePeople
{
    /**
     * They become a contact of an account, and what they were seen doing counts.
     *
     * @return string|null why not, in a sentence
     */
    public static function accept(Candidate $candidate, Account $account, User $by): ?string
    {
        return Together::write(function () use ($candidate, $account, $by): ?string {
            $parts = preg_split('/\s+/u', trim($candidate->name)) ?: [''];
            $last = array_pop($parts);
            [$ledger, $why] = FromSource::contact("Candidates of {$by->name}", $account, array_filter([
                'first_name' => implode(' ', $parts), 'last_name' => (string) $last,
                'title' => (string) $candidate->title, 'profile' => $candidate->profile,
            ]));
            if ($ledger === null) {
                return $why;
            }
            (new ReactionRows)->store(self::deeds($candidate), $ledger);
            $ledger->write();
            $candidate->update(['state' => CandidateState::Accepted, 'user_id' => $by->id]);

            return null;
        }, $candidate);
    }

    public static function aside(Candidate $candidate, User $by): void
    {
        $candidate->update(['state' => CandidateState::Aside, 'user_id' => $by->id]);
    }

    /** @return array<int, array<string, mixed>> what they did, as rows of a file of reactions are read */
    private static function deeds(Candidate $candidate): array
    {
        return DB::table('candidate_deeds')->where('candidate_id', $candidate->id)->orderBy('id')->get()
            ->map(fn ($deed): array => [
                'profile' => $candidate->profile, 'link' => $deed->link, 'deed' => $deed->deed,
                'occurred_at' => $deed->occurred_at, 'topic' => $deed->topic, 'quote' => $deed->quote,
                'name' => $candidate->name, 'company' => $candidate->company, 'title' => $candidate->title,
                'source' => $deed->source, 'is_later' => false,
            ])->all();
    }
}
