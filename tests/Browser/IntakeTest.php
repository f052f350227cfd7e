<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** Files of one's own: several at once, pasted rows, what is asked before they come in, and taking them back. */
final class IntakeTest extends BrowserTestCase
{
    private const FILES = __DIR__.'/../data/intake/';

    public function test_two_workbooks_are_dropped_taken_in_and_taken_back(): void
    {
        $this->signIn('Mira', '/intake');
        $this->drop('19-kontakte.xlsx', '18-betriebe.xlsx');
        $this->see('The sheet “Betriebe” of a workbook.');
        $this->see('stays empty: Mitarbeiter “viele”');
        $this->press('Bring it in');
        $this->see('Accounts, brought in');
        self::assertSame(['28', '1', '2'], $this->tally('created', 'rejected', 'unread'));
        $this->see('The name is missing, and no account has this domain yet.');
        $this->see('vertraulich');

        $this->press('Next: 19-kontakte.xlsx');
        $this->see('The headings stand in line 4.');
        $this->find('input[name=sheet][value=Deckblatt]')->click();
        $this->see('was not taken');
        $this->press('Put it aside');
        $this->see('was put aside; nothing of it was brought in.');

        $this->press('18-betriebe.xlsx');
        $this->press('Undo the whole file');
        $this->press('Undo it');
        $this->see('Accounts, undone');
        $this->open('/accounts?q=kranichmoor');
        self::assertStringNotContainsString('Hotel Kranichmoor OHG', $this->text());
    }

    public function test_a_sheet_of_open_document_comes_in(): void
    {
        $this->signIn('Mira', '/intake');
        $this->drop('20-lieferanten.ods');
        $this->see('The sheet “Betriebe” of a workbook. The headings stand in line 3.');
        $this->press('Bring it in');
        $this->see('Accounts, brought in');
        self::assertSame(['3'], $this->tally('created'));
        $this->open('/accounts?q=moorbek&tab=waiting');
        $this->press('Tischlerei Moorbek');
        $this->see('38 heads');
    }

    public function test_rows_are_pasted_and_what_is_not_clear_is_asked(): void
    {
        $this->signIn('Mira');
        $this->paste("Firma\tWebseite\tStadt\nMoosglas Prov\tmoosglas-prov.example\tUlm\n");
        $this->see('Of its 1 row, if you bring it in now:');
        self::assertSame('1', $this->find('[data-outlook=new]')->getText());
        $this->press('Bring it in');
        $this->see('Accounts, brought in');

        $this->paste("Webseite\tAnlass\tDatum\tWas ist passiert\n"
            ."moosglas-prov.example\tMessestand\t3/11/2026\tWar am Stand\n"
            ."moosglas-prov.example\tSonderfall\t4/11/2026\tNiemand weiss es\n");
        $this->see('Say whether days are written day first or month first under: Datum.');
        $this->see('day first: 3/11/2026 is 3 November 2026 · 4/11/2026 is 4 November 2026');
        $this->browser->executeScript('document.body.dataset.before = "yes"');
        $this->press('Bring it in');
        $this->until('document.body.dataset.before === undefined', 'The page is not asked again.');
        $this->see('Say whether days are written day first or month first under: Datum.');
        $this->find('input[name^=dates][value=day]')->sendKeys(WebDriverKeys::SPACE);
        $this->find('select[name="words[kind][0][means]"] option[value=own_engagement]')->click();
        $this->press('Show what would become of it');
        $this->see('own_engagement');
        $this->see('1 row: The kind … is not known');
        $this->see('Would be refused: The kind “Sonderfall” is not known');
        $this->press('Bring it in');
        $this->see('Signals, brought in');
        self::assertSame(['1', '1'], $this->tally('created', 'rejected'));
        $this->open('/accounts?q=Moosglas');
        $this->press('Moosglas Prov');
        $this->see('War am Stand');
    }

    private function paste(string $rows): void
    {
        $this->open('/intake');
        $this->find('details summary')->click();
        $this->browser->executeScript('document.querySelector("textarea[name=rows]").value = arguments[0]', [$rows]);
        $this->press('Look at it');
    }

    private function drop(string ...$names): void
    {
        $files = array_map(
            fn (string $name): array => [$name, base64_encode((string) file_get_contents(self::FILES.$name))],
            $names,
        );
        $this->until('document.querySelector("[x-data=files]")._x_dataStack !== undefined', 'no form is ready');
        $this->browser->executeScript(<<<'JS'
            const carried = new DataTransfer();
            for (const [name, text] of arguments[0]) {
                carried.items.add(new File([Uint8Array.from(atob(text), (sign) => sign.charCodeAt(0))], name));
            }
            document.querySelector('[x-data=files]')
                .dispatchEvent(new DragEvent('drop', { dataTransfer: carried, bubbles: true, cancelable: true }));
            JS, [$files]);
    }

    /** @return list<string> */
    private function tally(string ...$fields): array
    {
        return array_map(fn (string $field): string => $this->find("[data-tally=$field]")->getText(), $fields);
    }
}
