<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Support\OneTimeCode;

/** What everybody sets for themselves: pace, password, a code beside it, tokens of programs. */
final class OwnTest extends BrowserTestCase
{
    protected const DEMO = false;

    protected const NOW = '2026-11-27T09:00:00Z';

    public function test_a_password_is_changed_a_code_asked_for_and_a_program_let_in(): void
    {
        self::assertSame(1, preg_match('/as (\S+) with the password (\S+) /', self::$said, $told), self::$said);
        $this->enter($told[1], $told[2]);
        $this->see('Go to');
        $this->open('/pace');
        $this->fill('input[name=pace]', '12');
        $this->press('Keep');
        $this->see('Your pace is 12 approaches a day.');
        $this->see('Where I am signed in');
        $this->press('Make my address');
        $this->see('It is shown this once:');
        $calendar = (string) file_get_contents(trim($this->find('main code')->getText()));
        self::assertStringStartsWith('BEGIN:VCALENDAR', $calendar);
        $this->fill('input[name=current]', $told[2]);
        $this->fill('input[name=password]', 'four horses graze far');
        $this->see('Strong');
        $this->fill('input[name=password_confirmation]', 'four horses graze far');
        // Whoever types it may look at it; the other fields stay as they are.
        $this->press($this->all('button', 'Show the password')[1]);
        $this->see('Hide the password');
        self::assertSame(['text', 'password'], [
            $this->find('input[name=password]')->getAttribute('type'),
            $this->find('input[name=password_confirmation]')->getAttribute('type'),
        ]);
        $this->press('Hide the password');
        $this->until('document.querySelector("input[name=password]").type === "password"', 'It is still to be seen.');
        $this->press('Change the password');
        $this->until('! document.querySelector("input[name=current]").value', 'The form is empty again.');

        $this->press('Ask for a code too');
        $secret = str_replace(' ', '', $this->find('[data-secret]')->getText());
        $this->fill('input[name=code]', OneTimeCode::at($secret, (int) strtotime(self::NOW)));
        $this->fill('input[name=current]', 'four horses graze far');
        $this->press('Set it up');
        $this->see('It is set up.');
        $paper = explode("\n", trim($this->find('[data-codes]')->getText()))[0];

        $this->browser->manage()->deleteAllCookies();
        $this->enter($told[1], 'four horses graze far');
        $this->see('And the code');
        $this->fill('input[name=code]', '000000');
        $this->press('Sign in');
        $this->see('This code does not count, or not any more.');
        $this->fill('input[name=code]', $paper);
        $this->press('Sign in');
        $this->see('Go to');

        $this->open('/tokens');
        $this->fill('input[name=name]', 'Nightly copy');
        $this->press('Make it');
        $token = $this->find('[data-token]')->getText();
        $address = (string) $this->browser->executeScript('return location.origin');
        $asks = function (string $with) use ($address): string {
            $says = ['header' => "Authorization: Bearer $with", 'ignore_errors' => true];

            return (string) file_get_contents(
                "$address/api/accounts", false, stream_context_create(['http' => $says]),
            );
        };
        self::assertStringContainsString('"data":', $asks($token));
        $this->press('End it');
        $this->see('The token holds no more.');
        self::assertStringContainsString('This needs a token that holds.', $asks($token));

        $this->open('/second-factor');
        $this->see('7 codes on paper left.');
        $this->fill('input[name=current]', 'four horses graze far');
        $this->press('Take it away');
        $this->see('You sign in with your password alone again.');
    }

    private function enter(string $email, string $password): void
    {
        $this->open('/sign-in');
        $this->fill('input[name=email]', $email);
        $this->fill('input[name=password]', $password);
        $this->press('Sign in');
    }
}
