<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Mail\SignInChanged;
use App\Models\Role;
use App\Models\User;
use App\Support\OneTimeCode;
use App\Support\SecondFactor;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Spatie\Activitylog\Models\Activity;
use Tests\TestCase;

/** A second factor beside the password, and sign-ins elsewhere. */
final class SecondFactorTest extends TestCase
{
    /** “12345678901234567890”, the secret of the examples of RFC 6238, in base 32. */
    private const SECRET = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ';

    /** Appendix B of RFC 6238, SHA-1; of eight digits the last six. */
    #[TestWith([59, '287082'])]
    #[TestWith([1_111_111_109, '081804'])]
    #[TestWith([1_111_111_111, '050471'])]
    #[TestWith([1_234_567_890, '005924'])]
    #[TestWith([2_000_000_000, '279037'])]
    #[TestWith([20_000_000_000, '353130'])]
    public function test_codes_are_those_of_the_standard(int $time, string $code): void
    {
        self::assertSame($code, OneTimeCode::at(self::SECRET, $time));
        self::assertSame(intdiv($time, 30), OneTimeCode::step(self::SECRET, ' '.$code.' ', $time));
        self::assertSame(intdiv($time, 30), OneTimeCode::step(self::SECRET, $code, $time + 30), 'a clock that is late');
        self::assertNull(OneTimeCode::step(self::SECRET, $code, $time + 61));
        self::assertNull(OneTimeCode::step(self::SECRET, $code, $time, intdiv($time, 30)), 'none counts twice');
    }

    public function test_it_is_set_up_asked_for_and_taken_away(): void
    {
        $this->actingAs($this->rep)->get('/pace')->assertSeeText('Only your password lets you in.');
        $page = $this->get('/second-factor')->assertOk();
        $secret = (string) session('second_secret');
        self::assertMatchesRegularExpression('/^[A-Z2-7]{32}$/', $secret);
        $page->assertSee(implode(' ', str_split($secret, 4)))->assertSee('otpauth://totp/Luftig:mira', false);
        $code = OneTimeCode::at($secret, now()->getTimestamp());
        $form = ['current' => 'a long password', 'code' => $code];
        $this->post('/second-factor', ['current' => 'not it'] + $form)->assertSessionHasErrors('current');
        $this->post('/second-factor', ['code' => '000000'] + $form)->assertSessionHasErrors('code');
        self::assertNull($this->rep->refresh()->second_factor);
        $this->post('/second-factor', $form)->assertSessionHasNoErrors();
        $codes = session('codes');
        self::assertCount(8, array_unique($codes));
        $this->get('/second-factor')->assertSeeText($codes[0])->assertSeeText('8 codes on paper left');
        self::assertStringNotContainsString($secret, (string) DB::table('users')->where('id', $this->rep->id)
            ->value('second_factor'), 'kept encrypted');

        $this->away();
        $this->password()->assertRedirect('/sign-in/code');
        $this->assertGuest();
        $this->get('/')->assertRedirect('/sign-in');
        $this->get('/sign-in/code')->assertOk()->assertSeeText('And the code');
        $this->post('/sign-in/code', ['code' => $code])->assertSessionHasErrors('code');
        $this->at('2026-11-23T09:00:31Z');
        $this->post('/sign-in/code', ['code' => OneTimeCode::at($secret, now()->getTimestamp())])
            ->assertRedirect('/');
        $this->assertAuthenticatedAs($this->rep);
        // Also whoever comes in by a code is told that their password was given to them.
        $this->rep->refresh()->update(['password_until' => '2026-11-29 09:00:00']);
        $this->away();
        $this->password();
        $this->at('2026-11-23T09:01:01Z');
        $this->post('/sign-in/code', ['code' => OneTimeCode::at($secret, now()->getTimestamp())])
            ->assertSessionHas('said', fn (string $says): bool => str_contains($says, 'until 29 November'));
        $this->delete('/second-factor', ['current' => 'not it'])->assertSessionHasErrors('current');
        $this->delete('/second-factor', ['current' => 'a long password'])->assertSessionHasNoErrors();
        $this->away();
        $this->password()->assertRedirect('/');
        $this->assertAuthenticatedAs($this->rep);
    }

    public function test_one_is_told_by_mail_of_what_one_signs_in_with_where_one_was_known_until_then(): void
    {
        Mail::fake();
        $told = function (string $at, string ...$says): void {
            $mails = Mail::queued(SignInChanged::class);
            self::assertCount(1, $mails);
            self::assertTrue($mails->first()->hasTo($at), $mails->first()->to[0]['address'] ?? '');
            $text = html_entity_decode($mails->first()->render(), ENT_QUOTES);
            foreach (['23 November 2026, 09:00', ...$says] as $one) {
                self::assertStringContainsString($one, $text);
            }
            Mail::fake();
        };
        $this->actingAs($this->rep)->patch(route('pace.update'), ['pace' => '12']);
        Mail::assertNothingOutgoing();
        $this->put(route('password.update'), [
            'current' => 'a long password', 'password' => 'four horses graze', 'password_confirmation' => 'four horses '
                .'graze',
        ])->assertSessionHasNoErrors();
        $told('mira@blasvik.example', 'your password was changed.');
        SecondFactor::begin($this->rep, self::SECRET, 1);
        $told('mira@blasvik.example', 'a code is asked for beside your password.');
        $change = fn (array $to): TestResponse => $this->actingAs($this->lead)->patch(
            route('team.update', $this->rep), $to + ['name' => 'Mira', 'role' => 'rep', 'email' => $this->rep->email],
        )->assertSessionHasNoErrors();
        $change(['password' => 'nine boats in harbour']);
        $told('mira@blasvik.example', 'your password was changed, by Ylva.');
        $change(['email' => 'mira.new@blasvik.example']);
        $told('mira@blasvik.example', 'you sign in as mira.new@blasvik.example, by Ylva.');
        SecondFactor::end($this->rep->refresh());
        $told('mira.new@blasvik.example', 'no code is asked for beside your password any more, by Ylva.');
        $change(['email' => '']);
        $told('mira.new@blasvik.example', 'your sign-in was taken away, by Ylva.');
    }

    public function test_where_it_is_set_so_whoever_leads_goes_nowhere_without_a_code(): void
    {
        $this->actingAs($this->lead)->get('/team')->assertOk();
        config(['luftig.leads_code' => true]);
        foreach (['/', '/team', '/log', '/tokens', '/accounts'] as $page) {
            $this->get($page)->assertRedirect('/second-factor');
        }
        $this->post('/team', ['name' => 'Selma', 'role' => 'rep'])->assertRedirect('/second-factor');
        self::assertSame(0, User::query()->where('name', 'Selma')->count());
        $this->get('/second-factor')->assertOk()->assertSeeText('Whoever leads signs in with a code');
        $this->get('/pace')->assertOk();
        $this->post('/second-factor', [
            'current' => 'a long password',
            'code' => OneTimeCode::at((string) session('second_secret'), now()->getTimestamp()),
        ])->assertSessionHasNoErrors();
        $this->get('/team')->assertOk();
        $this->actingAs($this->rep)->get('/')->assertOk();
        $this->actingAs($this->person('Ada', Role::Admin))->get('/')->assertRedirect('/second-factor');
        $this->post('/sign-out')->assertRedirect('/sign-in');
    }

    public function test_a_code_on_paper_lets_in_once_and_guesses_end(): void
    {
        activity()->enableLogging();
        $codes = SecondFactor::begin($this->rep, self::SECRET, 0);
        $this->password();
        $this->post('/sign-in/code', ['code' => strtoupper($codes[2])])->assertRedirect('/');
        $this->away();
        $this->password();
        $this->post('/sign-in/code', ['code' => $codes[2]])->assertSessionHasErrors('code');
        self::assertCount(7, $this->rep->refresh()->recovery_codes ?? []);
        for ($i = 0; $i < 5; $i++) {
            $this->post('/sign-in/code', ['code' => "00000$i"]);
        }
        $this->post('/sign-in/code', ['code' => $codes[3]])->assertTooManyRequests();
        self::assertContains('sign-in failed at the second factor', Activity::query()->pluck('description')->all());
        self::assertStringNotContainsString($codes[3], (string) DB::table('users')->get()->toJson());
    }

    public function test_the_code_belongs_to_the_password_of_a_moment_ago(): void
    {
        $codes = SecondFactor::begin($this->rep, self::SECRET, 0);
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
        $this->post('/sign-in/code', ['code' => $codes[0]])->assertRedirect('/sign-in');
        $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a wrong password']);
        $this->get('/sign-in/code')->assertRedirect('/sign-in');
        $this->password();
        $this->at('2026-11-23T09:10:01Z');
        $this->post('/sign-in/code', ['code' => $codes[0]])->assertRedirect('/sign-in');
        $this->assertGuest();
        $this->password();
        User::query()->whereKey($this->rep->id)->update(['signs_in' => false]);
        $this->post('/sign-in/code', ['code' => $codes[0]])->assertRedirect('/sign-in');
        $this->assertGuest();
        User::query()->whereKey($this->rep->id)->update(['signs_in' => true]);
        $this->artisan('luftig:password', ['email' => 'mira@blasvik.example'])
            ->expectsOutputToContain('The second factor is taken away, too');
        self::assertNull($this->rep->refresh()->second_factor);
    }

    public function test_sign_ins_elsewhere_are_listed_and_ended(): void
    {
        foreach (
            [
                ['one', $this->rep, 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Firefox/140.0'],
                ['two', $this->rep, 'Mozilla/5.0 (iPhone) Safari/605'], ['other', $this->lead, 'Chrome/1'],
            ] as [$id, $user, $agent]
        ) {
            DB::table('sessions')->insert([
                'id' => $id, 'user_id' => $user->id, 'ip_address' => '192.0.2.7', 'user_agent' => $agent,
                'payload' => '', 'last_activity' => now()->subHours(2)->getTimestamp(),
            ]);
        }
        $page = $this->actingAs($this->rep)->get('/pace')->assertSeeText('Firefox on Linux')
            ->assertSeeText('Safari on iPhone')->assertDontSeeText('Chrome')->assertSeeText('End all others');
        $page->assertDontSee('value="one"', false);
        $token = $this->rep->getRememberToken();
        $this->delete('/sessions', ['which' => substr(hash('sha256', 'one'), 0, 16)])
            ->assertSessionHas('said', 'It is ended.');
        self::assertSame(['other', 'two'], DB::table('sessions')->orderBy('id')->pluck('id')->all());
        self::assertNotSame($token, $this->rep->refresh()->getRememberToken(), 'no browser is remembered');
        $this->delete('/sessions', ['which' => substr(hash('sha256', 'other'), 0, 16)])
            ->assertSessionHas('said', 'It had ended already.');
        $this->delete('/sessions', ['which' => 'others']);
        self::assertSame(['other'], DB::table('sessions')->pluck('id')->all());
    }

    private function password(): TestResponse
    {
        return $this->post('/sign-in', ['email' => 'mira@blasvik.example', 'password' => 'a long password']);
    }

    private function away(): void
    {
        $this->post('/sign-out');
        $this->assertGuest();
    }
}
