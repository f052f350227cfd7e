<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\Importer;
use App\Intake\LookThrough;
use App\Intake\Reading\Sense;
use App\Intake\ReceiveFile;
use App\Models\Account;
use App\Models\Contact;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use App\Models\Signal;
use Illuminate\Support\Facades\DB;
use Normalizer;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Files as people have them, and what each must give (tests/data/intake/README.md). */
final class IntakeFilesTest extends TestCase
{
    use HasCities;

    private const FOLDER = __DIR__.'/../data/intake';

    protected const NOW = '2026-11-27T09:00:00Z';

    /** @return array<string, array{string}> */
    public static function files(): array
    {
        $names = array_column(self::expected(), 'file');

        return array_combine($names, array_map(fn (string $name): array => [$name], $names));
    }

    #[DataProvider('files')]
    public function test_a_file_comes_in_as_it_should(string $name): void
    {
        $expected = self::one($name);
        foreach ($expected['after'] as $before) {
            $this->take(self::one($before));
        }
        $intake = $this->take($expected);
        $this->compare($expected, $intake, $expected['counts'], $name);
        $this->spots($expected['spots']);
        $again = $this->take($expected);
        $changes = DB::table('intake_changes')->where('intake_id', $again->id)->get(['before', 'after'])->toJson();
        $this->counts($expected['again'], $again, "$name once more: $changes");
        $this->spots($expected['spots']);
    }

    public function test_days_are_read_as_somebody_says(): void
    {
        $expected = self::one('14-signals-undecided.csv');
        $this->take(self::one('00-known-accounts.csv'));
        $this->take(['answers' => $expected['otherwise']['answers']] + $expected);
        $this->spots($expected['otherwise']['spots']);
    }

    public function test_who_is_nobodys_contact_is_kept_as_a_candidate(): void
    {
        $expected = self::one('17-post-reactions.csv');
        foreach ($expected['after'] as $before) {
            $this->take(self::one($before));
        }
        $people = Contact::query()->count();
        $intake = $this->take($expected);
        $this->take($expected);

        self::assertSame($people, Contact::query()->count());
        // Twelve whom nobody knows, one of them named like a contact.
        self::assertSame(12, DB::table('candidates')->count());
        self::assertSame(12, DB::table('candidate_deeds')->count());
        $jana = DB::table('candidates')->where('profile', 'https://people.example/jana-rutenlohe')->first();
        self::assertSame(
            ['Jana Rutenlohe', 'Zahnarztpraxis Quastenlohe GmbH'], [$jana?->name, $jana?->company],
        );
        self::assertSame(
            'Commented on a post: posts.example/night-deliveries',
            Signal::query()->whereRelation('contact', 'profile', 'https://people.example/hugh-tansygill')
                ->where('link', 'https://posts.example/night-deliveries')->value('title'),
            'the more that he did under one post',
        );

        (new Importer)->undo($intake);
        self::assertSame(0, DB::table('candidates')->count());
        self::assertSame(0, Signal::query()->where('kind', 'post_engagement')->count());
    }

    /**
     * @param  array<string, mixed>  $expected
     * @param  array<string, mixed>  $counts
     */
    private function compare(array $expected, Intake $intake, array $counts, string $name): void
    {
        $format = $expected['format'];
        foreach (array_diff_key($format, ['bom' => 0, 'line_ends' => 0]) as $what => $is) {
            self::assertSame($is, $intake->format[$what] ?? null, $what);
        }
        $reasons = $intake->rejections()->pluck('reason', 'line')->all();
        $this->counts($counts, $intake, $name.': '.json_encode($reasons, JSON_UNESCAPED_UNICODE));
        self::assertSame($expected['rows'], $intake->rows);
        $written = array_map(
            fn (array $cell): string => "{$cell['line']} {$cell['heading']}: {$cell['written']}",
            $expected['unread'],
        );
        // A word that nobody explains is left like any cell that cannot be read.
        $words = array_column(
            array_filter($expected['apart'], fn (array $apart): bool => ($apart['reason'] ?? '') === 'state_unknown'),
            'line',
        );
        $kept = DB::table('intake_cells')->where('intake_id', $intake->id)->whereNotIn('line', $words)->get()
            ->map(fn ($cell): string => "{$cell->line} {$cell->heading}: {$cell->written}")->all();
        self::assertEqualsCanonicalizing($written, $kept, 'cells that cannot be read');
        $waits = DB::table('intake_rejections')->where('intake_id', $intake->id)->get()->keyBy('line');
        foreach ($expected['apart'] as $apart) {
            $outcomes = (array) $apart['outcome'];
            if (preg_match('/^An unquoted comma in the cell of “[^”]+”/u', $apart['note'] ?? '', $proposal) === 1) {
                self::assertStringContainsString($proposal[0], (string) $waits[$apart['line']]->reason);
            }
            $is = match (true) {
                ! isset($waits[$apart['line']]) => null,
                (bool) $waits[$apart['line']]->waits => 'wait',
                default => 'refused',
            };
            $is === null
                ? self::assertNotSame([], array_diff($outcomes, ['wait', 'refused']), "line {$apart['line']} came in")
                : self::assertContains($is, $outcomes, "line {$apart['line']}: {$waits[$apart['line']]->reason}");
        }
        self::assertSame(count($expected['short'] ?? []), $intake->short, 'short rows');
        self::assertSame(count($expected['cleaned'] ?? []), $intake->cleaned, 'cleaned rows');
    }

    /** @param  array<string, mixed>  $counts */
    private function counts(array $counts, Intake $intake, string $name): void
    {
        $is = [
            'new' => $intake->created, 'changed' => $intake->updated, 'same' => $intake->unchanged,
            'wait' => $intake->waiting, 'refused' => $intake->rejected,
        ];
        foreach ($counts as $what => $count) {
            $range = is_array($count) ? $count : ['from' => $count, 'to' => $count];
            self::assertTrue(
                $is[$what] >= $range['from'] && $is[$what] <= $range['to'],
                "$what: {$is[$what]}, expected {$range['from']} to {$range['to']} in $name, ".json_encode($is),
            );
        }
    }

    /** @param  list<array<string, mixed>>  $spots */
    private function spots(array $spots): void
    {
        foreach ($spots as $spot) {
            $records = $this->records($spot['row']);
            if ($records === [] && ($spot['when'] ?? null) === 'new') {
                continue;
            }
            $at = json_encode($spot, JSON_UNESCAPED_UNICODE);
            // An address alone may be that of several people, of all of whom it holds.
            $several = array_keys($spot['row']) === ['email'];
            self::assertTrue(count($records) === 1 || ($several && $records !== []), "one record for $at");
            foreach ($records as $record) {
                $values = $this->values($record, $spot['column'], $spot['row']);
                $stored = json_encode($values, JSON_UNESCAPED_UNICODE);
                self::assertTrue(self::meets($spot, $values), "$at, stored is $stored");
            }
        }
    }

    /**
     * @param  array<string, mixed>  $spot
     * @param  list<mixed>  $values
     */
    private static function meets(array $spot, array $values): bool
    {
        if ($values === [] && ($spot['or_null'] ?? false)) {
            return true;
        }
        $same = fn (mixed $a, mixed $b): bool => is_numeric($a) && is_numeric($b)
            ? abs((float) $a - (float) $b) < 1e-6
            : self::plain($a) === self::plain($b);
        $among = fn (mixed $value): bool => $value === null ? $values === [] : array_filter(
            $values,
            fn (mixed $one): bool => is_array($value)
                ? is_array($one) && $same($one['amount'], $value['amount']) && $one['currency'] === $value['currency']
                : $same($one, $value),
        ) !== [];
        $first = (string) self::plain(is_array($values[0] ?? null) ? '' : $values[0] ?? '');

        return match (true) {
            array_key_exists('value', $spot) => $among($spot['value']),
            isset($spot['either']) => array_filter($spot['either'], $among) !== []
                || in_array(null, $spot['either'], true) && $values === [],
            isset($spot['starts']) => array_filter($spot['starts'], fn (string $s): bool => str_starts_with($first, $s))
                !== [],
            isset($spot['has']) => array_filter($spot['has'], fn (mixed $one): bool => ! $among($one)) === [],
            default => (! isset($spot['length']) || mb_strlen($first) === $spot['length'])
                && (! isset($spot['begins']) || str_starts_with($first, (string) self::plain($spot['begins'])))
                && (! isset($spot['ends']) || str_ends_with($first, (string) self::plain($spot['ends']))),
        };
    }

    private static function plain(mixed $value): mixed
    {
        return is_string($value)
            ? trim(
                (string) preg_replace('/[\s\x{A0}\x{2000}-\x{200A}\x{202F}]+/u', ' ', (string) Normalizer::normalize(
                    $value,
                )),
            )
            : $value;
    }

    /**
     * @param  array<string, mixed>  $row
     * @return list<Account|Contact|Signal>
     */
    private function records(array $row): array
    {
        $account = isset($row['domain']) ? Account::query()->where('domain', $row['domain'])->first() : null;
        if (isset($row['title']) || isset($row['kind'])) {
            return array_values(Signal::query()->where('account_id', $account->id ?? 0)
                ->when(isset($row['title']), fn ($q) => $q->where('title', $row['title']))->get()->all());
        }
        if (isset($row['profile'], $row['link'])) {
            return array_values(Signal::query()->where('link', $row['link'])
                ->whereRelation('contact', 'profile', $row['profile'])->get()->all());
        }
        if (isset($row['email'])) {
            $ids = DB::table('channels')->where('value', $row['email'])->pluck('contact_id');

            return array_values(Contact::query()->whereIn('id', $ids)->whereNull('merged_into')->get()
                ->filter(fn (Contact $one): bool => self::isNamed($one, $row))->all());
        }
        if (isset($row['first_name']) || isset($row['last_name'])) {
            return array_values(Contact::query()
                ->when($account !== null, fn ($q) => $q->where('account_id', $account?->id))
                ->whereNull('merged_into')->get()->filter(fn (Contact $one): bool => self::isNamed($one, $row))->all());
        }
        if ($account !== null) {
            return [$account];
        }

        return isset($row['domain']) ? [] : array_values(Account::query()->where('name', $row['name'] ?? '')
            ->whereNull('domain')->get()->all());
    }

    /** @param  array<string, mixed>  $row */
    private static function isNamed(Contact $contact, array $row): bool
    {
        return (! isset($row['first_name']) || $contact->first_name === $row['first_name'])
            && (! isset($row['last_name']) || $contact->last_name === $row['last_name']);
    }

    /**
     * @param  array<string, mixed>  $row
     * @return list<mixed>
     */
    private function values(Account|Contact|Signal $record, string $column, array $row): array
    {
        $channels = fn (string $type): array => $record instanceof Contact
            ? $record->channels()->where('type', $type)->pluck('value')->all()
            : [];
        $value = match (true) {
            str_starts_with($column, 'fact:') => DB::table('account_attribute')
                ->join('attributes', 'attributes.id', '=', 'attribute_id')->where('account_id', $record->id)
                ->where('name', substr($column, 5))->value('value'),
            $record instanceof Signal && $column === 'date' => $record->occurred_at->toDateString(),
            $record instanceof Signal && $column === 'amount' => array_intersect_key(
                $record->facts ?? [],
                ['amount' => 0, 'currency' => 0],
            ),
            $record instanceof Signal && in_array(
                $column,
                ['round', 'currency', 'openings', 'before', 'after', 'deed'],
                true,
            ) => $record->facts[$column] ?? null,
            $record instanceof Signal => ($v = $record->getAttribute($column)) instanceof \BackedEnum ? $v->value : $v,
            $column === 'industry' => DB::table('account_industry')->where('account_id', $record->id)
                ->where('position', 0)->value('code'),
            in_array(
                $column,
                ['city', 'country', 'postal_code', 'region', 'latitude', 'longitude'],
                true,
            ) && $record instanceof Account => DB::table('places')
                ->where('account_id', $record->id)->where('headquarters', 1)->value($column),
            $column === 'revenue' => $record->revenue_amount === null
                ? null
                : ['amount' => $record->revenue_amount, 'currency' => $record->revenue_currency],
            $column === 'technologies' => $record->technologies()->pluck('name')->all(),
            $column === 'email' => $channels('email'),
            $column === 'phone' => array_map(self::digits(...), $channels('direct_phone')),
            $column === 'switchboard' => array_map(self::digits(...), $channels('switchboard')),
            $column === 'email_state' => $record->channels()->where('type', 'email')
                ->when(isset($row['email']), fn ($channels) => $channels->where('value', $row['email']))
                ->value('state')?->value,
            $column === 'since' => $record->positions()->whereNull('until')->value('since')?->toDateString(),
            $column === 'active' => $record->channels()->whereNotNull('active_at')->value('active_at')?->toDateString(),
            $column === 'domain' && $record instanceof Contact => $record->account->domain,
            default => $record->getAttribute($column),
        };

        return $value === null ? [] : (is_array($value) && array_is_list($value) ? $value : [$value]);
    }

    private static function digits(string $phone): string
    {
        return '+'.preg_replace('/\D/', '', $phone);
    }

    /** @param  array<string, mixed>  $expected */
    private function take(array $expected): Intake
    {
        $kind = self::kind($expected);
        $intake = ReceiveFile::file(self::FOLDER.'/'.$expected['file'], $expected['file'], $this->rep, $kind);
        $byHand = array_column($expected['by_hand'] ?? [], null);
        $mapping = $intake->mapping ?? [];
        $wanted = array_column($expected['headings'], 1, 0);
        foreach ($intake->format['columns'] as $at => $heading) {
            $column = $wanted[$heading] ?? null;
            if (in_array($heading, $byHand, true)) {
                $mapping[$at] = $column === 'fact' ? 'extras' : $column;

                continue;
            }
            $column === null
                ? self::assertNotContains($mapping[$at] ?? null, array_filter($wanted), "“{$heading}” is left out")
                : self::assertSame($column, $mapping[$at] ?? null, "what “{$heading}” is");
        }
        $answers = $this->answers($expected['answers'] ?? [], $intake);
        foreach ($expected['finds']['date_order'] ?? [] as $heading => $order) {
            $at = (int) array_search($heading, $intake->format['columns'], true);
            self::assertSame($order, $intake->format['dates'][$at] ?? 'day', "the order of “{$heading}”");
        }
        $intake->update(['mapping' => array_filter($mapping), 'answers' => $answers]);
        $before = self::stored();
        (new LookThrough)->run($intake);
        self::assertSame($before, self::stored(), 'looking stores nothing');
        $intake->refresh()->update(['state' => IntakeState::Queued]);
        (new Importer)->run($intake);
        $foreseen = array_intersect_key($intake->refresh()->outlook ?? [], array_flip([
            'rows', 'new', 'changed', 'same', 'waiting', 'refused', 'later', 'short', 'cleaned', 'done',
        ]));
        $came = [
            'done' => true, 'rows' => $intake->rows, 'new' => $intake->created, 'changed' => $intake->updated,
            'same' => $intake->unchanged, 'waiting' => $intake->waiting, 'refused' => $intake->rejected,
            'later' => 0, 'short' => $intake->short, 'cleaned' => $intake->cleaned,
        ];
        self::assertEquals($came, $foreseen, "{$expected['file']} comes in as it was foreseen");
        self::assertSame($intake->unread, array_sum($intake->outlook['unread'] ?? []));

        return $intake;
    }

    /** @return array<string, int> table → rows */
    private static function stored(): array
    {
        $tables = ['accounts', 'contacts', 'signals', 'channels', 'positions', 'intake_changes', 'industry_labels',
            'candidates', 'doubles', 'intake_rejections'];

        return array_combine($tables, array_map(fn (string $table): int => DB::table($table)->count(), $tables));
    }

    /**
     * @param  array<string, array<string, string>>  $told
     * @return array<string, array<int|string, mixed>>
     */
    private function answers(array $told, Intake $intake): array
    {
        $answers = [];
        foreach ($told['date_order'] ?? [] as $heading => $order) {
            $answers['dates'][(int) array_search($heading, $intake->format['columns'], true)] = $order;
        }
        foreach (['kinds' => 'kind', 'states' => 'email_state', 'deeds' => 'deed'] as $as => $field) {
            foreach ($told[$as] ?? [] as $word => $meaning) {
                $answers['words'][$field][Sense::word($word)] = $meaning;
            }
        }

        return $answers;
    }

    /** @param  array<string, mixed>  $expected */
    private static function kind(array $expected): IntakeKind
    {
        return IntakeKind::from(
            ['address check' => 'checks', 'post reactions' => 'reactions'][$expected['kind']] ?? $expected['kind'],
        );
    }

    /** @return array<string, mixed> */
    private static function one(string $name): array
    {
        return array_column(self::expected(), null, 'file')[$name];
    }

    /** @return list<array<string, mixed>> */
    private static function expected(): array
    {
        static $expected = null;

        return $expected ??= json_decode((string) file_get_contents(self::FOLDER.'/expected.json'), true)['files'];
    }
}
