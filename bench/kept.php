<?php

declare(strict_types=1);

use App\Models\User;
use Carbon\Carbon;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Http\Middleware\VerifyCsrfToken;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\View;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\DomCrawler\Field\ChoiceFormField;

/*
 * Forms of the demo are sent as they stand on its pages, by a rep and a lead, in an order that a seed decides. After
 * each, pages that may be shown again are held against the same made anew.
 */

/** The demo as two people use it, at a time that stands still. */
final class TwoPeople
{
    /** What would leave nobody who signs in, or nothing to do. */
    private const LEFT_ALONE = '~/(sign-out|password|second-factor|sessions|offer|tokens|undo)\b|contacts/\d+$~';

    /** @var array<string, true> */
    public array $sent = [];

    public int $taken = 0;

    public int $shown = 0;

    public int $made = 0;

    /**
     * @param  list<User>  $people
     * @param  list<string>  $pages  that are compared
     */
    public function __construct(
        private readonly Kernel $kernel,
        private readonly array $people,
        private readonly array $pages,
    ) {
    }

    /** Some form of some page, with something typed in each of its fields. */
    public function deed(): string
    {
        $who = $this->people[mt_rand(0, count($this->people) - 1)];
        $forms = (new Crawler($this->ask($who, $this->somewhere()), 'http://127.0.0.1/'))->filter('form')
            ->reduce(fn (Crawler $one): bool => strtolower((string) $one->attr('method')) === 'post'
                && preg_match(self::LEFT_ALONE, (string) $one->attr('action')) === 0);
        if ($forms->count() === 0) {
            return '';
        }
        $form = $forms->eq(mt_rand(0, $forms->count() - 1))->form();
        foreach ($form->all() as $field) {
            if (str_starts_with($field->getName(), '_') || $field->getName() === 'version') {
                continue;
            }
            if ($field instanceof ChoiceFormField) {
                $options = $field->availableOptionValues();
                $field->isMultiple() || $options === [] || mt_rand(0, 1) === 0
                    || $field->setValue($options[mt_rand(0, count($options) - 1)]);
            } elseif ($field->getValue() === '' && mt_rand(0, 7) > 0) {
                $field->setValue(match (true) {
                    preg_match('/until|_on|day|since|date/', $field->getName()) === 1 => '2026-12-'.mt_rand(10, 28),
                    preg_match('/number|weight|pace|points|head/', $field->getName()) === 1 => (string) mt_rand(1, 40),
                    str_contains($field->getName(), 'email') => 'p'.mt_rand(1, 99).'@tunhede.example',
                    default => 'Said '.mt_rand(1, 99),
                });
            }
        }
        $path = (string) parse_url($form->getUri(), PHP_URL_PATH);
        $values = $form->getPhpValues();
        $this->ask($who, $path, 'POST', $values);
        $this->taken += session()->has('errors') ? 0 : 1;
        $this->sent[(string) preg_replace('/\d+/', '…', ($values['_method'] ?? 'post')." $path")] = true;

        return "{$who->name}: $path ".json_encode(array_diff_key($values, ['_token' => 1, '_once' => 1]));
    }

    /** @return string|null the first that differs between a page as it is shown and as it is made anew */
    public function differs(string $path, User $who): ?string
    {
        $before = $this->made;
        config(['luftig.keep_pages' => true]);
        $shown = self::plain($this->ask($who, $path));
        $this->made === $before ? $this->shown++ : null;
        config(['luftig.keep_pages' => false]);
        $made = self::plain($this->ask($who, $path));
        config(['luftig.keep_pages' => true]);
        foreach (array_diff_assoc($made, $shown) + array_diff_assoc($shown, $made) as $at => $line) {
            return "$path for {$who->name}: “".trim($shown[$at] ?? '').'” and not “'.trim($made[$at] ?? '').'”';
        }

        return null;
    }

    /** @param  array<string, mixed>  $say */
    public function ask(User $who, string $path, string $method = 'GET', array $say = []): string
    {
        app()->forgetScopedInstances();
        session()->flush();
        Auth::guard('web')->setUser($who->refresh());

        return (string) $this->kernel->handle(Request::create($path, $method, $say, [], [], [
            'HTTP_HOST' => '127.0.0.1',
        ]))->getContent();
    }

    /** Mostly where what is done is seen on the pages that are compared. */
    private function somewhere(): string
    {
        $some = fn (string $table): int => (int) DB::table($table)->orderByRaw('RAND('.mt_rand().')')->value('id');
        $pages = [
            ...$this->pages, ...$this->pages, '/', '/lists', '/alerts', '/keep-out', '/pace', '/team', '/feeds',
            "/signals/{$some('signals')}", "/reasons/{$some('reasons')}",
            "/contacts/{$some('contacts')}", "/accounts/{$some('accounts')}", '/rules/1/stories',
            '/candidates',
        ];

        return $pages[mt_rand(0, count($pages) - 1)];
    }

    /** @return list<string> its lines, but for what is another each time */
    private static function plain(string $page): array
    {
        return explode("\n", (string) preg_replace(
            ['/name="_once" value="\w+"/', '/(name="_token" value|csrf-token" content)="\w+"/'], '', $page,
        ));
    }
}

function kept(int $deeds, int $seed): void
{
    mt_srand($seed);
    config(['app.debug' => false]);
    app()->instance(VerifyCsrfToken::class, new class
    {
        public function handle(mixed $request, Closure $next): mixed
        {
            return $next($request);
        }
    });
    $now = CarbonImmutable::now()->startOfSecond();
    Carbon::setTestNow($now);
    CarbonImmutable::setTestNow($now);
    $rep = User::query()->where('name', 'like', 'Mira%')->firstOrFail();
    $lead = User::query()->where('role', 'lead')->firstOrFail();
    $account = (int) DB::table('standings')->orderByDesc('points')->value('account_id');
    $contact = (int) DB::table('contacts')->where('account_id', $account)->value('id');
    $pages = [
        '/', '/accounts', "/accounts/$account", '/contacts', "/contacts/$contact", '/network', '/results', '/look-ups',
        '/finder?on=contacts&c[0][f]=kept_out&c[0][x]=1&c[1][f]=headcount&c[1][lo]=40', '/rules/1',
        "/accounts/$account/reasons/new", '/begin', '/intake', '/results/learned',
        '/finder/words?on=accounts&c[0][f]=headcount&c[0][lo]=40',
    ];
    $two = new TwoPeople(app(Kernel::class), [$rep, $lead], $pages);
    View::composer('components.layout', function () use ($two): void {
        $two->made++;
    });
    $differ = [];
    for ($n = 0; $n < $deeds; $n++) {
        $seen = [];
        foreach ([$rep, $lead] as $who) {
            foreach (array_rand($pages, 4) as $at) {
                $two->ask($who, $pages[$at]);
                $seen[] = [$pages[$at], $who];
            }
        }
        $deed = $two->deed();
        foreach ($seen as [$path, $who]) {
            $differs = $two->differs($path, $who);
            $differs === null || $differ[$differs] = $deed;
        }
    }
    foreach ($differ as $what => $deed) {
        holds("$what, after $deed", false);
    }
    say(sprintf('%d forms sent, of %d kinds, %d taken; %d of %d pages were shown again.', $deeds, count($two->sent),
        $two->taken, $two->shown, 8 * $deeds));
    holds('Every page that was shown again is what it would be if it were made anew', $differ === []);
}
