<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Account;
use App\Models\Contact;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Spatie\Activitylog\Models\Activity;
use Tests\TestCase;

/** Who gets in, and who is out again. */
final class SignInTest extends TestCase
{
    public function test_a_sign_in_taken_away_ends_at_the_next_click(): void
    {
        $this->signIn();
        $this->get('/')->assertOk()->assertHeader('Cache-Control', 'no-store, private');
        DB::table('users')->where('id', $this->rep->id)->update(['signs_in' => false]);
        $this->forget();
        $this->get('/')->assertRedirect('/sign-in');
        DB::table('users')->where('id', $this->rep->id)->update(['signs_in' => true]);
        $this->forget();
        $this->get('/')->assertRedirect('/sign-in');
    }

    public function test_another_password_ends_what_was_begun_with_the_old_one(): void
    {
        config(['session.cookie' => '__Host-ours']);
        $this->signIn(['remember' => '1'])->assertCookie('__Host-ours_stays');
        $token = $this->rep->refresh()->getRememberToken();
        self::assertNotNull($token);
        $this->get('/')->assertOk();
        $this->rep->update(['password' => 'quite another one']);
        self::assertNotSame($token, $this->rep->refresh()->getRememberToken());
        $this->forget();
        $this->get('/')->assertRedirect('/sign-in');
    }

    public function test_where_the_team_asks_for_it_everybody_signs_in_again_after_some_hours(): void
    {
        config(['luftig.sign_in_hours' => 12]);
        $this->get('/sign-in')->assertDontSeeText('Stay signed in');
        $this->signIn(['remember' => '1']);
        $this->get('/pace')->assertOk();
        foreach (['10:30', '12:00', '13:30', '15:00', '16:30', '18:00', '19:30', '20:59'] as $time) {
            $this->at("2026-11-23T$time:00Z");
            $this->get('/pace')->assertOk();
        }
        $this->at('2026-11-23T21:00:01Z');
        $this->patch('/pace', ['pace' => 7])->assertRedirect();
        self::assertSame(7, $this->rep->refresh()->pace, 'What was typed is not lost.');
        $this->get('/pace')->assertRedirect('/sign-in')
            ->assertSessionHas('warning', 'After 12 hours one signs in again. What was saved is there.');
        self::assertGuest();

        // Who stays signed in comes in by a cookie, and not here.
        $this->flushSession();
        config(['luftig.sign_in_hours' => 0]);
        $stays = $this->signIn(['remember' => '1'])->getCookie(Auth::guard('web')->getRecallerName());
        self::assertNotNull($stays);
        foreach ([0 => 200, 12 => 302] as $hours => $status) {
            $this->forget();
            $this->flushSession();
            config(['luftig.sign_in_hours' => $hours]);
            $this->withCookie($stays->getName(), (string) $stays->getValue())->get('/pace')->assertStatus($status);
        }
    }

    public function test_an_address_with_accents_is_the_same_to_those_who_guess(): void
    {
        foreach (['mira', 'MIRA', 'mirá', 'mïra', 'mìra', 'mirà'] as $name) {
            $this->post('/sign-in', ['email' => "$name@blasvik.example", 'password' => 'a guess at it'])
                ->assertStatus(302);
        }
        $this->post('/sign-in', ['email' => 'mirâ@blasvik.example', 'password' => 'a long password'])
            ->assertTooManyRequests();
    }

    public function test_guesses_at_many_addresses_end_too(): void
    {
        for ($i = 0; $i < 40; $i++) {
            $this->post('/sign-in', ['email' => "nobody$i@blasvik.example", 'password' => 'a guess at it']);
        }
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a long password'])
            ->assertTooManyRequests();
    }

    public function test_everybody_changes_their_own_password_and_stays_where_they_are(): void
    {
        activity()->enableLogging();
        $this->signIn();
        $change = fn (array $form) => $this->from('/pace')->put('/password', $form + [
            'current' => 'a long password',
            'password' => 'kettles mind violet',
            'password_confirmation' => 'kettles mind violet',
        ]);
        $wrong = fn (array $form, string $field): string => (string) $change($form)->assertSessionHasErrors($field)
            ->getSession()->get('errors')->first($field);

        self::assertStringContainsString('not the password you have now', $wrong(['current' => 'a guess'], 'current'));
        self::assertStringContainsString('not the same', $wrong(['password_confirmation' => 'other'], 'password'));
        self::assertStringContainsString(
            'tried first',
            $wrong(['password' => 'mira blasvik 1', 'password_confirmation' => 'mira blasvik 1'], 'password'),
            'their own names',
        );
        self::assertTrue(Hash::check('a long password', $this->rep->refresh()->password));

        $change([])->assertSessionHasNoErrors()->assertRedirect('/pace');
        $this->get('/')->assertOk();
        self::assertTrue(Hash::check('kettles mind violet', $this->rep->refresh()->password));
        $said = Activity::query()->where('description', 'password changed')->sole();
        self::assertSame([$this->rep->id, $this->rep->id], [$said->causer_id, $said->subject_id]);
        self::assertStringNotContainsString('kettles', (string) json_encode(Activity::query()->get()));
        $this->post('/sign-out');
        $this->put('/password', [])->assertRedirect('/sign-in');
    }

    public function test_how_hard_a_password_is_to_guess_is_said_while_it_is_typed(): void
    {
        $weighed = fn (mixed $password): TestResponse => $this->actingAs($this->rep)
            ->post('/password/strength', ['password' => $password], ['HX-Request' => 'true'])->assertOk();
        foreach ([
            'kettles' => ['5 characters short of what is needed', '34'],
            // Of “password2o26” one letter is its own.
            'Passw0rd2026!' => ['one of those that are tried first', '8'],
            // The rep's own names.
            'mira blasvik 1' => ['one of those that are tried first', '0'],
            'a long password' => ['just enough', '42'],
            'nine boats 12' => ['good', '75'],
            'kettles mind violet' => ['strong', '100'],
        ] as $password => [$says, $share]) {
            $weighed($password)->assertSeeText(ucfirst($says))->assertSee("aria-valuenow=\"$share\"", false)
                ->assertDontSee($password);
        }
        $weighed('')->assertContent('');
        $weighed(['x'])->assertContent('');
    }

    public function test_a_password_that_was_given_to_one_lets_in_for_a_week(): void
    {
        $this->actingAs($this->lead)->patch(route('team.update', $this->rep), [
            'name' => 'Mira', 'role' => 'rep', 'email' => 'mira@blasvik.example', 'password' => 'nine boats in harbour',
        ])->assertSessionHasNoErrors();
        $enters = function (string $password, string $at): TestResponse {
            $this->post('/sign-out');
            $this->forget();
            $this->at($at);

            return $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => $password]);
        };
        $enters('nine boats in harbour', '2026-11-24T09:00:00Z')->assertRedirect('/')
            ->assertSessionHas('said', fn (string $says): bool => str_contains($says, 'lets you in until 30 November'));
        $this->get('/pace')->assertSeeText('The one you were given lets you in until 30 November.');
        $enters('nine boats in harbour', '2026-11-29T09:00:00Z')->assertSessionHas('warning');
        $enters('nine boats in harbour', '2026-11-30T09:00:01Z')->assertSessionHasErrors([
            'email' => 'The password you were given let you in for a week. Ask whoever gave it to you for another.',
        ]);
        $this->assertGuest();

        // One's own holds, whoever one is.
        $enters('nine boats in harbour', '2026-11-30T08:59:00Z');
        $this->put('/password', [
            'current' => 'nine boats in harbour', 'password' => 'kettles mind violet',
            'password_confirmation' => 'kettles mind violet',
        ])->assertSessionHasNoErrors();
        $enters('kettles mind violet', '2027-03-01T09:00:00Z')->assertRedirect('/')->assertSessionMissing('said');
        $this->actingAs($this->lead)->patch(route('team.update', $this->lead), [
            'name' => 'Ylva', 'role' => 'lead', 'email' => 'ylva@blasvik.example',
            'password' => 'nine boats in harbour',
        ])->assertSessionHasNoErrors();
        self::assertNull($this->lead->refresh()->password_until);
        $this->artisan('luftig:password mira@blasvik.example')->expectsOutputToContain('lets in for a week');
        self::assertSame('2027-03-08', $this->rep->refresh()->password_until?->toDateString());
    }

    /** @return array<string, array{string, bool}> */
    public static function passwords(): array
    {
        return [
            'a word with a year' => ['Password2026', true],
            'letters as digits' => ['P4ssw0rd!!!!', true],
            'in Swedish' => ['sommar2026!!', true],
            'two of them' => ['welcomewelcome1', true],
            'a row of keys' => ['qwertyuiop12', true],
            'a row backwards' => ['0987654321ab', true],
            'up and down' => ['1qaz2wsx3edc', true],
            'one letter over and over' => ['aaaaaaaaaaaa', true],
            'two letters over and over' => ['abababababab', true],
            'our own name' => ['Luftig-2026!', true],
            'digits only' => ['738291054738', true],
            'words that do not belong together' => ['kettles mind violet', false],
            'a common one among others' => ['summer kettles mind', false],
            'twelve at random' => ['xK7vQp2mWz9r', false],
            'eleven at random' => ['xK7vQp2mWz9', true],
            'letters beyond ASCII' => ['blåbærgrød på tog', false],
        ];
    }

    #[DataProvider('passwords')]
    public function test_passwords_that_are_tried_first_are_refused(string $password, bool $isRefused): void
    {
        $response = $this->actingAs($this->lead)->post('/team', [
            'name' => 'Selma', 'role' => 'rep', 'email' => 'selma@blasvik.example', 'password' => $password,
        ]);
        $isRefused ? $response->assertSessionHasErrors('password') : $response->assertSessionHasNoErrors();
    }

    public function test_what_is_given_out_stands_in_the_log_and_whom_it_names_does_not(): void
    {
        activity()->enableLogging();
        $account = Account::factory()->create(['name' => 'Tunhede', 'domain' => 'tunhede.example']);
        $ida = Contact::factory()->create(['account_id' => $account->id, 'first_name' => 'Ida', 'last_name' => 'Lie']);
        $this->actingAs($this->rep);
        $search = ['on' => 'accounts', 'c' => [['f' => 'country', 'v' => 'SE']]];
        $this->get(route('finder.export', ['format' => 'csv'] + $search))->assertOk();
        $this->get(route('contacts.export', 'vcf'))->assertOk();
        $this->get(route('contacts.card', $ida))->assertOk();
        $said = Activity::query()->where('description', 'exported')->orderBy('id')->get();
        self::assertSame(
            [['csv', route('finder', $search)], ['vcf', route('contacts.index')], [
                'vcf', route('contacts.show', $ida),
            ]],
            $said->map(fn (Activity $one): array => [$one->properties['format'], $one->properties['address']])->all(),
        );
        self::assertSame([$this->rep->id], $said->pluck('causer_id')->unique()->all());
        self::assertStringNotContainsString('Ida', (string) json_encode($said));
    }

    #[TestWith(["a long password\0and more"])]
    #[TestWith(['Ååååååååååååååååååååååååååååååååååååååå'])]
    public function test_a_password_of_which_bytes_would_not_count_is_refused(string $password): void
    {
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => $password])
            ->assertSessionHasErrors('password');
        $this->actingAs($this->lead)->patch(route('team.update', $this->rep), [
            'name' => 'Mira', 'role' => 'rep', 'email' => 'mira@blasvik.example', 'password' => $password,
        ])
            ->assertSessionHasErrors('password');
    }

    #[TestWith(['attacker.example'])]
    #[TestWith(['127.0.0.1.attacker.example'])]
    #[TestWith(['localhost.attacker.example'])]
    public function test_another_name_that_leads_here_is_refused(string $host): void
    {
        $this->get("http://$host/sign-in")->assertBadRequest();
        $this->get('http://127.0.0.1/sign-in')->assertOk();
    }

    public function test_who_came_and_who_was_tried_in_vain_stands_in_the_log(): void
    {
        activity()->enableLogging();
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a guess at it']);
        $this->signIn();
        $this->post('/sign-out');
        self::assertSame(
            ['sign-in failed', 'signed in', 'signed out'],
            Activity::query()->where('subject_id', $this->rep->id)->orderBy('id')->pluck('description')->all(),
        );
    }

    public function test_it_is_up_only_with_its_database(): void
    {
        $this->get('/up')->assertOk();
        $port = config('database.connections.mariadb.port');
        config(['database.connections.mariadb.port' => 1]);
        DB::purge();
        $this->get('/up')->assertServerError();
        config(['database.connections.mariadb.port' => $port]);
        DB::purge();
    }

    /** @param  array<string, string>  $more */
    private function signIn(array $more = []): TestResponse
    {
        return $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a long password'] + $more)
            ->assertRedirect('/');
    }

    /** The next request begins with what the session holds, as another process would. */
    private function forget(): void
    {
        $this->app['auth']->forgetGuards();
    }
}
