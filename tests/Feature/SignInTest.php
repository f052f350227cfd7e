<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
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
        $this->signIn(['remember' => '1']);
        $token = $this->rep->refresh()->getRememberToken();
        self::assertNotNull($token);
        $this->get('/')->assertOk();
        $this->rep->update(['password' => 'quite another one']);
        self::assertNotSame($token, $this->rep->refresh()->getRememberToken());
        $this->forget();
        $this->get('/')->assertRedirect('/sign-in');
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
    private function signIn(array $more = []): void
    {
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a long password'] + $more)
            ->assertRedirect('/');
    }

    /** The next request begins with what the session holds, as another process would. */
    private function forget(): void
    {
        $this->app['auth']->forgetGuards();
    }
}
