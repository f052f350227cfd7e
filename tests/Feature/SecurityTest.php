<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\EventDelivery;
use App\Models\EventTarget;
use App\Models\Feed;
use App\Models\Intake;
use App\Models\LookUpService;
use App\Models\Submission;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Route;
use Spatie\Activitylog\Models\Activity;
use Tests\NamesTests;
use Tests\TestCase;

/** What docs/security.md promises and no other test looks at; and that each test it names is there. */
final class SecurityTest extends TestCase
{
    use NamesTests;

    private const LIST = 'docs/security.md';

    public function test_every_requirement_that_is_met_names_a_test_that_is_there(): void
    {
        $rows = $met = 0;
        foreach (file(base_path(self::LIST), FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            if (preg_match('/^\| (\d+\.\d+\.\d+) \| .+ \| (met|not met|n\.a\.) \| (.*) \|$/', $line, $row) !== 1) {
                self::assertDoesNotMatchRegularExpression('/^\| \d/', $line, 'every row is read');

                continue;
            }
            $rows++;
            if ($row[2] !== 'met') {
                self::assertNotSame('', $row[3], "$row[1] says why");

                continue;
            }
            $met++;
            self::assertNamesTests($row[3], $row[1]);
        }
        self::assertGreaterThan(150, $rows);
        self::assertGreaterThan(90, $met);
    }

    public function test_every_door_stands_among_what_threatens_it(): void
    {
        $doors = $named = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $doors[] = explode('.', explode('/', $route->uri())[0])[0];
        }
        foreach (file(base_path(self::LIST), FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            $row = explode(' | ', trim($line, '| '));
            if (count($row) === 4 && str_contains($row[3], 'Test')) {
                preg_match_all('/`([\w-]+)`/', $row[1], $found);
                $named = [...$named, ...$found[1]];
                self::assertNamesTests($row[3], $row[0]);
            }
        }
        $doors = array_filter(array_unique($doors));
        self::assertGreaterThan(50, count($doors));
        self::assertEqualsCanonicalizing($doors, array_unique($named));
    }

    public function test_every_page_forbids_what_no_page_needs(): void
    {
        foreach (['/sign-in', '/nowhere', '/api/accounts', '/up', '/metrics'] as $path) {
            $answer = $this->get($path);
            self::assertStringContainsString("default-src 'self'", (string) $answer->headers->get(
                'Content-Security-Policy',
            ), $path);
            self::assertStringNotContainsString('unsafe', (string) $answer->headers->get('Content-Security-Policy'));
            $answer->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('X-Frame-Options', 'DENY')
                ->assertHeader('Referrer-Policy', 'same-origin');
            $answer->assertHeaderMissing('X-Powered-By')->assertHeaderMissing('Access-Control-Allow-Origin');
        }
        $this->actingAs($this->rep)->get('/accounts')->assertHeader('Cache-Control', 'no-store, private');
    }

    public function test_a_session_is_a_new_one_with_the_sign_in_and_gone_with_the_sign_out(): void
    {
        $this->get('/sign-in');
        $before = session()->getId();
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a long password'])
            ->assertRedirect('/');
        self::assertNotSame($before, session()->getId());
        $within = session()->getId();
        $this->post('/sign-out');
        self::assertNotSame($within, session()->getId());
        self::assertGuest();
        self::assertSame(
            [true, 'lax', '/', true], [config('session.http_only'), config('session.same_site'), config('session.path'),
                config('session.lifetime') <= 120],
        );
    }

    public function test_a_form_of_another_site_changes_nothing(): void
    {
        app()->detectEnvironment(fn (): string => 'local');
        $this->actingAs($this->rep)->from('/pace')->patch('/pace', ['pace' => 3])->assertRedirect('/pace')
            ->assertSessionHas('warning');
        self::assertNotSame(3, $this->rep->refresh()->pace);
        $this->withSession(['_token' => 't'])->patch('/pace', ['pace' => 3, '_token' => 't'])->assertRedirect();
        self::assertSame(3, $this->rep->refresh()->pace);
    }

    public function test_what_goes_wrong_inside_stays_inside(): void
    {
        config(['app.debug' => false]);
        app('router')->middleware('web')->get('/broken', fn () => DB::select('SELECT secret FROM nowhere'));
        $this->get('/broken')->assertStatus(500)->assertDontSee('SQLSTATE')->assertDontSee('nowhere')
            ->assertDontSee('.php');
    }

    public function test_a_password_is_kept_as_a_slow_hash_and_nobody_is_told_whether_an_address_is_known(): void
    {
        self::assertSame('2y', password_get_info((string) $this->rep->password)['algo']);
        self::assertStringNotContainsString(
            'BCRYPT', (string) file_get_contents(base_path('.env.example')), 'as slow as the framework has it',
        );
        $says = fn (string $email): mixed => $this->from('/sign-in')
            ->post('/sign-in', ['email' => $email, 'password' => 'a guess at it']) && session('errors')?->first();
        self::assertSame($says('mira@blasvik.example'), $says('nobody@blasvik.example'));
    }

    public function test_the_demo_and_its_sign_in_without_a_password_are_for_ones_own_machine(): void
    {
        $read = function (string $env): bool {
            $_ENV['APP_ENV'] = $_SERVER['APP_ENV'] = $env;
            putenv("APP_ENV=$env");
            try {
                return (require base_path('config/luftig.php'))['demo'];
            } finally {
                $_ENV['APP_ENV'] = $_SERVER['APP_ENV'] = 'testing';
                putenv('APP_ENV=testing');
            }
        };
        self::assertSame([true, false], [$read('local'), $read('production')]);
        config(['luftig.demo' => false]);
        $this->post('/sign-in/demo', ['user' => $this->lead->id])->assertNotFound();
        self::assertGuest();
    }

    public function test_secrets_are_neither_in_the_log_nor_readable_in_the_base(): void
    {
        activity()->enableLogging();
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'sesame-of-mira']);
        $this->actingAs($this->rep)->put('/password', [
            'current' => 'a long password', 'password' => 'four horses graze far',
            'password_confirmation' => 'four horses graze far',
        ])->assertSessionHasNoErrors();
        $this->post('/tokens', ['name' => 'x', 'days' => '30', 'scopes' => ['read']]);
        $token = explode('|', (string) session('token'))[1];
        $this->actingAs($this->lead)->post('/look-ups/services', [
            'name' => 'S', 'does' => 'find', 'address' => 'https://93.184.215.14/', 'secret' => 'sesame-of-service',
            'price' => 1, 'position' => 1,
        ])->assertSessionHasNoErrors();
        $feed = Feed::factory()->create(['format' => Feed::WEBHOOK]);
        $posts = explode('|', $feed->createToken('x', ['facts'])->plainTextToken)[1];
        $log = (string) json_encode(Activity::query()->get());
        $base = (string) json_encode([DB::table('personal_access_tokens')->get(), DB::table('look_up_services')->get(),
            DB::table('users')->get(), DB::table('submissions')->get()]);
        foreach (['sesame-of-mira', 'four horses graze far', $token, 'sesame-of-service', $posts] as $secret) {
            self::assertStringNotContainsString($secret, $log);
            self::assertStringNotContainsString($secret, $base);
        }
        self::assertSame('sesame-of-service', LookUpService::query()->value('secret') === null ? null
            : LookUpService::query()->firstOrFail()->secret);
    }

    public function test_a_file_lies_where_its_name_does_not_say_and_the_web_does_not_reach_it(): void
    {
        $file = UploadedFile::fake()->createWithContent('../../public/x.php', "domain;name\na.example;A\n");
        $this->actingAs($this->rep)->post('/intake', ['file' => [$file]])->assertRedirect();
        $intake = Intake::query()->sole();
        self::assertMatchesRegularExpression('/^[0-9A-Z]{26}\.csv$/', $intake->path);
        self::assertFileExists(config('luftig.intakes').'/'.$intake->path);
        self::assertStringStartsNotWith(public_path(), (string) realpath(config('luftig.intakes')));
        self::assertFileDoesNotExist(public_path('x.php'));
    }

    public function test_what_is_kept_for_a_time_goes_with_it(): void
    {
        activity()->enableLogging();
        activity()->log('old');
        $target = EventTarget::factory()->create();
        EventDelivery::query()->create(['event_target_id' => $target->id, 'type' => 'reason', 'subject_id' => 1]);
        Submission::query()->insert(['key' => 'x', 'created_at' => now()]);
        $there = fn (): array => [
            Activity::query()->where('description', 'old')->count(), EventDelivery::query()->count(),
            Submission::query()->count(),
        ];
        $tidies = function (): void {
            $this->artisan('luftig:tidy');
            $this->artisan('model:prune', ['--model' => [Submission::class, EventDelivery::class]]);
        };
        $tidies();
        self::assertSame([1, 1, 1], $there());
        $this->at('2026-11-25T09:00:00Z');
        $tidies();
        self::assertSame([1, 1, 0], $there());
        $this->at('2026-12-24T09:00:00Z');
        $tidies();
        self::assertSame([1, 0, 0], $there());
        $this->at('2028-11-23T09:00:00Z');
        $tidies();
        self::assertSame([0, 0, 0], $there());
    }

    public function test_no_view_writes_unescaped_what_comes_from_outside_and_no_code_makes_code(): void
    {
        $raw = [];
        foreach (File::allFiles(resource_path('views')) as $view) {
            // A mail is plain text.
            $isText = str_starts_with($view->getRelativePathname(), 'mail/');
            if (! $isText && preg_match_all('/\{!!(.+?)!!\}/s', $view->getContents(), $found) > 0) {
                $raw[$view->getRelativePathname()] = array_map(trim(...), $found[1]);
            }
        }
        self::assertSame([], $raw);
        foreach (['app', 'core', 'routes', 'bootstrap'] as $folder) {
            foreach (File::allFiles(base_path($folder)) as $file) {
                // What the machine itself wrote, with no objects or one sort of them.
                $code = (string) preg_replace(
                    '/unserialize\((?=[^;]*\'allowed_classes\' => )/', '', $file->getContents(),
                );
                self::assertDoesNotMatchRegularExpression(
                    '/(?<![\w>:$])(eval|unserialize|shell_exec|passthru|system|popen|proc_open|exec)\(/', $code,
                    $file->getPathname(),
                );
            }
        }
    }
}
