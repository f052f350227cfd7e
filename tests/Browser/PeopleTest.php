<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;

/** The right few people of an account. */
final class PeopleTest extends BrowserTestCase
{
    public function test_from_an_account_to_the_chosen_people(): void
    {
        $this->signIn('Selma');
        $this->keys('g', 'c');
        $this->see('who takes part in buying');
        $this->open('/accounts/1');
        $this->see('Whom to contact now');
        $names = [];
        foreach (array_slice($this->all('[data-chosen]'), 0, 3) as $row) {
            $names[$row->getAttribute('data-chosen')] = $row->findElement(WebDriverBy::cssSelector('strong'))
                ->getText();
        }
        self::assertCount(3, $names);
        $first = array_key_first($names);
        foreach ($names as $id => $name) {
            $reserve = $this->find("[data-chosen='$id']")->findElements(
                WebDriverBy::cssSelector('button[aria-label^=Reserve]'),
            );
            // Whom the plan of the day has is reserved already.
            if ($reserve !== []) {
                $this->press($reserve[0]);
                $this->see("$name is reserved for you until the end of the next working day.");
            }
        }
        $this->press($this->find("[data-chosen='$first']")->findElement(WebDriverBy::linkText('Reason')));
        $this->see('What the words rest on');
        self::assertStringContainsString(
            $names[$first],
            $this->find('select[name=contact]')->findElement(WebDriverBy::cssSelector('option:checked'))->getText(),
        );

        $this->signIn('Jonte', '/accounts/1');
        $this->see('reserved by Selma Lysmark');
        self::assertSame([], $this->all("[data-chosen='$first']"));
        $this->press($this->find(".group-person[data-contact='$first'] a"));
        $this->see('Why this priority');
        $this->see('reserved by Selma Lysmark until');
        $this->press('Part in buying');
        $this->see('function match');
        $this->signIn('Selma');
        foreach ($names as $id => $name) {
            $this->open("/contacts/$id");
            $this->press('Undo the reservation');
            $this->see("$name is free again.");
        }
    }

    public function test_the_buying_group_by_mouse_and_by_keyboard(): void
    {
        $this->signIn('Mira', '/accounts/1');
        $olav = $this->all('.group-person', 'Olav Brekkesund')[0];
        $id = $olav->getAttribute('data-contact');
        $from = $olav->getAttribute('data-in');
        $champion = $this->find('[data-part=champion]');
        $this->browser->executeScript('arguments[0].scrollIntoView({block: "center"})', [$champion]);
        $hand = fn (): WebDriverActions => new WebDriverActions($this->browser);
        // What moves them comes with the pointer.
        $hand()->moveToElement($olav)->perform();
        $this->until('window.Sortable !== undefined', 'Nobody can be moved.');
        $hand()->clickAndHold($olav->findElement(WebDriverBy::cssSelector('.small')))->moveByOffset(4, 8)->perform();
        // A hand takes its time, and what is under it moves.
        $this->wait(function () use ($hand, $champion): bool {
            $hand()->moveToElement($champion)->perform();

            return (bool) $this->browser
                ->executeScript('return document.querySelector(".part-row.over [data-part=champion]") !== null');
        }, 'Nobody is held over the champions.');
        $hand()->release()->perform();
        $this->waitForPart($id, 'champion');
        self::assertStringContainsString('set by hand', $this->find(".group-person[data-contact='$id']")->getText());

        $this->browser->executeScript("document.querySelector(\".group-person[data-contact='$id']\").focus()");
        $this->browser->getKeyboard()->sendKeys([WebDriverKeys::SHIFT, WebDriverKeys::ARROW_UP]);
        $this->waitForPart($id, 'shapes');
        $this->browser->getKeyboard()->sendKeys([WebDriverKeys::SHIFT, WebDriverKeys::ARROW_UP]);
        $this->waitForPart($id, 'signs_off');
        self::assertSame(
            $id,
            $this->browser->switchTo()->activeElement()->getAttribute('data-contact'),
            'the focus moves along',
        );

        $this->open('/accounts/1');
        $person = $this->find(".group-person[data-contact='$id']");
        $this->press($person->findElement(WebDriverBy::cssSelector('[data-bs-toggle=dropdown]')));
        (new WebDriverSelect($person->findElement(WebDriverBy::name('part'))))->selectByVisibleText('as the rules say');
        $person->findElement(WebDriverBy::name('reports_to'))->sendKeys('Pernille Askov-Rye');
        $person->findElement(WebDriverBy::cssSelector('button.btn-primary'))->click();
        $this->waitForPart($id, $from);
        $this->see('reports to Pernille Askov-Rye');

        $this->press('Add a person');
        $this->fill('.modal.show input[name=first_name]', 'Gerda');
        $this->fill('.modal.show input[name=last_name]', 'Prøvdal');
        $this->fill('.modal.show input[name=title]', 'Vedligeholdelseschef');
        $this->dialog('.btn-primary')->click();
        $this->see('Gerda Prøvdal is added.');
        self::assertStringContainsString(
            'signs off',
            (string) $this->all('.group-person', 'Gerda Prøvdal')[0]->getAttribute('aria-label'),
        );
    }

    public function test_a_title_is_taught_and_taken_back(): void
    {
        $this->signIn('Ylva', '/rules/1');
        $this->press('Vedoucí údržby');
        $form = $this->all('#titles form', 'Stands as')[0];
        (new WebDriverSelect($form->findElement(WebDriverBy::name('seniority'))))->selectByVisibleText('head');
        $form->findElement(WebDriverBy::cssSelector('input[value=maintenance]'))->click();
        $this->press($form->findElement(WebDriverBy::cssSelector('button')));
        $this->see('is read as head, maintenance from now on.');
        $this->open('/contacts?q=Vedouc');
        $this->see('Vedoucí údržby');
        $this->open('/rules/1');
        $this->press($this->find('[aria-label^="Undo the lesson"]'));
        $this->see('is read by the dictionaries again.');
        $this->open('/contacts?q=Vedouc');
        $this->see('Nobody here has “Vedouc” in the name or title.');
    }

    public function test_a_doubtful_pair_is_decided_and_undone(): void
    {
        $this->signIn('Anton', '/intake');
        $this->see('The names are equal without legal forms. Both are in Wismar.');
        $this->press($this->find('button[aria-label="Ostholz Platten: the same"]'));
        $this->see('The two are one now; both originals are kept.');
        self::assertSame([], $this->all('[data-pair]', 'Ostholz Platten GmbH'));
        $this->keys('/');
        $this->find('#go-q')->sendKeys('Ostholz');
        $this->see('ostholz-platten.example');
        self::assertSame([], $this->all('#go-found a', 'ostholz.example'), 'the merged one is not offered');
        $this->open('/intake');
        $this->press('Pairs decided last');
        $this->press($this->find('button[aria-label="Undo the decision on Ostholz Platten"]'));
        $this->see('The pair is to be decided again.');
        self::assertCount(1, $this->all('[data-pair]', 'Ostholz Platten GmbH'));
    }

    private function waitForPart(string $id, string $part): void
    {
        $this->wait(
            fn (): bool => $this->browser->executeScript(
                "return document.querySelector(\".group-person[data-contact='$id']\")?.dataset.in",
            ) === $part,
            "The person does not move to $part.",
        );
        $this->addToAssertionCount(1);
    }
}
