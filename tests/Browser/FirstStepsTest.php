<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;

/** A team of another trade, from an empty base to ten approaches, with its own files as they lie there. */
final class FirstStepsTest extends BrowserTestCase
{
    protected const DEMO = false;

    protected const NOW = '2026-11-27T09:00:00Z';

    private const MOST = 25;

    private int $clicks = 0;

    public function test_dentists_from_nothing_to_ten_approaches(): void
    {
        self::assertSame(1, preg_match('/as (\S+) with the password (\S+) /', self::$said, $told), self::$said);
        $this->open('/sign-in');
        $this->fill('input[name=email]', $told[1]);
        $this->fill('input[name=password]', $told[2]);
        $this->click('Sign in');
        $this->see('What we sell');
        $this->fill('input[name=name]', 'Quastrein');
        $this->fill('input[name=about]', 'Sets of instruments, fetched in the evening, back in the morning');
        $this->click('Next: whom it serves');
        $this->see('Whom Quastrein serves');
        $this->choose('select[name=trade]', 'medical and dental practices');
        $this->see('medical and dental practice activities (8620)');
        $this->find('input[name="countries[]"]')->sendKeys('Germany');
        $this->click('Next: who buys');
        $this->see('Who takes part in buying');
        $this->see('Practice management');
        $this->click('Next: bring files');
        $this->see('Bring accounts, contacts');
        $folder = dirname(__DIR__).'/data/trades/zahnarztpraxen/';
        $files = array_map(
            fn (string $name): string => $folder.$name,
            ['anlaesse.csv', 'praxen.csv', 'kunden.csv', 'ansprechpartner.csv'],
        );
        $this->find('input[type=file]')->sendKeys(implode("\n", $files));
        $this->click('Look at it');
        foreach (['60', '6', '180', '120'] as $i => $rows) {
            $this->see('What becomes of its rows');
            $this->click('Bring it in');
            $this->until('document.querySelector("[data-tally=created]")?.textContent === "'.$rows.'"', "$rows rows.");
            $this->click($i < 3 ? 'Next: ' : 'Today');
        }
        $this->until('document.querySelectorAll("[data-row]").length >= 10', 'Ten approaches stand on Today.');
        self::assertLessThanOrEqual(self::MOST, $this->clicks);
        $this->see('Praxis');
        self::assertNotSame([], $this->all('[data-row] strong'), 'somebody is addressed');
        self::assertStringNotContainsString('Stagiair', $this->text());
        $this->open('/begin?step=5');
        $this->see('The first ten');
        self::assertCount(10, $this->all('#step li'));
        $this->open('/begin?step=2');
        $this->see('Germany');
    }

    private function click(string $what): void
    {
        $this->clicks++;
        $this->press($what);
    }

    private function choose(string $selector, string $text): void
    {
        $this->clicks++;
        foreach ($this->find($selector)->findElements(WebDriverBy::tagName('option')) as $option) {
            if ($option->getText() === $text) {
                $option->click();

                return;
            }
        }
        self::fail("“{$text}” cannot be chosen.");
    }
}
