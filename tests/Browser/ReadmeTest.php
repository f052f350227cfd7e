<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** What the README says can be done and no other test does in the browser (docs/claims.md tells which does what). */
final class ReadmeTest extends BrowserTestCase
{
    public function test_a_template_is_filled_and_what_is_refused_goes_out_again(): void
    {
        $this->signIn('Anton', '/intake');
        $domain = uniqid('vindlund-').'.example';
        [$headings] = explode("\n", ltrim($this->fetched($this->link('accounts')), "\u{FEFF}"));
        $row = fn (array $cells): string => implode(';', array_map(
            fn (string $heading): string => $cells[trim($heading)] ?? '', explode(';', $headings),
        ));
        $this->bring('filled.csv', implode("\n", [
            $headings, $row(['domain' => $domain, 'name' => 'Vindlund Valseverk']), $row(['headcount' => '12']), '',
        ]), '1');
        $refused = $this->fetched($this->link('Download what did not'));
        self::assertStringContainsString(';12', $refused);
        self::assertStringNotContainsString('Vindlund', $refused);

        $this->bring('people.vcf', implode("\r\n", [
            'BEGIN:VCARD', 'VERSION:4.0', 'N:Holt;Ragna;;;', 'FN:Ragna Holt', 'TITLE:Head of Maintenance',
            "EMAIL:ragna@$domain", 'END:VCARD', '',
        ]), '1');
        $this->open('/go?q=Vindlund');
        $this->press('Vindlund Valseverk');
        $this->see('Ragna Holt');
    }

    public function test_an_address_book_opens_ways_and_is_a_condition_of_the_finder(): void
    {
        $this->signIn('Anton', '/finder?on=contacts&c[0][f]=domain&c[0][v]=tunhede.example');
        $name = $this->find('[data-row] a.fw-semibold')->getText();
        $this->open('/intake');
        $this->bring('book.csv', "name;domain;known since;exchanges\n$name;tunhede.example;2019;40\n", '1');
        $this->open('/network/relations?find='.rawurlencode($name));
        $this->see('since Jan 2019, 40 exchanges');
        $this->open('/network');
        $this->press('Narrow them in the Finder');
        $this->see('known to anyone of us');
        $this->open('/finder?on=contacts&c[0][f]=domain&c[0][v]=tunhede.example&c[1][f]=reach&c[1][w]=anyone'
            .'&c[1][n]=1');
        $this->press($name);
        $this->see('in the address book, since 2019, 40 exchanges');
    }

    public function test_a_program_posts_what_it_saw_and_it_stands_with_the_account(): void
    {
        $this->signIn('Ylva', '/intake');
        $this->press('Add a webhook');
        $this->fill('input[name=name]', uniqid('Our pages '));
        $this->press('Let it post');
        $token = $this->find('#token')->getText();
        $answer = (string) file_get_contents(
            $this->browser->executeScript('return location.origin').'/api/signals', false,
            stream_context_create(['http' => [
                'method' => 'POST', 'ignore_errors' => true,
                'header' => "Authorization: Bearer $token\r\nContent-Type: application/cloudevents+json",
                'content' => json_encode([
                    'specversion' => '1.0', 'id' => uniqid(), 'source' => '/pages', 'type' => 'topic_interest',
                    'time' => '2026-11-22T10:00:00Z',
                    'data' => ['domain' => 'tunhede.example', 'strength' => .7, 'topic' => 'dew points'],
                ]),
            ]]),
        );
        self::assertStringContainsString('"accepted":1', $answer);
        $this->browser->navigate()->refresh();
        $this->see('Glasverk Tunhede');
        $this->press('Glasverk Tunhede');
        $this->see('Reads about dew points');
    }

    public function test_what_is_found_goes_out_in_every_format(): void
    {
        $this->signIn('Mira');
        $begins = [
            'CSV' => "\u{FEFF}", 'XLSX' => "PK\x03\x04", 'JSON Lines' => '{"', 'vCards' => 'BEGIN:VCARD',
        ];
        $this->open('/contacts?q=maintenance');
        foreach ($begins as $format => $begin) {
            self::assertStringStartsWith($begin, $this->fetched($this->link($format)), "$format from Contacts");
        }
        $this->open('/finder?on=contacts&c[0][f]=domain&c[0][v]=tunhede.example');
        $this->press('Export');
        $form = (string) $this->browser->executeScript(
            'return new URLSearchParams(new FormData(document.querySelector("#export form"))).toString()',
        );
        foreach ($begins as $format => $begin) {
            $to = $this->all('#export button', $format)[0]->getAttribute('formaction');
            self::assertStringStartsWith($begin, $this->fetched("$to?$form"), "$format from the Finder");
        }
    }

    public function test_what_is_known_is_corrected_and_added_where_it_stands(): void
    {
        $this->signIn('Anton', '/accounts/12');
        $this->press('Correct');
        $this->fill('input[name=headcount]', '1 111');
        $this->press('Keep');
        $this->see('1,111 heads');
        $this->press($this->all('#group [data-part] a')[0]);
        $this->press('Add a channel');
        $address = uniqid('new-').'@elsewhere.example';
        $this->find('form[action$="/channels"] [name=value]')->sendKeys($address.WebDriverKeys::ENTER);
        $this->see($address);
    }

    public function test_a_story_is_written_and_says_whom_it_is_told_to(): void
    {
        $this->signIn('Ylva', '/rules/1');
        $this->press('Stories');
        $this->press('A new story');
        $this->fill('input[name=name]', 'Nights at a glassworks');
        $this->find("select[name='words[0][language]'] option[value=en]")->click();
        foreach (['customer' => 'a glassworks', 'problem' => 'nobody knew what was lost at night', 'done' => 'we '
            .'listened for two nights', 'result' => 'a third less is lost'] as $part => $text) {
            $this->fill("input[name='words[0][$part]']", $text);
        }
        $this->fill('input[name=industry]', 'glass');
        $this->fill('input[name=headcount]', '400');
        $this->fill('input[name=country]', 'SE');
        $this->browser->executeScript('document.querySelector("input[name=told_from]").value = "2026-11-01"');
        $this->press('Save the story');
        $this->see('Nights at a glassworks');
        $this->press('Nights at a glassworks');
        $this->see('Told to, today');
        $this->press('Remove this story');
        $this->until('! document.querySelector("main").innerText.includes("Nights at a glassworks")', 'It is gone.');
    }

    public function test_the_rules_say_from_the_shell_what_stands_on_a_page(): void
    {
        $this->signIn('Mira', '/accounts');
        $this->keys('j', WebDriverKeys::ENTER);
        $this->heading();
        [$priority, $fit, $timing, $access] = $this->until(
            '[...document.querySelectorAll("main .font-figure")].slice(0, 4).map((e) => Number(e.innerText))',
            'What makes the priority is there.',
        );
        // Timing is shown as 1 − e^(−push).
        $facts = (string) json_encode(['fit' => $fit, 'push' => -log(1 - $timing), 'access' => $access]);
        exec('echo '.escapeshellarg($facts).' | '.dirname(__DIR__, 2).'/bin/luftig-core priority', $said, $code);
        self::assertSame(0, $code);
        self::assertEqualsWithDelta($priority, json_decode($said[0])->priority, 1.5, "$facts, two digits of each");
    }

    public function test_the_keys_of_an_account(): void
    {
        $this->signIn('Jonte', '/accounts');
        $this->keys('j', WebDriverKeys::ENTER);
        $first = $this->heading();
        $this->keys(WebDriverKeys::ARROW_RIGHT);
        $second = $this->heading($first);
        $this->keys(WebDriverKeys::ARROW_LEFT);
        self::assertSame($first, $this->heading($second));
        $this->keys('n');
        $this->until('document.activeElement?.name === "text"', 'A note can be typed.');
        $this->keys('Asked for in spring.');
        $this->press($this->browser->switchTo()->activeElement()->findElement(
            WebDriverBy::xpath('./ancestor::form//button'),
        ));
        $this->see('Asked for in spring.');
        $this->keys('l');
        $this->see('Put it off');
        $this->keys(WebDriverKeys::ESCAPE);
        $this->until('! document.querySelector(".modal-backdrop")', 'It closes.');
        $this->keys('x');
        self::assertStringContainsString('Keep out: ', $this->dialog('.modal-title')->getText());
        $this->keys(WebDriverKeys::ESCAPE);
        $this->until('! document.querySelector(".modal-backdrop")', 'It closes.');
        $this->keys('p');
        $this->see('kept');
        $kept = $this->heading();
        $this->keys('d');
        $this->heading($kept);
        $this->keys('/');
        $this->until('document.activeElement?.type === "search"', 'One can type where to go.');
        $this->keys('Tunhede');
        $this->until('document.querySelector(".modal.show [role=option]")?.innerText.includes("Tunhede")', 'found');
        $this->keys(WebDriverKeys::ENTER);
        $this->until('document.querySelector("h1")?.innerText === "Glasverk Tunhede"', 'It is gone to.');
        foreach (['f' => 'Finder', 'c' => 'Contacts', 'n' => 'Network'] as $key => $screen) {
            $this->keys('g', $key);
            $this->until('document.querySelector("h1")?.innerText === arguments[0]', "G $key", $screen);
        }
    }

    public function test_a_mail_a_call_and_a_profile_ask_afterwards_whether_it_was_done(): void
    {
        $this->signIn('Jonte');
        $here = $this->browser->getWindowHandle();
        foreach (['o' => 'connect', 'm' => 'email', 'h' => 'call'] as $key => $kind) {
            $this->open('/accounts/'.$this->browser->executeAsyncScript(
                'const [key, done] = arguments; (async () => { for (let id = 20; id < 90; id++) { const text = await '
                    .'(await fetch(`/accounts/${id}`)).text(); if (text.includes(`aria-keyshortcuts="${key}"`)) '
                    .'return done(id); } done(0); })()', [$key],
            ));
            $this->until('document.querySelector("[data-words]")?._x_dataStack !== undefined', 'The words are there.');
            // Nobody is here to say which program mails or calls.
            $this->browser->executeScript('document.addEventListener("click", (event) => event.target.closest('
                .'"[href^=mailto], [href^=tel]") && event.preventDefault())');
            $this->keys($key);
            if ($key === 'o') {
                // What opens beside it would keep what happens here from being drawn.
                $other = $this->wait(
                    fn (): ?string => array_values(array_diff($this->browser->getWindowHandles(), [$here]))[0] ?? null,
                    'The profile is not opened.',
                );
                $this->browser->switchTo()->window($other)->close();
                $this->browser->switchTo()->window($here);
            }
            $this->see('Was it done?');
            self::assertSame($kind, $this->dialog('[name=kind]')->getAttribute('value'), $key);
        }
    }

    /** Of what a button or link leads to, as the browser would save it. */
    private function fetched(string $address): string
    {
        return (string) base64_decode((string) $this->browser->executeAsyncScript(
            'const done = arguments[1]; fetch(arguments[0]).then((r) => r.arrayBuffer()).then((b) => done('
                .'btoa(Array.from(new Uint8Array(b), (x) => String.fromCharCode(x)).join(""))))', [$address],
        ));
    }

    private function link(string $text): string
    {
        $this->find('h1');
        $exact = array_values(array_filter(
            $this->all('main a', $text), fn (RemoteWebElement $one): bool => str_starts_with($one->getText(), $text),
        ));

        return (string) ($exact[0] ?? self::fail("There is no link “{$text}”."))->getAttribute('href');
    }

    private function bring(string $name, string $text, string $created): void
    {
        $this->open('/intake');
        $this->find('input[type=file]')->sendKeys($this->file($name, $text));
        $this->press('Look at it');
        $this->see('What becomes of its rows');
        $this->press('Bring it in');
        $this->until(
            'document.querySelector("[data-tally=created]")?.textContent === arguments[0]', "$name brings it", $created,
        );
    }

    /** Of the page that is there now, or of the next one that has another. */
    private function heading(string $not = ''): string
    {
        return (string) $this->until(
            '((h) => h && h !== arguments[0] && h !== "Accounts" ? h : null)(document.querySelector("h1")?.innerText)',
            'Nothing else is headed.', $not,
        );
    }
}
