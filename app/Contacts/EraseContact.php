<?php

declare(strict_types=1);

namespace App\Contacts;

use App\Lists\Belongings;
use App\Models\Approach;
use App\Models\Ask;
use App\Models\Contact;
use App\Models\Erasure;
use App\Models\KeepOut;
use App\Models\Reason;
use App\Models\Relation;
use App\Models\Signal;
use App\Models\User;
use App\Support\AccountIds;
use App\Support\KeptPages;
use App\Support\Like;
use App\Support\LogBook;
use App\Support\Together;
use Illuminate\Support\Facades\DB;

/** What is known of a person, and its erasure. */
final class EraseContact
{
    /** @return array<string, mixed> everything that is kept of a person, to be given to them */
    public static function known(Contact $contact): array
    {
        $contact->load('account', 'channels', 'positions.account');

        return [
            'name' => $contact->name(), 'account' => $contact->account->name, 'title' => $contact->title,
            'about' => $contact->about, 'interests' => $contact->interests, 'city' => $contact->city,
            'country' => $contact->country, 'profile' => $contact->profile, 'source' => $contact->source,
            'seen_at' => $contact->seen_at?->toIso8601ZuluString(),
            'channels' => $contact->channels->map(
                fn ($channel): array => [
                    'type' => $channel->type->value,
                    'value' => $channel->value,
                    'state' => $channel->state->value,
                ],
            )
                ->all(),
            'positions' => $contact->positions->map(fn ($position): array => [
                'title' => $position->title,
                'company' => $position->account->name ?? $position->company,
                'since' => $position->since?->toDateString(),
                'until' => $position->until?->toDateString(),
            ])
                ->all(),
            'languages, schools, associations' => DB::table('affiliations')->where('contact_id', $contact->id)
                ->get(['kind', 'name'])->all(),
            'known_by' => Relation::query()->with('user')
                ->where('contact_id', $contact->id)
                ->get()
                ->map(
                    fn (Relation $relation): array => [
                        'who' => $relation->user->name,
                        'since' => $relation->since?->toDateString(),
                        'exchanges' => $relation->exchanges,
                        'last_exchange' => $relation->last_exchange?->toDateString(),
                        'source' => $relation->source,
                    ],
                )
                ->all(),
            'lists' => DB::table('list_members')->join('lists', 'lists.id', '=', 'list_id')
                ->where('subject', 'contacts')->where('record_id', $contact->id)->pluck('name')->all(),
            'tags' => DB::table('taggings')->join('tags', 'tags.id', '=', 'tag_id')->where('subject', 'contacts')
                ->where('record_id', $contact->id)->pluck('name')->all(),
            'signals' => Signal::query()
                ->where('contact_id', $contact->id)
                ->get()
                ->map(
                    fn (Signal $signal): array => [
                        'kind' => $signal->kind->value, 'day' => $signal->occurred_at->toDateString(),
                        'what' => $signal->title, 'quote' => $signal->quote, 'source' => $signal->source,
                    ],
                )
                ->all(),
            'notes' => $contact->notes->pluck('text')->all(),
            'introductions asked for' => Ask::query()->where('contact_id', $contact->id)
                ->orWhere('asked_contact_id', $contact->id)->orderBy('id')
                ->get(['people', 'request', 'forward', 'state', 'answer', 'asked_at'])->toArray(),
            'asked of services' => DB::table('look_ups')->where('contact_id', $contact->id)
                ->get(['value', 'verdict', 'asked_at'])->all(),
            'candidate' => DB::table('candidates')->where('profile', $contact->profile)
                ->get(['profile', 'name', 'company', 'title'])->all(),
            'reasons' => Reason::query()->where('contact_id', $contact->id)
                ->get()
                ->map(
                    fn (Reason $reason): array => [
                        'day' => $reason->created_at?->toDateString(),
                        'words' => $reason->words,
                    ],
                )
                ->all(),
            'approaches' => Approach::query()
                ->where('contact_id', $contact->id)
                ->get()
                ->map(
                    fn (Approach $approach): array => [
                        'day' => $approach->made_at->toDateString(),
                        'kind' => $approach->kind->value,
                        'result' => $approach->result?->value,
                    ],
                )
                ->all(),
            'keep_out' => KeepOut::query()->where('contact_id', $contact->id)->pluck('reason')->all(),
        ];
    }

    /**
     * Removes the person from everything that is kept: also from evidence, notes, the log, and rows of files that were
     * not taken. Approaches stay as numbers, without the person. A fingerprint keeps later files from bringing them
     * back.
     */
    public static function erase(Contact $contact, User $by): void
    {
        $contact->load('account', 'channels');
        Together::write(function () use ($contact, $by): void {
            $people = Contact::query()->with('channels')->whereKey($contact->id)->orWhere('merged_into', $contact->id)
                ->get();
            $addresses = $people->flatMap(fn (Contact $one): array => [
                ...$one->channels->whereIn('type.value', ['email', 'social'])->pluck('value')->all(),
                $one->profile,
            ])
                ->filter()
                ->unique()
                ->all();
            foreach ($people as $one) {
                foreach (
                    Fingerprints::of(
                        (string) $contact->account->domain, $one->first_name, $one->last_name, array_values($addresses),
                    ) as $fingerprint
                ) {
                    Erasure::query()->firstOrCreate(['fingerprint' => $fingerprint], ['user_id' => $by->id]);
                }
            }
            $ids = $people->modelKeys();
            $names = $people->map(fn (Contact $one): array => [(string) $one->first_name, (string) $one->last_name])
                ->unique()->values()->all();
            $forgetting = new ForgetNames($names, array_values($addresses));
            $forgetting->greetings($ids);
            self::forget(
                $ids,
                $addresses,
                $contact->account->domain,
                $people->map(fn (Contact $one): string => $one->name())->unique()->all(),
            );
            LogBook::whileErasing($forgetting->everywhere(...));
            AccountIds::markStale([$contact->account_id]);
            DB::table('doubles')->where('record', 'contact')
                ->where(fn ($either) => $either->whereIn('first_id', $ids)->orWhereIn('second_id', $ids))->delete();
            DB::table('contacts')->whereIn('id', $ids)->delete();
            activity()->causedBy($by)->log('a person was erased on request');
        }, $contact);
        DB::afterCommit(KeptPages::forget(...));
    }

    /**
     * @param  array<int>  $ids
     * @param  array<string>  $addresses
     * @param  string|null  $domain  where they are
     * @param  array<string>  $names  whole names
     */
    private static function forget(array $ids, array $addresses, ?string $domain, array $names): void
    {
        Signal::query()->whereIn('contact_id', $ids)->delete();
        DB::table('candidates')->whereIn('profile', $addresses)->delete();
        Relation::query()->whereIn('contact_id', $ids)->orWhereIn('email', $addresses)->orWhereIn('profile', $addresses)
            ->orWhere(
                fn ($there) => $there->whereIn('person', $names)->whereNotNull('domain')->where('domain', $domain),
            )
            ->delete();
        Belongings::remove('contacts', $ids);
        KeepOut::query()->whereIn('contact_id', $ids)->delete();
        KeepOut::query()->where('type', 'address')->whereIn('value', $addresses)->delete();
        LogBook::whileErasing(fn (): int => DB::table('activity_log')->where('subject_type', Contact::class)
            ->whereIn('subject_id', $ids)->delete());
        DB::table('intake_changes')->where('record', 'contact')->whereIn('record_id', $ids)->whereNotNull('before')
            ->delete();
        // What it took stays in the ledger, without the person.
        DB::table('look_ups')->whereIn('contact_id', $ids)->update(['value' => null, 'contact_id' => null]);
        DB::table('look_up_runs')->whereIn('name', $names)->update(['name' => 'somebody erased']);
        self::forgetSearches([...$names, ...$addresses]);
    }

    /**
     * Out of what was pasted into a search, and of the addresses that lists and watches remember.
     *
     * @param  array<string>  $texts
     */
    private static function forgetSearches(array $texts): void
    {
        foreach ($texts as $text) {
            foreach (
                DB::table('pasted')->where('text', 'like', Like::anywhere($text))->pluck(
                    'text',
                    'mark',
                ) as $mark => $pasted
            ) {
                DB::table('pasted')->where('mark', $mark)->update(['text' => trim(str_ireplace($text, '', $pasted))]);
            }
        }
        foreach (['lists', 'watches'] as $table) {
            foreach (DB::table($table)->pluck('search', 'id') as $id => $address) {
                parse_str($address, $search);
                $without = self::without($search, $texts);
                if ($without !== $search) {
                    DB::table($table)->where('id', $id)->update(['search' => http_build_query($without)]);
                }
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $evidence
     * @param  array<string>  $texts
     * @return array<array-key, mixed>
     */
    private static function without(array $evidence, array $texts): array
    {
        return array_map(
            fn (mixed $value): mixed => is_array($value) ? self::without($value, $texts) : (
                is_string($value) ? str_ireplace($texts, '…', $value) : $value
            ),
            $evidence,
        );
    }
}
