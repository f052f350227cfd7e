<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverKeys;

/** Words that are used where they stand: copied, mailed, said; and the same on a phone. */
final class ActingTest extends BrowserTestCase
{
    private const PHONE = [390, 844];

    public function test_words_are_copied_by_a_key_and_the_approach_is_recorded_and_undone(): void
    {
        $this->hears();
        $this->signIn('Jonte', '/accounts/1');
        $this->see('Draft to');
        $words = $this->find('[data-words]')->getAttribute('data-words');
        $this->keys('c');
        $this->see('Was it done?');
        self::assertSame($words, $this->until('window.copied', 'Nothing was copied.'));
        $this->dialog('.btn-primary')->click();
        $this->see('is recorded.');
        $this->press($this->find('.toast button:not(.btn-close)'));
        $this->see('The approach is undone; the reason is ready again.');
        $this->open('/reasons?q='.rawurlencode((string) $words));
        $this->press($this->find('main [data-row] a'));
        $this->see('The evidence as it was');
        $this->see((string) $words);
    }

    public function test_a_mail_has_a_subject_and_the_words(): void
    {
        // One that no other test reserves somebody at.
        $this->signIn('Jonte', '/accounts/4');
        parse_str(
            (string) parse_url((string) $this->find('[aria-keyshortcuts=m]')->getAttribute('href'), PHP_URL_QUERY),
            $mail,
        );
        self::assertSame($this->find('[data-words]')->getAttribute('data-words'), $mail['body']);
        self::assertLessThanOrEqual(7, count(explode(' ', (string) $mail['subject'])));
    }

    public function test_the_words_of_a_reason_greet_whom_they_are_for_and_say_how_long_they_are(): void
    {
        $this->signIn('Mira', '/contacts');
        $this->see('Contacts');
        $this->keys('j', 'r');
        $this->see('In which words');
        $this->find('select[name=contact] option[value=""]')->click();
        self::assertMatchesRegularExpression(
            '/^(Hello|Hej), /',
            (string) $this->find('[name=words]')->getAttribute('value'),
        );
        $this->find('select[name=contact] option:nth-child(2)')->click();
        self::assertMatchesRegularExpression(
            '/^(Hello|Hej) \p{Lu}\w+, /u',
            (string) $this->find('[name=words]')->getAttribute('value'),
            'it greets whom it is for',
        );
        $this->find('select[name=channel] option[value=connect]')->click();
        $this->see(' of at most 280 characters');
    }

    public function test_addresses_are_looked_up_where_it_pays_and_the_lead_says_for_how_much(): void
    {
        $this->signIn('Selma');
        $this->see('more accounts into this week’s plan');
        $this->keys('g', 'o');
        $this->see('Where a look-up pays');
        $who = $this->find('tbody a')->getText();
        $this->press('Ask for these 15');
        $this->see('15 people would be asked for');
        $this->press('Ask for 15 people');
        $this->until(
            'document.querySelector("[data-tally=found]") && ! document.querySelector("#progress [role=progressbar]")',
            'The run does not end.',
        );
        $this->see('Done, begun by Selma');
        $found = (int) $this->find('[data-tally=found]')->getText();
        self::assertGreaterThan(4, $found);
        $took = $this->find('[data-tally=credits]')->getText();
        $this->press($who);
        $this->see('found by');
        $this->open('/look-ups');
        $this->see("{$took} of 600 credits");
        $this->signIn('Ylva', '/look-ups');
        $this->press('Set the budgets');
        $this->fill('input[name="credits[team]"]', $took);
        $this->press('Set them');
        $this->see('The budgets are set.');
        $this->see('Nothing may be spent at present');
        $this->press('Set the budgets');
        $this->fill('input[name="credits[team]"]', '600');
        $this->press('Set them');
        $this->see('more accounts into this week’s plan');
    }

    public function test_what_pays_is_ordered_for_every_night_and_figures_are_asked_for(): void
    {
        $this->signIn('Mira', '/look-ups');
        $this->press('Order it for every night');
        $this->fill('input[name=credits]', '0');
        $this->browser->executeScript('document.querySelector("input[name=credits]").form.noValidate = true');
        $this->press($this->all('button', 'Order it')[0]);
        $this->until('document.querySelector(".invalid-feedback, .text-danger")?.innerText.trim()', 'It is told why.');
        $this->fill('input[name=credits]', '5');
        $this->press($this->all('button', 'Order it')[0]);
        $this->see('Standing order.');
        $this->press('End it');
        $this->until('! document.body.innerText.includes("Standing order.")', 'It is ended.');
        $this->press($this->find('form[action$="/look-ups/figures"] button'));
        $this->until('/look-ups\\/runs/.test(location.pathname)', 'The run is shown.');
        $this->until('/finished|Finished|asked/.test(document.body.innerText)', 'It is under way.');
    }

    public function test_a_question_mark_says_what_a_screen_is_for(): void
    {
        $this->signIn('Mira');
        $this->keys('?');
        self::assertStringContainsString('Today', $this->dialog()->getText());
        $this->keys(WebDriverKeys::ESCAPE);
    }

    public function test_on_a_phone_the_list_comes_first_and_opens_what_is_tapped(): void
    {
        $window = $this->browser->manage()->window();
        $before = $window->getSize();
        $window->setSize(new WebDriverDimension(...self::PHONE));
        try {
            $this->signIn('Jonte');
            $this->see('left in your pace');
            self::assertFalse($this->browser->executeScript(
                'return document.querySelector("#focus").checkVisibility({visibilityProperty: true})',
            ));
            $name = $this->all('[data-row] [data-name]')[1]->getText();
            $this->press($this->all('[data-row] [hx-get]')[1]);
            $this->until(
                'document.querySelector("#focus.show:not(.showing) h2")?.innerText === arguments[0]',
                'The one that was tapped is not open.',
                $name,
            );
            $this->press($this->find('#focus .btn-close'));
            $this->until('document.querySelector("#focus.show") === null', 'It stays open.');
            foreach (['/', '/accounts/1', '/finder', '/reasons', '/contacts/1', '/rules/1', '/intake'] as $view) {
                $this->open($view);
                $this->find('h1');
                self::assertTrue(
                    $this->browser->executeScript('return document.documentElement.scrollWidth <= innerWidth'),
                    "$view scrolls sideways",
                );
            }
            $this->press('Screens');
            $this->press($this->find('#screens.show a[href="/reasons"]'));
            $this->until('document.querySelector("h1")?.innerText === "Reasons"', 'It leads nowhere.');
        } finally {
            $window->setSize($before);
        }
    }
}
