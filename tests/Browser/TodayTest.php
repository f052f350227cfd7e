<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** A whole day on Today, with nothing but keys; and what the days' results teach. */
final class TodayTest extends BrowserTestCase
{
    private const PACE = 20;

    public function test_a_day_of_twenty_approaches_by_keyboard_only(): void
    {
        $this->signIn('Selma');
        $this->hears();
        $this->open('/');
        $this->see(self::PACE.' approaches left in your pace.');
        $approached = [];
        for ($n = 1; $n <= self::PACE; $n++) {
            $this->inFocus();
            if ($n === 1) {
                // The reason by one key, and used where it stands.
                $this->keys('r');
                $this->see('is recorded, with its evidence.');
                $this->see('The reason is recorded');
            } elseif ($n === 2) {
                $words = $this->words();
                $this->keys('w');
                $this->until('document.querySelector("#focus [data-words]")?.dataset.words !== arguments[0]',
                    'There is no other angle.', $words);
            } elseif ($n === 3) {
                $this->keys('j');
                $this->inFocus();
            }
            $approached[] = $name = $this->find('#focus h2')->getText();
            $this->keys('c');
            $this->until('document.activeElement?.innerText === "Yes, record it"', 'Nothing asks whether it was done.');
            $this->keys(WebDriverKeys::ENTER);
            $left = self::PACE - $n;
            $this->see($left === 0 ? 'Done for today: 20 of 20 approaches made.' : "$left approach");
            $this->see("$n of ".self::PACE);
            self::assertNotSame('', $name);
        }
        self::assertCount(self::PACE, array_unique($approached), 'no company twice on a day');
        $this->see('Tomorrow begins with');
        $this->see('Done today');
        self::assertCount(0, $this->browser->findElements(WebDriverBy::cssSelector('[data-row]')));

        // What came of one, by a key; and taken back.
        $this->keys('g', 'r');
        $this->press('No answer yet');
        $this->see('interested');
        $this->keys('j', '1');
        $this->see('The result is recorded: ');
        $this->press($this->find('.toast button:not(.btn-close)'));
        $this->see('The result is taken back');
    }

    public function test_what_results_speak_for_is_accepted_and_undone(): void
    {
        $this->signIn('Ylva');
        $this->keys('g', 's');
        $this->see('What results speak for');
        $this->press('Look at each line');
        $this->see('Learned from ');
        $this->see('would move');
        $this->press('Accept as the rules');
        $this->see('Accepted, as version');
        $this->see('The rules follow these results already.');
        $this->open('/accounts/1');
        $this->see('Chance of an answer');
        $this->press('Results');
        $this->press('Look at each line');
        $this->see('Ylva');
        $this->open('/rules/1');
        $this->press('Versions');
        $this->see('Learned from 4');
        // Back to the version before, by hand where what says it is gone.
        $this->open('/results/learned');
        $this->see('The rules follow these results already.');
        $this->press('Take back what was accepted');
        $this->see('The weights are those of version');
        $this->see('Accept as the rules');
    }

    public function test_from_today_to_an_introduction_that_is_asked_for_by_keyboard(): void
    {
        $this->signIn('Mira');
        for ($n = 0; $n < self::PACE; $n++) {
            $this->inFocus();
            if ($this->browser->findElements(WebDriverBy::cssSelector('#focus [aria-keyshortcuts=i]')) !== []) {
                break;
            }
            $this->keys('j');
        }
        $this->keys('i');
        $this->see('for an introduction');
        $this->find('[name=request]')->sendKeys(' It would help.');
        $this->find('[name=remind_on]')->sendKeys(WebDriverKeys::TAB);
        $this->browser->switchTo()->activeElement();
        $this->press('Write it down');
        $this->see('Written down: ');
        $this->see('One click says yes or no: ');
        $address = (string) $this->browser->executeScript(
            'return document.querySelector("[data-words]").dataset.words.match(/https?:\\S+answer\\S+/)[0]',
        );
        // The introducer, without signing in.
        $this->browser->manage()->deleteAllCookies();
        $this->browser->get($address);
        $this->see('What you could pass on');
        $this->find('[name=answer]')->sendKeys('She is glad to talk.');
        $this->press('I passed it on');
        $this->see('Thank you. Mira');
        $this->signIn('Mira');
        $this->keys('g', 'n');
        $this->see('Who was asked');
        $this->see('1 of 1 agreed');
    }

    /** The last of all, since what comes then stays. */
    public function test_a_day_later_that_day_s_news_is_there(): void
    {
        $this->signIn('Ylva', '/feeds/1');
        $this->press('Ask it now');
        $this->until(
            'document.querySelector("#runs tbody td:last-child")?.textContent.includes("done")', 'It is asked.',
        );
        try {
            self::itIs('2026-11-24T09:00:00Z');
            $this->signIn('Ylva', '/feeds/1');
            $this->press('Ask it now');
            $this->until(
                '[...document.querySelectorAll("#runs tbody tr")].slice(0, -1).some((row) => '
                    .'row.lastElementChild.textContent.includes("done") && Number(row.cells[2].textContent) > 0)',
                'Nothing new came.',
            );
        } finally {
            self::itIs(self::NOW);
        }
    }

    /** Waits until the approach in focus stands beside the row that has it. */
    private function inFocus(): void
    {
        $this->until(
            'document.querySelector("[data-row].active")?.dataset.account'
                .' === document.querySelector("#focus [data-focused]")?.dataset.focused'
                .' && document.querySelector("#focus [data-words]")?._x_dataStack !== undefined'
                .' && document.querySelector(".modal.show, .modal-backdrop") === null',
            'Nothing is in focus.',
        );
    }

    private function words(): string
    {
        return (string) $this->find('#focus [data-words]')->getAttribute('data-words');
    }
}
