<?php

declare(strict_types=1);

namespace App\Finder;

use App\Models\Offer;
use App\Standings\StandingState;
use Carbon\CarbonImmutable;
use Generator;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Luftig\Core\Finder\Field;
use Luftig\Core\Finder\Record;
use Luftig\Core\Firm\IndustryTree;
use Luftig\Core\Person\Career;
use Luftig\Core\Person\PostHeld;
use Luftig\Core\Person\Title;
use Luftig\Core\Signal\Timing;
use Luftig\Core\Text\Fold;
use stdClass;

/** What the Finder knows of accounts and their contacts, as an offer sees them. */
final readonly class Records
{
    private const CHUNK = 1000;

    /** Up to so many days one is new in a post. */
    private const NEW = 180;

    private const DAY = 86400;

    private int $today;

    public function __construct(private Offer $offer)
    {
        $this->today = intdiv(CarbonImmutable::today()->getTimestamp(), self::DAY);
    }

    /**
     * @param  list<int>|null  $accounts  null: all
     * @return array<int, int> account → how many contacts, in the order in which read() gives them
     */
    public function sizes(?array $accounts = null): array
    {
        return DB::table('accounts')->leftJoin('contacts', fn ($join) => $join->on('contacts.account_id', '=', 'accounts.id')->whereNull('contacts.merged_into'))->whereNull('accounts.merged_into')
            ->when($accounts !== null, fn (Builder $query) => $query->whereIn('accounts.id', $accounts ?? []))->groupBy('accounts.id')->orderBy('accounts.id')->selectRaw('accounts.id, COUNT(contacts.id) AS n')->pluck('n', 'id')->all();
    }

    /**
     * @param  list<int>  $accounts  ascending
     * @return Generator<Record>
     */
    public function read(array $accounts): Generator
    {
        foreach (array_chunk($accounts, self::CHUNK) as $ids) {
            $rows = DB::table('accounts')->leftJoin('standings', fn ($join) => $join->on('standings.account_id', '=', 'accounts.id')->where('standings.offer_id', $this->offer->id))->whereIn('accounts.id', $ids)->orderBy('accounts.id')
                ->get(['accounts.id', 'name', 'owner_id', 'description', 'keywords', 'headcount', 'revenue', 'growth', 'sites', 'founded', 'state', 'fit', 'push', 'access', 'points', 'priority', 'lines', 'standings.contacts']);
            $places = DB::table('places')->whereIn('account_id', $ids)->get()->groupBy('account_id');
            $industries = DB::table('account_industry')->whereIn('account_id', $ids)->whereNotNull('code')->get()->groupBy('account_id');
            $technologies = DB::table('account_technology')->join('technologies', 'technologies.id', '=', 'technology_id')->whereIn('account_id', $ids)->get(['account_id', 'name'])->groupBy('account_id');
            $contacts = DB::table('contacts')->whereIn('account_id', $ids)->whereNull('merged_into')->orderBy('id')->get(['id', 'account_id', 'title', 'reading', 'about', 'interests'])->groupBy('account_id');
            $people = $contacts->flatten(1)->pluck('id')->all();
            $posts = DB::table('posts')->leftJoin('accounts', 'accounts.id', '=', 'posts.account_id')->whereIn('contact_id', $people)->get(['contact_id', 'posts.account_id', 'accounts.name', 'company', 'title', 'reading', 'since', 'until'])->groupBy('contact_id');
            $channels = DB::table('channels')->whereIn('contact_id', $people)->get(['contact_id', 'type', 'state'])->groupBy('contact_id');
            foreach ($rows as $row) {
                $ranked = array_column(json_decode($row->contacts ?? '[]', true), null, 0);
                yield $this->account($row, $places[$row->id] ?? collect(), $industries[$row->id] ?? collect(), $technologies[$row->id] ?? collect(), ($contacts[$row->id] ?? collect())->map(
                    fn (stdClass $contact): Record => $this->contact($contact, $posts[$contact->id] ?? collect(), $channels[$contact->id] ?? collect(), $ranked[$contact->id] ?? null),
                )->all());
            }
        }
    }

    /**
     * @param  Collection<int, stdClass>  $places
     * @param  Collection<int, stdClass>  $industries
     * @param  Collection<int, stdClass>  $technologies
     * @param  array<int, Record>  $contacts
     */
    private function account(stdClass $row, Collection $places, Collection $industries, Collection $technologies, array $contacts): Record
    {
        $seat = $places->firstWhere('headquarters', 1);
        $postal = str_replace(' ', '', (string) $seat?->postal_code);
        $values = array_filter([
            Field::Industry->value => $industries->isEmpty() ? null : array_values(array_unique(array_merge(...$industries->map(fn (stdClass $one): array => IndustryTree::path($one->code))->all()))),
            Field::Country->value => $seat?->country === null ? null : [$seat->country],
            Field::Region->value => $seat?->region === null ? null : [$seat->region],
            Field::City->value => $seat?->city === null ? null : [$seat->city],
            Field::PostalArea->value => $postal === '' ? null : array_map(fn (int $length): string => substr($postal, 0, $length), range(1, min(5, strlen($postal)))),
            Field::Technology->value => $technologies->isEmpty() ? null : $technologies->pluck('name')->all(),
            Field::State->value => $row->state === null ? null : [$row->state],
            Field::Owner->value => [$row->owner_id === null ? 'nobody' : (string) $row->owner_id],
            Field::Signal->value => array_values(array_unique(array_column(json_decode($row->lines ?? '[]', true), 1))),
        ], fn (?array $value): bool => $value !== null);
        $numbers = array_filter([
            Field::Headcount->value => $row->headcount, Field::Revenue->value => $row->revenue, Field::Growth->value => $row->growth, Field::Sites->value => $row->sites, Field::Founded->value => $row->founded,
            Field::Fit->value => $row->fit, Field::Timing->value => $row->push === null ? null : Timing::shown((float) $row->push), Field::Access->value => $row->access, Field::Priority->value => $row->priority,
        ], fn ($value): bool => $value !== null);
        $words = trim($row->name.' '.$row->keywords.' '.$row->description);
        $sites = $places->filter(fn (stdClass $place): bool => $place->latitude !== null)->map(fn (stdClass $place): array => [(float) $place->latitude, (float) $place->longitude])->values()->all();
        $order = ($row->state === StandingState::Ranked->value ? 1000 : 0) + (float) $row->points;

        return new Record($row->id, array_map(array_values(...), $values), $numbers, [Field::Words->value => Fold::line($words)], $sites === [] ? null : array_values($sites), array_values($contacts), $order);
    }

    /**
     * @param  Collection<int, stdClass>  $posts
     * @param  Collection<int, stdClass>  $channels
     * @param  array{int, float, string}|null  $ranked  id, priority, part
     */
    private function contact(stdClass $row, Collection $posts, Collection $channels, ?array $ranked): Record
    {
        $title = Title::unpacked($row->reading);
        $day = fn (?string $date): ?int => $date === null ? null : intdiv((int) strtotime($date.' UTC'), self::DAY);
        $career = Career::at($row->account_id, $posts->map(fn (stdClass $post): PostHeld => new PostHeld($post->account_id, (string) $post->title, Title::unpacked($post->reading), $day($post->since), $day($post->until))));
        $since = $career->now?->since;
        $before = $posts->whereNotNull('until');
        $values = array_filter([
            Field::Seniority->value => $title->isUnknown() ? null : [$title->seniority->value],
            Field::BusinessFunction->value => $title->isUnknown() ? null : array_map(fn ($function): string => $function->value, $title->functions()),
            Field::Part->value => [$ranked[2] ?? 'none'],
            Field::Arrival->value => $since === null ? null : [$this->today - $since > self::NEW ? 'settled' : $career->arrival()->value],
            Field::Channel->value => $channels->flatMap(fn (stdClass $channel): array => match (true) {
                $channel->type !== 'email' => [$channel->type],
                in_array($channel->state, ['invalid', 'disposable', 'off'], true) => ['email_dead'],
                $channel->state === 'valid' => ['email_checked', 'email'],
                default => ['email'],
            })->unique()->values()->all(),
        ], fn (?array $value): bool => $value !== null);
        $texts = array_filter([
            Field::Title->value => (string) $row->title, Field::About->value => trim($row->about.' '.$row->interests),
            Field::TitleBefore->value => $before->pluck('title')->implode(' · '), Field::CompanyBefore->value => $before->map(fn (stdClass $post): string => (string) ($post->name ?? $post->company))->implode(' · '),
        ], fn (string $text): bool => $text !== '');

        return new Record($row->id, array_map(array_values(...), $values), array_filter([Field::InPost->value => $since, Field::InCompany->value => $career->atAccountSince()], fn (?int $value): bool => $value !== null), array_map(Fold::line(...), $texts), order: $ranked[1] ?? 0.0);
    }
}
