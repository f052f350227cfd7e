<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** A source that is asked by itself: added, tried, run, failed and recovered; what it brings, decided and struck. */
final class FeedsTest extends BrowserTestCase
{
    public function test_a_feed_is_tried_added_fails_and_recovers(): void
    {
        $this->signIn('Ylva', '/intake');
        $this->press('Add a feed');
        $name = uniqid('Paper ');
        $this->fill('input[name=name]', $name);
        $this->find('select[name=format] option[value=press]')->click();
        $this->fill('input[name=address]', 'http://10.0.0.1/atom.xml');
        $this->press('Add the feed');
        $this->see('10.0.0.1 is an address of a private network, which is not asked.');
        $this->fill('input[name=address]', self::outside('press/dispatch/atom.xml'));
        $this->press('Try it');
        $this->see('What its first items would become');
        $this->see('It names nobody in the base.');
        self::fault('press', '500');
        $this->press('Add the feed');
        $this->see("“{$name}” is added, and is being asked.");
        $this->see('It has a fault of its own (answer 500).');
        self::fault('press', null);
        $this->press('Ask it now');
        $this->see('About nobody in the base');
        $this->press('Taken');
        $this->see('closes funding round');
        $this->press('Pause');
        $this->see("“{$name}” is paused.");
        $this->press('Remove');
        $this->see("“{$name}” is asked no more; what it brought stays.");
        $this->press($this->find('.toast button:not(.btn-close)'));
        $this->see("“{$name}” is back.");
    }

    public function test_postings_are_asked_for_a_candidate_is_taken_in_and_ranked(): void
    {
        $this->signIn('Ylva', '/feeds/1');
        $this->press('Ask it now');
        // A long run goes on while one waits, and the page follows it.
        $this->see('Postings become openings');
        $this->until('document.querySelector("#runs tbody td:last-child")?.textContent.includes("done")',
            'The run does not end.');
        $this->open('/candidates');
        $first = $this->find('tbody tr strong')->getText();
        $this->find('tbody input[type=checkbox]')->click();
        $this->press('Take into the base');
        $this->see('1 company taken into the base.');
        $this->open('/accounts?q='.rawurlencode($first));
        $this->press($first);
        $this->see('sought');
        $this->see('Whom they seek');
    }

    public function test_a_wrong_signal_is_struck_out_the_account_falls_and_it_is_taken_back(): void
    {
        $this->signIn('Mira', '/accounts?q=Tunhede');
        $this->press('Glasverk Tunhede');
        $points = 'parseFloat(document.querySelector(".font-figure.fs-1").textContent)';
        $before = (float) $this->until($points, 'There is no priority.');
        $this->press('Round B, €12M, for a fourth line');
        $this->see('How it came about');
        $this->press('Strike it out');
        $this->dialog('input[name=reason]')->sendKeys('another firm');
        $this->press($this->dialog('.btn-danger'));
        $this->see('is struck out, and counts no more.');
        self::assertLessThan($before, (float) $this->until($points, 'There is no priority.'));
        $this->press($this->find('.toast button:not(.btn-close)'));
        $this->see('It counts again.');
        $this->press('Glasverk Tunhede');
        self::assertSame($before, (float) $this->until($points, 'There is no priority.'));
    }

    public function test_the_people_under_a_post_go_onto_a_list(): void
    {
        $this->signIn('Mira', '/intake');
        $this->fill('input[name=of]', self::outside('posts/power-prices-1'));
        $this->keys(WebDriverKeys::ENTER);
        $this->see('A post on “Power prices”');
        $this->see('Power prices at noon were a tenth of those at seven.');
        $this->see('Whom we know');
        $known = count($this->all('tbody td a'));
        $this->press('Narrow in the Finder');
        $this->see("$known contact");
        $this->press('Keep as list');
        $name = uniqid('Under a post ');
        $this->dialog('input[name=name]')->sendKeys($name.WebDriverKeys::ENTER);
        $this->see($name);
        $this->open('/lists');
        $this->see($name);
    }

    public function test_an_alert_is_made_tells_on_today_once_and_is_ticked_off(): void
    {
        $this->signIn('Anton');
        $this->keys('g', 'm');
        $this->see('My alerts');
        $this->press('Tell me');
        $this->see('You will be told: all that counts of all accounts that I may approach, on Today.');
        $title = uniqid('New hall ');
        $this->open('/accounts?q=Tunhede');
        $this->press('Glasverk Tunhede');
        $this->press('Add a signal');
        $this->find('#new-signal select[name=kind] option[value=expansion]')->click();
        $this->fill('#new-signal input[name=title]', $title);
        $this->press($this->dialog('.btn-primary'));
        $this->see($title);
        $this->keys('g', 't');
        $this->see('Just in');
        $this->see($title);
        $this->press('Seen');
        $this->until('!document.body.textContent.includes("Just in")', 'It is not ticked off.');
        $this->keys('g', 'm');
        $this->see('Told lately');
        $this->see($title);
    }
}
