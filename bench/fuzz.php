<?php

declare(strict_types=1);

/*
 * A million inputs that nobody would send with good intentions, to every parser and every form: what is refused is
 * refused in a sentence, and nothing shows its inside.
 *   ./luftig bench fuzz [inputs] [seed]
 */

use App\Feeds\CloudEvent;
use App\Feeds\Cursor;
use App\Feeds\EventItem;
use App\Feeds\Fetched;
use App\Feeds\Formats;
use App\Feeds\Robots;
use App\Feeds\Site;
use App\Feeds\Unreachable;
use App\Feeds\Unreadable;
use App\Finder\Search;
use App\Intake\CardFile;
use App\Intake\Cells;
use App\Intake\Reading\Day;
use App\Intake\Reading\Row;
use App\Intake\Reading\Sense;
use App\Intake\RejectedRow;
use App\Intake\RowReaders;
use App\Intake\TextFile;
use App\Intake\UnreadableFile;
use App\Intake\Workbook\Workbook;
use App\Models\IntakeKind;
use App\Models\Offer;
use App\Models\User;
use App\Support\Phone;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Http\Middleware\VerifyCsrfToken;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\ThrottleRequests;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Validation\ValidationException;
use Luftig\Core\Company\Domain;
use Luftig\Core\Mistake;
use Luftig\Core\Person\TitleReader;
use Luftig\Core\Shell\Shell;
use Luftig\Core\Text\Excerpt;
use Luftig\Core\Text\Fold;
use Luftig\Core\Text\Query;
use Luftig\Core\Text\QueryMistake;
use Symfony\Component\HttpFoundation\Exception\BadRequestException;

/** Makes nonsense of what makes sense, the same for the same seed. */
final class Nonsense
{
    private const PIECES = [
        '', "\0", "\xFF\xFE", "\xEF\xBB\xBF", "\xC3", "\u{202E}", "\u{1F600}", '"', "'", '\\', '<script>', ']]>',
        '<!--', '<!DOCTYPE x [<!ENTITY a "b">]>', '&a;', '%00', '%', '{{', '{', '}', '[', ']', '(', ')', ';', ',',
        "\n", "\r", "\t", 'NaN', 'INF', '-0', '1e309', '-1', '9223372036854775808', '0x10', '1.797e308',
        '2026-02-30', '9999-12-31T23:59:59Z', '-0001-01-01', 'null', 'true', '../../etc/passwd',
        'http://127.0.0.1/', 'a@b', '=1+1', 'OR', 'NOT', '""', '*', '~',
    ];

    public static function text(string $good): string
    {
        for ($times = mt_rand(1, 4); $times > 0; $times--) {
            $at = mt_rand(0, max(0, strlen($good)));
            $long = mt_rand(0, 12);
            $piece = self::PIECES[mt_rand(0, count(self::PIECES) - 1)];
            $good = match (mt_rand(0, 6)) {
                0 => substr($good, 0, $at),
                1 => substr($good, 0, $at).substr($good, $at + $long),
                2 => substr($good, 0, $at).str_repeat($piece, mt_rand(1, 3)).substr($good, $at),
                3 => substr($good, 0, $at).substr($good, $at, $long).substr($good, $at),
                4 => $good === '' ? $piece
                    : substr_replace($good, chr(mt_rand(0, 255)), min($at, strlen($good) - 1), 1),
                5 => substr($good, 0, $at).$piece.substr($good, $at + $long),
                default => substr($good, 0, $at).str_repeat(chr(mt_rand(32, 126)), mt_rand(1, 300)).substr($good, $at),
            };
        }

        return $good;
    }

    /** A value of JSON with some of its parts turned into others. */
    public static function value(mixed $good, int $odds = 6): mixed
    {
        if (mt_rand(1, $odds) === 1) {
            return [null, true, -1, 0, 1e308, 9_007_199_254_740_993, '', self::text('text'), [], [[]], ['x' => 'y'],
                '2026-11-20T08:00:00Z', [1, 'a', null], ['0' => 'a']][mt_rand(0, 13)];
        }
        if (! is_array($good)) {
            return is_string($good) && mt_rand(0, 2) === 0 ? mb_scrub(self::text($good)) : $good;
        }
        $bad = [];
        foreach ($good as $key => $one) {
            mt_rand(0, 15) === 0 || $bad[$key] = self::value($one, $odds * 2);
        }
        mt_rand(0, 15) === 0 && $bad[self::PIECES[mt_rand(0, count(self::PIECES) - 1)]] = 1;

        return $bad;
    }
}

/** How a parser says that something is nothing for it. */
const REFUSALS = [
    Mistake::class, QueryMistake::class, Unreadable::class, Unreachable::class, UnreadableFile::class,
    RejectedRow::class, ValidationException::class, BadRequestException::class,
];

function fuzz(int $inputs, int $seed): void
{
    mt_srand($seed);
    config(['app.debug' => false]);
    $samples = fn (string $name): string => (string) file_get_contents(__DIR__."/samples/$name");
    $scratch = (is_writable('/dev/shm') ? '/dev/shm' : sys_get_temp_dir()).'/luftig-fuzz-'.getmypid();
    @mkdir($scratch);
    register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($scratch)));
    $file = function (string $bytes) use ($scratch): string {
        file_put_contents("$scratch/in", $bytes);

        return "$scratch/in";
    };

    // --- What there is to be sent, and how it is refused --------------------------------------------------------

    $texts = [
        '"three shifts" AND (glass OR ceramic*) NOT "window"', 'Leiter Instandhaltung', 'VP of Operations, EMEA',
        'https://www.tunhede.example/kontakt?x=1', '1.234.567,89 €', '3/11/2026', 'Mitte 2025',
        '2026-11-20T08:00:00+01:00',
        'ida.lie@tunhede.example', '+45 96 57 00 00', 'Österreich', '12,5 %', '201-500',
        'Head of Maintenance & Utilities',
        'three shifts -window ~3', 'Glasverk Tunhede A/S', 'https://p.example/ida',
    ];
    $reader = TitleReader::standard();
    $parsers = [
        fn (string $t): mixed => Query::parse($t)->matches('glass melted in three shifts'),
        fn (string $t): mixed => Excerpt::of($t, Query::parse('glass OR shift*')),
        fn (string $t): mixed => $reader->read($t, 'DE', 300), fn (string $t): mixed => Domain::from($t),
        fn (string $t): mixed => Day::read($t), fn (string $t): mixed => Fold::words($t),
        fn (string $t): mixed => Robots::of($t)->allow('/private/open'), fn (string $t): mixed => Site::of($t),
        fn (string $t): mixed => Phone::kind($t),
    ];
    $reads = ['figure', 'count', 'part', 'day', 'email', 'emails', 'page', 'domain', 'country', 'list', 'yes', 'text'];
    foreach ($reads as $as) {
        $parsers[] = fn (string $t): mixed => (new Cells(['x' => $t], new Sense))->{$as}('x');
    }
    $texting = function () use ($texts, $parsers): void {
        $parsers[mt_rand(0, count($parsers) - 1)](Nonsense::text($texts[mt_rand(0, count($texts) - 1)]));
    };

    [$operations] = Shell::run(['--help'], fn (): string => '');
    preg_match_all('/^  ([a-z-]+)  /m', $operations, $named);
    $examples = [];
    foreach ($named[1] as $operation) {
        [$help] = Shell::run([$operation, '--help'], fn (): string => '');
        $examples[$operation] = json_decode(substr($help, (int) strpos($help, "Example:\n") + 9), true);
    }
    $shell = function () use ($examples): void {
        $operation = array_rand($examples);
        $say = mt_rand(0, 4) === 0 ? Nonsense::text((string) json_encode($examples[$operation]))
            : (string) json_encode(Nonsense::value($examples[$operation]), JSON_PARTIAL_OUTPUT_ON_ERROR);
        [$answer, $code] = Shell::run([$operation], fn (): string => $say);
        if (json_decode($answer) === null || ! in_array($code, [0, 1], true)) {
            throw new LogicException("$operation answers $code: ".substr($answer, 0, 100)." to $say");
        }
    };

    $csvs = array_map('file_get_contents', glob(__DIR__.'/../tests/data/intake/*.{csv,tsv}', GLOB_BRACE) ?: []);
    $csv = function () use ($csvs, $file, $scratch): void {
        $text = TextFile::take($file(Nonsense::text((string) $csvs[mt_rand(0, count($csvs) - 1)])), "$scratch/out");
        $kind = IntakeKind::cases()[mt_rand(0, count(IntakeKind::cases()) - 1)];
        $columns = array_keys(RowReaders::columns($kind));
        $rows = new (RowReaders::of($kind));
        foreach ($text->records("$scratch/out") as $n => $record) {
            $cells = [];
            foreach (Row::of($record->cells ?? [])->cells as $i => $cell) {
                $cells[$columns[$i % count($columns)]] = $cell;
            }
            try {
                $rows->read(new Cells($cells, new Sense));
            } catch (RejectedRow) {
            }
            if ($n > 5) {
                break;
            }
        }
    };
    $books = array_map(
        file_get_contents(...), glob(__DIR__.'/../tests/data/intake/*.{xlsx,ods}', GLOB_BRACE) ?: [],
    );
    $book = function () use ($books, $file, $scratch): void {
        $whole = (string) $books[mt_rand(0, count($books) - 1)];
        $isOuter = mt_rand(0, 1) === 0;
        $path = $file($isOuter ? Nonsense::text($whole) : $whole);
        $archive = new ZipArchive;
        if (! $isOuter && $archive->open($path) === true) {
            $part = (string) $archive->getNameIndex(mt_rand(0, $archive->numFiles - 1));
            $archive->addFromString($part, Nonsense::text((string) $archive->getFromName($part)));
            $archive->close();
        }
        if (Workbook::is($path)) {
            $workbook = new Workbook($path);
            $workbook->asCsv($workbook->likely(), "$scratch/rows");
        }
    };
    $cards = function () use ($samples, $file, $scratch): void {
        CardFile::asCsv($file(Nonsense::text($samples('person.vcf'))), "$scratch/rows");
    };

    $documents = [
        ['activities.json', 'application/activity+json'], ['press.xml', 'application/xml'],
        ['press-rss.xml', 'application/rss+xml; charset=iso-8859-1'], ['posting-pages.html', 'text/html'],
        ['sitemap.xml', 'application/xml'], ['postings.jsonl', 'application/x-ndjson'],
        ['rounds.json', 'application/json'], ['headcounts.csv', 'text/csv'], ['people.json', 'application/json'],
        ['person.vcf', 'text/vcard'], ['site.html', 'text/html'],
    ];
    $labels = array_keys(Formats::labels());
    $feeds = function () use ($documents, $labels, $samples, $scratch): void {
        [$name, $type] = $documents[mt_rand(0, count($documents) - 1)];
        $path = "$scratch/answer".mt_rand(0, 9);
        file_put_contents($path, Nonsense::text($samples($name)));
        // To its own format, and to one that it was never meant for.
        $format = Formats::named($labels[mt_rand(0, count($labels) - 1)]);
        $portion = $format->read(
            new Fetched('https://source.example/feed', $path, ['content-type' => $type]), Cursor::from(null),
        );
        foreach ($portion->items as $item) {
            $item->title;
        }
    };
    $event = json_decode('{"specversion":"1.0","id":"42","source":"/pages","type":"example.own_engagement",'
        .'"time":"2026-11-23T08:12:00Z","data":{"domain":"tunhede.example","deed":"page","strength":0.4}}', true);
    $events = function () use ($event): void {
        $one = CloudEvent::from(Nonsense::value($event));
        mt_rand(0, 1) === 0 ? EventItem::signal($one) : EventItem::fact($one);
    };

    $offer = Offer::query()->with('rules')->firstOrFail();
    $addresses = [
        'on=contacts&c[0][f]=seniority&c[0][v]=head&c[1][f]=headcount&c[1][lo]=40&c[1][hi]=900&c[2][f]=kept_out'
            .'&c[2][x]=1',
        'on=accounts&c[0][f]=text&c[0][v]="three shifts" NOT window&c[1][f]=place&c[1][v]=57.7, 11.9&c[1][lo]=50',
        'on=accounts&c[0][f]=signal&c[0][v]=funding&c[0][hi]=30&c[1][f]=technologies&c[1][v]=Vedliko',
    ];
    $search = function () use ($offer, $addresses): void {
        parse_str(Nonsense::text($addresses[mt_rand(0, count($addresses) - 1)]), $query);
        $search = mt_rand(0, 1) === 0 ? Search::typed($offer, $query) : Search::from($offer, $query);
        $search->total();
        $search->parameters();
    };

    $kernel = app(Kernel::class);
    app()->instance(VerifyCsrfToken::class, new class
    {
        public function handle(mixed $request, Closure $next): mixed
        {
            return $next($request);
        }
    });
    app()->bind(ThrottleRequests::class, VerifyCsrfToken::class);
    $lead = User::query()->where('role', 'lead')->firstOrFail();
    $doors = array_values(array_filter(
        Route::getRoutes()->getRoutes(),
        fn ($route): bool => in_array('auth', $route->gatherMiddleware(), true)
            // All that is known goes out in minutes, whatever is asked for.
            && preg_match('/sign-out|password|\{format\}/', $route->uri()) === 0,
    ));
    $names = [
        'name', 'text', 'email', 'kind', 'words', 'signals', 'contact', 'on', 'c', 'q', 'sort', 'title', 'value',
        'only', 'rhythm', 'hour', 'time_zone', 'criteria', 'kinds', 'buyer_roles', 'until', 'decision', 'result',
        'page', 'columns', 'functions', 'points', 'weight', 'list', 'members', 'phrases', 'domains', 'since', 'state',
        'tab', 'file', 'rows',
    ];
    $known = [
        'account' => DB::table('accounts')->value('id'), 'contact' => DB::table('contacts')->value('id'),
        'offer' => $offer->id,
        'signal' => DB::table('signals')->value('id'), 'user' => $lead->id, 'format' => 'csv', 'kind' => 'accounts',
    ];
    $tried = [];
    $forms = function () use ($kernel, $lead, $doors, $names, $known, $texts, &$tried): void {
        $door = $doors[mt_rand(0, count($doors) - 1)];
        $method = $door->methods()[0];
        $path = preg_replace_callback(
            '/\{(\w+)\}/', fn (array $m): string => (string) ($known[$m[1]] ?? mt_rand(1, 30)), $door->uri(),
        );
        $say = [];
        foreach (array_rand($names, mt_rand(2, 9)) as $at) {
            $say[$names[$at]] = Nonsense::value([
                $texts[mt_rand(0, count($texts) - 1)], '5', ['a' => '1', 'b' => ['c']],
                [['f' => 'headcount', 'lo' => '1']], '2026-12-01',
            ][mt_rand(0, 4)], 3);
        }
        DB::beginTransaction();
        try {
            Auth::guard('web')->setUser($lead);
            $headers = ['HTTP_HOST' => '127.0.0.1', 'HTTP_REFERER' => '/'];
            $request = Request::create("/$path", $method, $say, [], [], $headers);
            $answer = $kernel->handle($request);
            ob_start();
            $answer->sendContent();
            $body = (string) ob_get_clean();
            if ($answer->getStatusCode() >= 500 || preg_match('/Stack trace|SQLSTATE|\.php:\d/', $body) === 1) {
                throw new LogicException("$method /$path answers {$answer->getStatusCode()} to "
                    .substr((string) json_encode($say, JSON_PARTIAL_OUTPUT_ON_ERROR), 0, 600)
                    .' '.($answer->exception?->getMessage() ?? ''));
            }
            $tried[$door->uri()] = true;
        } finally {
            while (DB::transactionLevel() > 0) {
                DB::rollBack();
            }
            app()->forgetScopedInstances();
        }
    };

    // --- The inputs ---------------------------------------------------------------------------------------------

    $kinds = [
        'texts and cells' => [$texting, 625], 'the core from the shell' => [$shell, 150], 'files of rows' => [$csv, 60],
        'cards' => [$cards, 30], 'workbooks' => [$book, 5], 'documents of feeds' => [$feeds, 80],
        'posted events' => [$events, 30], 'searches' => [$search, 10], 'forms' => [$forms, 10],
    ];
    $failed = [];
    foreach ($kinds as $what => [$one, $share]) {
        $most = max(1, intdiv($inputs * $share, 1000));
        $refused = 0;
        $took = seconds(function () use ($one, $most, &$refused, &$failed, $what): void {
            for ($n = 0; $n < $most; $n++) {
                try {
                    $one();
                } catch (Throwable $e) {
                    if (array_filter(REFUSALS, fn (string $one): bool => $e instanceof $one) !== []) {
                        $refused++;

                        continue;
                    }
                    $failed["$what: ".$e::class.' '.basename($e->getFile()).':'.$e->getLine()] ??= $e->getMessage();
                }
            }
        });
        say(sprintf('%s of %s, %s of them refused by the parser itself, in %.0f s', number_format($most), $what,
            number_format($refused), $took));
    }
    say(count($tried).' doors were tried.');
    foreach ($failed as $where => $says) {
        holds("$where: ".substr($says, 0, 900), false);
    }
    holds(number_format($inputs).' inputs, none of which shows a trace', $failed === []);
}
