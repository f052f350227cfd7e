<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** What somebody enters and collects without a file, by mouse and by keyboard. */
final class ByHandTest extends BrowserTestCase
{
    public function test_an_account_is_added_with_a_signal_and_taken_back(): void
    {
        $this->signIn('Anton', '/accounts');
        $this->press('Add an account');
        $this->see('Written as a file would be read');
        $name = uniqid('Halmglas ');
        $this->keys($name, WebDriverKeys::TAB, uniqid('halmglas-').'.example', WebDriverKeys::TAB, 'Glas');
        $this->fill('input[name=headcount]', 'viele');
        $this->keys(WebDriverKeys::ENTER);
        $this->see('“viele” cannot be read as headcount. Nothing was kept.');
        $this->fill('input[name=headcount]', '1 250 MA');
        $this->fill('input[name=country]', 'Dänemark');
        $this->keys(WebDriverKeys::ENTER);
        $this->see("$name is added.");
        $this->see('1,250 heads');
        $this->see('glass and glass products');
        $this->press('Add a signal');
        $this->dialog('select[name=kind] option[value=expansion]')->click();
        $this->dialog('input[name=title]')->sendKeys('A new hall in Skive'.WebDriverKeys::ENTER);
        $this->see('The signal is added.');
        $this->see('A new hall in Skive');
        $this->press($this->find('.toast button:not(.btn-close)'));
        $this->see('By hand: ');
    }

    public function test_people_of_an_account_are_collected_onto_a_list_and_one_is_removed(): void
    {
        $this->signIn('Selma');
        $name = uniqid('Glass folk ');
        // One at whom no other test reserves anybody.
        $this->open('/accounts/9');
        $this->press('Add people to a list');
        $this->dialog('input[name=list_name]')->sendKeys($name);
        $people = $this->all('.modal.show input[name="only[]"]');
        self::assertGreaterThan(2, count($people));
        foreach ($people as $i => $one) {
            if ($one->isSelected() !== $i < 2) {
                $this->press($one);
            }
        }
        $this->press($this->dialog('.btn-primary'));
        $this->see("2 contacts added to “{$name}”.");
        // From a person's own page by a key, and onto the list that is there.
        $this->press($this->all('#group [data-part] a')[2]);
        $this->see('Channels');
        $this->keys('a');
        foreach ($this->dialog('select[name=onto]')->findElements(WebDriverBy::tagName('option')) as $option) {
            $option->getText() === $name && $option->click();
        }
        $this->press($this->dialog('.btn-primary'));
        $this->see("“{$name}”");
        $this->open('/lists');
        $this->press($name);
        $this->see('Collected by hand.');
        $boxes = count($this->all('main input[name="only[]"]'));
        self::assertGreaterThan(1, $boxes);
        $this->press($this->all('main input[name="only[]"]')[0]);
        $this->press('Remove from the list');
        $this->see("1 contact removed from “{$name}”.");
        self::assertCount($boxes - 1, $this->all('main input[name="only[]"]'));
        $this->press($this->find('.toast button:not(.btn-close)'));
        $this->see("1 contact added to “{$name}”.");
    }

    public function test_another_addressee_on_today_gets_words_of_their_own(): void
    {
        $this->signIn('Jonte', '/');
        $row = $this->until(
            '[...document.querySelectorAll("[data-row]")].find((row) => row.classList.contains("active"))',
            'One is in focus.',
        );
        self::assertNotNull($row);
        // Where somebody else is to be contacted too, and the words greet by name.
        $isIt = fn (): bool => $this->all('[data-others] a') !== [] && preg_match(
            '/^(Hello|Hej) \p{Lu}/u', (string) $this->find('#focus [data-words]')->getAttribute('data-words'),
        ) === 1 && $this->all('#focus [data-record]') !== [];
        for ($n = 0; $n < 19 && ! $isIt(); $n++) {
            $before = $this->find('[data-focused]')->getAttribute('data-focused');
            $this->keys('j');
            $this->until(
                'document.querySelector("[data-focused]")?.dataset.focused !== arguments[0]',
                'The next.',
                $before,
            );
        }
        $words = (string) $this->find('#focus [data-words]')->getAttribute('data-words');
        $other = $this->all('[data-others] a')[0];
        $name = $other->getText();
        $this->press($other);
        $this->until(
            'document.querySelector("#focus h3.small + p, #focus")?.innerText.includes(arguments[0])',
            $name,
            "Draft to $name",
        );
        $changed = (string) $this->find('#focus [data-words]')->getAttribute('data-words');
        self::assertNotSame($words, $changed);
        self::assertStringContainsString(explode(' ', $name)[0], $changed);
        // The reason that is recorded from here is to them.
        $this->keys('e');
        $this->see('In which words');
        self::assertStringContainsString(
            $name,
            (string) $this->browser->executeScript(
                'return document.querySelector("select[name=contact]").selectedOptions[0].textContent',
            ),
        );
    }
}
