<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** The main job: from files to a recorded reason. */
final class ImportToReasonTest extends BrowserTestCase
{
    public function test_by_mouse(): void
    {
        $this->signIn('Mira');
        $this->bring(
            'accounts-eigene.csv',
            "Firma;Webseite;Branche;Mitarbeiter;Land;Ort\n"
                ."Skogsglas Prov;skogsglas-prov.example;Glas;ca. 320;Schweden;Falkenberg\n"
                ."Ohne Seite;;Glas;10;Schweden;\n",
        );
        $this->see('Accounts, brought in');
        self::assertSame(
            ['1', '1'],
            [$this->find('[data-tally=created]')->getText(), $this->find('[data-tally=waiting]')->getText()],
        );
        $this->see('No website tells which account this is');
        $this->bring(
            'signals-eigene.csv',
            "domain;kind;date;title;strength;confidence;quote\n"
                ."skogsglas-prov.example;customer_alum;2026-11-01;Chief worked at a customer;1;1;\n"
                .'skogsglas-prov.example;expansion;20.11.2026;Second furnace ordered;1;1;The second furnace comes '
                ."in May.\nskogsglas-prov.example;new_leader;2026-10-20;New head of maintenance;1;1;\n",
        );
        $this->see('Signals, brought in');

        $this->press('See the ranking');
        $this->fill('#q', 'Skogsglas');
        $this->press('Show');
        $this->see('Skogsglas Prov');
        $this->press('Skogsglas Prov');
        $this->see('Why it ranks where it ranks');
        $line = $this->all('details.point', 'Second furnace ordered')[0];
        $this->press($line->findElement(WebDriverBy::cssSelector('summary')));
        $this->see('weight of expansion');
        foreach (['weight of expansion', '.40', 'strength', 'confidence', 'freshness', 'novelty', '1.00'] as $part) {
            self::assertStringContainsString($part, $line->getText());
        }
        $this->press('Record the reason');
        $this->see('What the words rest on');
        // Ticked is what the words mention; what is told besides is ticked by hand.
        $this->press($this->all('.form-check', 'Chief worked at a customer')[0]->findElement(
            WebDriverBy::cssSelector('input:not(:checked)'),
        ));
        $this->press($this->all('button', 'Record the reason')[0]);
        $this->see('The evidence as it was');
        $this->see('Chief worked at a customer');

        $this->press('Record the approach');
        $this->see('The approach is recorded.');
        $this->press($this->find('.toast button:not(.btn-close)'));
        $this->see('the reason is ready again');
        $this->press('Record the approach');
        $this->find('select[name=result] option[value=interested]')->click();
        $this->press('Record the result');
        $this->see('Result: interested');
        $this->open('/reasons?state=used');
        $this->see('Skogsglas Prov');
    }

    public function test_by_keyboard(): void
    {
        $this->signIn('Anton');
        $this->keys('g', 'i');
        $this->see('Bring files');
        $this->bring(
            'accounts-keys.csv',
            "domain\tname\tindustry\theadcount\ntangentglas.example\tTangentglas\tglass\t220\n",
            keyboard: true,
        );
        $this->see('Accounts, brought in');
        $this->bring(
            'signals-keys.csv',
            "domain\tkind\tdate\ttitle\tstrength\ntangentglas.example\tfunding\t2026-11-21\tRound A closed\t1\n",
            keyboard: true,
        );
        $this->see('Signals, brought in');

        $this->keys('/');
        $this->find('#go-q')->sendKeys('Tangentgl');
        $this->see('tangentglas.example');
        $this->find('#go-q')->sendKeys(WebDriverKeys::ENTER);
        $this->see('Why it ranks where it ranks');
        $this->keys('n');
        $this->browser->switchTo()->activeElement()
            ->sendKeys('Looked at by keyboard.'.WebDriverKeys::TAB.WebDriverKeys::ENTER);
        $this->see('The note is kept.');
        $this->keys('r');
        $this->see('What the words rest on');
        $this->find('textarea[name=words]')->sendKeys(' May I call?'.WebDriverKeys::TAB.WebDriverKeys::ENTER);
        $this->see('The reason is recorded');
        $this->see('Round A closed');

        $this->keys('g', 't');
        $this->see('left in your pace');
        // Asked in the page, which may still take the place of another.
        $inFocus = fn (): ?string => $this->browser->executeScript(
            'return location.pathname === "/" ? document.querySelector("[data-row].active")?.dataset.account ?? '
                .'null : null',
        );
        $first = $this->wait($inFocus, 'Nobody is in focus.');
        $this->keys('j', 'j');
        $this->wait(
            fn (): bool => $inFocus() !== $first && $this->browser->executeScript(
                'return document.querySelector("[data-focused]")?.dataset.focused',
            ) === $inFocus(),
            'Nobody else is in focus.',
        );
        $name = $this->find('[data-row].active [data-name]')->getText();
        $this->keys('l');
        $this->dialog('input[type=date]')->sendKeys(WebDriverKeys::ENTER);
        $this->see("$name is put off to");
        self::assertSame([], $this->all('[data-row] [data-name]', $name));
        $this->keys('?');
        $this->see('go to any account, contact, list or screen');
    }

    private function bring(string $name, string $text, bool $keyboard = false): void
    {
        $this->open('/intake');
        $this->find('input[type=file]')->sendKeys($this->file($name, $text));
        $keyboard ? $this->find('#file-send')->sendKeys(WebDriverKeys::ENTER) : $this->press('Look at it');
        $this->see('What becomes of its rows');
        $keyboard
            ? $this->all('button', 'Bring it in')[0]->sendKeys(WebDriverKeys::ENTER)
            : $this->press('Bring it in');
    }
}
