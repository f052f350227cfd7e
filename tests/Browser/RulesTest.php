<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;

final class RulesTest extends BrowserTestCase
{
    public function test_a_lead_edits_the_rules_sees_what_would_move_and_saves(): void
    {
        $this->signIn('Ylva');
        $this->keys('g', 'u');
        $this->see('Target profile');
        $this->fill('[name="kinds[customer_alum][weight]"]', '0.1');
        $this->find('[name=note]')->click();
        $this->see('accounts would move');
        $moves = $this->find('[data-moves]')->getText();
        $this->fill('[name=note]', 'News say little here');
        $this->press('Save as version 2');
        $this->see('Saved as version 2');
        $this->see('version 2, by Ylva');

        [$name, , $after] = preg_split('/\n| → /', $moves) ?: [];
        $this->open('/accounts?q='.rawurlencode((string) $name));
        $this->see((string) $name);
        $this->see((string) $after);
        $this->open('/rules/1');
        $this->press('Versions');
        $this->press('Version 1');
        $this->see('You look at version 1');
        self::assertSame('0.65', $this->find('[name="kinds[customer_alum][weight]"]')->getAttribute('value'));
    }

    public function test_a_criterion_that_cannot_be_read_is_told_while_one_edits(): void
    {
        $this->signIn('Ylva', '/rules/1');
        $this->press('Add a criterion');
        $this->keys('words');
        $row = '#criteria > :last-child';
        (new WebDriverSelect($this->find("$row [name$='[field]']")))->selectByValue('text');
        $this->find("$row textarea, $row input[name$='[value]']")->sendKeys('(air OR');
        $this->see('OR needs a word or phrase on both sides.');
        $this->find('[name=note]')->click();
        $this->see('“words”');
    }

    public function test_values_are_picked_by_their_names_and_saved_as_codes(): void
    {
        $this->signIn('Ylva', '/rules/1');
        $this->press('Add a criterion');
        $this->keys('Makes boats');
        $row = '#criteria > :last-child';
        (new WebDriverSelect($this->find("$row [name$='[field]']")))->selectByValue('industries');
        $this->find("$row [role=combobox]")->sendKeys('textil');
        $this->find("$row [role=option]");
        $this->keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ENTER);
        self::assertStringContainsString('textiles (13)', $this->find("$row label.badge")->getText());
        $this->fill('[name=note]', 'Boats too');
        $this->press('Save as version');
        // What says that it is saved is gone soon; the form that came back has no note in it.
        $this->until('document.querySelector("[name=note]").value === ""', 'It is not saved.');
        self::assertNotSame([], $this->all('#criteria label.badge', 'textiles (13)'));
        $this->find('#criteria > :last-child .btn-close')->click();
        $this->press('Save as version');
        $this->until(
            '[...document.querySelectorAll("#criteria input")].every((i) => i.value !== "Makes boats")',
            'It is still there.',
        );
    }

    public function test_a_buyer_role_that_is_added_reads_its_queries_and_shows_whom_it_finds(): void
    {
        $this->signIn('Ylva', '/rules/1');
        $this->press('Add a buyer role');
        $this->keys('Stores');
        $this->fill('#buyer-roles > :last-child [name$="[include]"]', 'lager* OR "cold store"');
        $this->see('Reads as: lager… or “cold store”');
        $this->press($this->all('#buyer-roles > :last-child summary', 'Functions')[0]);
        $this->find('#buyer-roles > :last-child [name$="[functions][]"][value=supply_chain]')->click();
        $this->find('#buyer-roles > :last-child [hx-post*=matches]')->click();
        $this->see('in this role');
        self::assertMatchesRegularExpression(
            '/[1-9][\d,]* contacts? in this role/',
            $this->find('#buyer-roles > :last-child .role-found')->getText(),
        );
        $this->browser->executeScript('document.querySelector("#buyer-roles > :last-child .btn-close").click()');
        self::assertStringNotContainsString('in this role', $this->text());
    }

    public function test_an_angle_is_written_with_whom_it_holds_for_and_taken_back(): void
    {
        $this->signIn('Ylva', '/rules/1');
        $this->press('Angles');
        $this->press('A new angle');
        $this->see('An angle needs at least one signal or fact.');
        $this->fill('[name=name]', 'Heard of them');
        $this->fill('[name=say]', 'ask whether it is true');
        (new WebDriverSelect($this->find('[name="words[0][language]"]')))->selectByValue('en');
        $this->fill('[name="words[0][subject]"]', 'Is it true?');
        $this->fill('[name="words[0][message]"]', 'Hello, is {{rumour}} true of {{account}}?');
        (new WebDriverSelect($this->find('[name="parts[0][is]"]')))->selectByValue('signal:news');
        $this->see('asked of the first four people of each.');
        $this->see('Nothing is known for {{rumour}}; it would not be proposed.');
        (new WebDriverSelect($this->find('[name="parts[1][is]"]')))->selectByValue('fact:technology');
        $this->fill('[name="parts[1][words]"]', 'Nobody has this');
        $this->find('[name=say]')->click();
        $this->see('It holds for 0 of the first');
        (new WebDriverSelect($this->find('[name="parts[1][is]"]')))->selectByValue('');
        $this->fill('[name="words[0][message]"]', 'Hello, is it true of {{account}}?');
        $this->see('Hello, is it true of ');
        $this->press('Save as version');
        $this->see('drafts follow it now.');
        $this->see('Heard of them');
        $this->press($this->find('.toast button:not(.btn-close)'));
        $this->see('The angles are those of version');
        self::assertStringNotContainsString('Heard of them', $this->find('main')->getText());
    }

    public function test_a_rep_is_not_let_in(): void
    {
        $this->signIn('Mira', '/rules/1');
        $this->see('This is not yours to open');
        $this->open('/team');
        $this->see('This is not yours to open');
    }
}
