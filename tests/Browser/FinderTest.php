<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** From all to a list that is worth a week. */
final class FinderTest extends BrowserTestCase
{
    /**
     * Conditions of which each has a form of its own sort: typed values, of sites too, ticks, ranges with what they
     * need.
     */
    private const FORMS = [
        'title', 'industry', 'technology', 'domain', 'near a place', 'a signal', 'a position before', 'in reach',
        'function', 'owner', 'tag', 'new, kept, in work', 'headcount', 'affordable', 'growth',
    ];

    public function test_narrowing_from_all_to_a_list_by_keyboard(): void
    {
        $this->signIn('Mira');
        $this->keys('g', 'f');
        $this->see('What is in here');
        $all = $this->total();
        $this->add('title');
        $this->type('maintenance -assistant');
        $this->see('without: '.number_format($all));
        $some = $this->total();
        self::assertLessThan($all, $some);
        $this->add('headcount');
        $this->type('300');
        $this->see('unknown');
        self::assertLessThan($some, $this->total());
        $found = $this->total();
        $this->all('button', 'Keep as list')[0]->sendKeys(WebDriverKeys::ENTER);
        $this->find('.modal.show input[name=name]')->sendKeys('By keyboard'.WebDriverKeys::ENTER);
        $this->see('The list “By keyboard” is kept');
        $this->see(number_format($found).' contacts, by Mira');
        $this->see('would add 0 and miss 0.');
        $list = basename((string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH));
        $this->keys('g', 'l');
        $this->see('By keyboard');
        $this->open("/finder?on=contacts&c[0][f]=list&c[0][v]=$list&c[1][f]=work&c[1][v]=new&c[1][x]=1");
        self::assertSame($found, $this->total(), 'none of them is new any more');
    }

    public function test_including_and_excluding_from_what_is_in_there_and_a_step_taken_out_again(): void
    {
        $this->signIn('Anton', '/finder?on=accounts');
        $all = $this->total();
        $this->press($this->all('.facet a[aria-label="Only country: Sweden"]')[0]);
        $this->see('without: '.number_format($all));
        $swedish = $this->total();
        $without = $this->find('.facet a[aria-label^="Without industry"]');
        $facet = $without->findElement(WebDriverBy::xpath('./ancestor::*[contains(@class, "facet")][1]'));
        $count = (int) str_replace(',', '', $facet->findElement(WebDriverBy::cssSelector('[data-count]'))->getText());
        $this->press($without);
        $this->see('not industry');
        self::assertSame($swedish - $count, $this->total());
        $this->browser->navigate()->back();
        $this->see('What is in here');
        self::assertSame($swedish, $this->total(), 'every state has its address');
        $this->change('country');
        $this->press('Switch off');
        $this->see('off');
        self::assertSame($all, $this->total());
    }

    public function test_from_three_customers_to_a_kept_list_with_the_odd_one_removed(): void
    {
        $this->signIn('Selma');
        // Customers are kept out, which is how one finds them.
        $this->open('/finder?on=accounts&c[0][f]=words&c[0][q]=film+-panels&c[1][f]=kept_out');
        $film = array_map(fn (RemoteWebElement $one): string => $one->getAttribute('href'), array_slice(
            $this->all('[data-row] td a.fw-semibold'), 0, 3,
        ));
        self::assertCount(3, $film, 'customers that blow film');
        $this->open('/finder?on=accounts&c[0][f]=words&c[0][q]=chipboard+-film+-wrap&c[1][f]=kept_out');
        $odd = $this->all('[data-row] td a.fw-semibold')[0];
        [$name, $other] = [$odd->getText(), $odd->getAttribute('href')];
        $number = fn (string $url): string => basename((string) parse_url($url, PHP_URL_PATH));
        $this->open('/alike?e='.implode(',', array_map($number, [...$film, $other])));
        $this->see('the 50 most like 4 examples');
        $this->see("$name stands apart from the others");
        $this->press('Go on without it');
        $this->see('the 50 most like 3 examples');
        $unlike = $this->all('tbody td:first-child a')[45]->getText();
        $this->press($this->find("a[aria-label=\"Not this: $unlike\"]"));
        $this->see('than before this step');
        $this->see('Not like');
        $this->press('Narrow in the Finder');
        $this->see('the 200 most like');
        self::assertGreaterThan(150, $this->total());
        $this->press('Keep as list');
        $this->fill('.modal.show input[name=name]', 'Like the film blowers');
        $this->press($this->all('.modal.show .btn-primary')[0]);
        $this->see('The list “Like the film blowers” is kept');
        $this->press('Typical phrases');
        $this->see('frequent in');
        $phrase = $this->find('tbody label')->getText();
        foreach (array_slice($this->all('tbody input'), 0, 2) as $tick) {
            $tick->sendKeys(WebDriverKeys::SPACE);
        }
        $this->press('Search for them');
        $this->see('What is in here');
        $this->see($phrase);
        self::assertGreaterThan(0, $this->total());
    }

    public function test_a_spot_check_leads_to_an_exclusion(): void
    {
        $this->signIn('Selma', '/finder?on=accounts&c[0][f]=industry&c[0][v]=17,22&c[1][f]=kept_out&c[1][x]=1');
        $all = $this->total();
        $this->press('Keep as list');
        $this->fill('.modal.show input[name=name]', 'To be checked');
        $this->find('.modal.show button.btn-primary')->click();
        $this->press('Spot check');
        for ($i = 0; $i < 12; $i++) {
            $this->see(20 - $i.' left to judge');
            $this->keys(str_contains($this->find('[data-record]')->getText(), 'paper') ? 'd' : 'p');
        }
        $this->see('8 left to judge');
        $this->see('with 95 % confidence');
        $this->press('Without industry: paper and paper products');
        $this->see('What is in here');
        self::assertNotSame([], $this->all('.stair .under', 'not '), 'the exclusion is a step of the search');
        self::assertLessThan($all, $this->total());
        self::assertSame([], $this->all('.facet', 'paper products'));
    }

    public function test_the_rest_of_a_trial_is_held_until_somebody_lets_it_go(): void
    {
        $this->signIn('Selma', '/finder?on=contacts&c[0][f]=domain&c[0][v]=tunhede.example');
        $size = $this->total();
        $this->keepAs('All of Tunhede');
        $list = $this->browser->getCurrentURL();
        $this->press('A trial first');
        $this->fill('.modal.show input[name=trial]', '2');
        $this->press($this->dialog('.btn-primary'));
        $this->see('“All of Tunhede · trial” is drawn evenly over the list');
        $this->see('2 contacts');
        $this->open('/accounts?q=tunhede');
        $this->press($this->all('a', 'Glasverk Tunhede')[0]);
        $this->see('held until a trial has its answers');
        $this->keys('g', 'l');
        $this->press($this->all('a', 'All of Tunhede · held')[0]);
        $this->see(number_format($size - 2).' contacts');
        $this->see('0 of 2 approached, 0 answered');
        $this->press('Go on all the same');
        $this->see('is no longer held');
        $this->open('/accounts?q=tunhede');
        $this->press($this->all('a', 'Glasverk Tunhede')[0]);
        $this->see('Whom to contact now');
        self::assertStringNotContainsString('held until', $this->text());
        self::assertNotSame($list, $this->browser->getCurrentURL());
    }

    public function test_names_with_letters_of_their_own_are_jumped_to_and_looked_for_in_chosen_texts(): void
    {
        $this->signIn('Mira', '/finder?on=accounts&c[0][f]=name&c[0][q]=väveri');
        $name = $this->find('tbody a.fw-semibold')->getText();
        $this->keys('/');
        $this->find('#go-q')->sendKeys(mb_strtolower($name));
        $this->until(
            'document.querySelector("#go-found").innerText.includes(arguments[0])',
            "$name is not found.",
            $name,
        );
        $this->keys(WebDriverKeys::ESCAPE);
        $this->open('/finder?on=accounts&add=words');
        $all = $this->total();
        $this->fill('#adding [name$="[q]"]', 'väveri');
        foreach (['name', 'description'] as $passage) {
            $this->find("#adding input[value=$passage]")->sendKeys(WebDriverKeys::SPACE);
        }
        $this->press($this->find('#adding .btn-primary'));
        $this->see('in keywords');
        $this->see('Nobody meets all of this.');
        $this->change('words they use');
        $this->find('.dropdown-menu.show input[value=name]')->click();
        $this->press($this->find('.dropdown-menu.show .btn-primary'));
        $this->see('in name or keywords');
        self::assertGreaterThan(0, $this->total());
        self::assertLessThan($all, $this->total());
        self::assertNotSame([], $this->all('td', $name));
    }

    public function test_a_list_of_titles_is_pasted_and_sent_by_enter(): void
    {
        $this->signIn('Mira', '/finder?on=contacts');
        $this->add('title');
        $this->keys('maintenance or ener* -(plant');
        $this->see('A parenthesis opens here and is not closed. (at character 23)');
        $this->keys(')');
        $this->see('Reads as: (maintenance and or and ener…) and not plant');
        $this->see('“or” is read as a word; write OR to join or exclude.');
        $paste = fn (array $lines) => $this->browser
            ->executeScript('document.activeElement.value = arguments[0]', [implode("\n", $lines)]);
        $paste(['Head of Maintenance', 'Plant Manager']);
        $this->keys(WebDriverKeys::ENTER);
        $this->see('Head of Maintenance · Plant Manager');
        $few = $this->total();
        $titles = array_unique(array_map(
            fn ($cell): string => preg_replace('/^.*\n/', '', $cell->getText()),
            $this->all('main tbody td:nth-child(2)'),
        ));
        self::assertNotSame([], $titles);
        self::assertSame([], preg_grep('/Head of Maintenance|Plant Manager/i', $titles, PREG_GREP_INVERT));
        // More than an address could carry.
        $this->open('/finder?on=contacts&add=title');
        $paste(
            [
                ...array_map(fn (int $i): string => "Keeper of so many things in hall number $i", range(1, 3000)),
                'plant manager',
                'head of maintenance',
            ],
        );
        $this->keys(WebDriverKeys::ENTER);
        $this->see('and 2996 more');
        self::assertSame($few, $this->total());
        self::assertLessThan(300, strlen($this->browser->getCurrentURL()));
        $this->change('title');
        self::assertStringContainsString(
            "hall number 3000\nplant manager",
            (string) $this->find('.dropdown-menu.show textarea')->getAttribute('value'),
        );
    }

    public function test_those_ticked_on_several_pages_are_kept_together_and_survive_a_name_that_is_taken(): void
    {
        $this->signIn('Selma');
        $search = '/finder?on=accounts&c[0][f]=country&c[0][v]=SE';
        $this->open($search);
        self::assertGreaterThan(60, $this->total());
        $this->keepAs('All Swedes');
        $this->open($search);
        $this->all('input[name="only[]"]')[1]->click();
        $this->see('1 chosen, over all pages.');
        $this->open($search.'&page=2');
        $this->see('1 chosen');
        $this->all('input[name="only[]"]')[0]->sendKeys(WebDriverKeys::SPACE);
        $this->see('2 chosen');
        $this->press('Keep as list');
        $this->dialog('input[name=name]')->sendKeys('All Swedes'.WebDriverKeys::ENTER);
        $this->see('There is a list of this name');
        $this->see('2 chosen');
        $this->fill('.modal.show input[name=name]', 'Two Swedes');
        $this->find('.modal.show button.btn-primary')->click();
        $this->see('2 accounts, by Selma');
        $this->open($search);
        $this->see('What is in here');
        self::assertStringNotContainsString('chosen, over all', $this->text(), 'what was kept is ticked no longer');
    }

    public function test_a_list_is_stepped_through_by_keys_and_its_search_watched(): void
    {
        $this->signIn('Jonte', '/finder?on=contacts&c[0][f]=part&c[0][v]=signs_off&c[1][f]=country&c[1][v]=NO');
        $found = $this->total();
        $this->keepAs('Norway');
        $this->press('Step through');
        foreach (['p' => '1 of', 'd' => '2 of'] as $key => $decided) {
            $this->keys($key);
            $this->see("$decided $found decided, 1 kept");
        }
        $this->press($this->find('.toast button:not(.btn-close)'));
        $this->see("1 of $found decided, 1 kept");
        $this->press('Make a list of the 1 kept');
        $this->see('“Norway · kept” has those that were kept');

        $this->open('/finder?on=contacts&c[0][f]=part&c[0][v]=signs_off&c[1][f]=country&c[1][v]=NO');
        $this->press('Watch');
        self::assertNotSame('', $this->dialog('[name=time_zone]')->getAttribute('value'));
        $this->find('.modal.show input[name=name]')->sendKeys('Norwegians'.WebDriverKeys::ENTER);
        $this->see('Nobody new since it began');
        $this->keys('g', 'l');
        $this->see('nobody new yet');
    }

    public function test_what_is_exported_has_the_columns_chosen_which_are_remembered(): void
    {
        $this->signIn(
            'Anton', '/finder?on=accounts&c[0][f]=country&c[0][v]=DK&c[1][f]=headcount&c[1][lo]=200&c[1][x]=1',
        );
        $found = $this->total();
        $this->press('Export');
        $this->find('.modal.show [aria-label="Move account up"]')->sendKeys(WebDriverKeys::ENTER);
        foreach ($this->all('.modal.show [data-one]') as $i => $column) {
            $i < 2 || $column->findElement(WebDriverBy::cssSelector('input'))->click();
        }
        $csv = (string) $this->browser->executeAsyncScript(
            'const done = arguments[0]; const form = document.querySelector(".modal.show form"); '
                .'fetch(form.querySelector(".btn-primary").formAction + "?" + new URLSearchParams(new '
                .'FormData(form))).then((r) => r.text()).then(done)',
        );
        $lines = explode("\n", trim($csv));
        self::assertSame('account;priority', ltrim($lines[0], "\xEF\xBB\xBF\u{FEFF}"));
        self::assertCount($found + 1, $lines, 'headings, and those found');
        $this->browser->navigate()->refresh();
        $this->press('Export');
        self::assertStringStartsWith(
            'account',
            trim($this->find('.modal.show [data-one]')->getText()),
            'the order is remembered',
        );
    }

    public function test_every_sort_of_condition_is_set_by_keyboard(): void
    {
        $this->signIn('Mira');
        $typed = [
            'city' => 'Hobro', 'country' => 'Denmark', 'near a place' => 'Hobro, Denmark',
            'domain' => 'tunhede.example', 'main industry' => 'glass', 'industry' => 'glass', 'region' => 'Stockholm',
            'technology' => 'Tryklog', 'language' => 'German', 'school' => 'Kråkvik tekniska skola',
            'association' => 'Circle of Air Users',
        ];
        $this->open('/accounts/1');
        $this->press('Add a tag');
        $this->find('[data-tags] input[name=tag]')->sendKeys('fair'.WebDriverKeys::ENTER);
        $this->see('1 account got the tag “fair”.');
        $this->open('/finder?on=contacts&c[0]=');
        $labels = $this->browser->executeScript(
            'return [...new Set([...document.querySelectorAll("#conditions-found [role=option]")].map((a) => '
                .'a.textContent.trim()))]',
        );
        self::assertGreaterThan(45, count($labels));
        // One of each sort of form: the others have the same controls (StepTest).
        $labels = array_values(array_intersect($labels, self::FORMS));
        self::assertSame([], array_diff(self::FORMS, $labels));
        foreach ($labels as $i => $label) {
            if ($i % 10 === 0) {
                $this->open('/finder?on=contacts&c[0]=');
            }
            $before = count($this->all('.stair[data-one]'));
            $this->add($label);
            $this
                ->until('document.activeElement?.closest("#adding") !== null', "No field of “{$label}” has the focus.");
            // From field to field by tab, until what has to be filled is, and enter sends it; from a list or a larger
            // field on to the button.
            for ($filled = false, $n = 0; $n < 40; $n++) {
                [$kind, $needed, $unit] = $this->browser->executeScript(
                    'const e = document.activeElement; return [e.closest("#adding") ? '
                        .'e.matches("button.btn-primary") ? "button" : e.type ?? e.tagName : "left", e.required ?? '
                        .'false, e.name?.endsWith("[km]") ?? false]',
                );
                self::assertNotSame('left', $kind, "The button of “{$label}” is reached by tab.");
                if ((! $filled || $needed) && in_array($kind, ['checkbox', 'text', 'textarea'], true)) {
                    $this->keys($kind === 'checkbox' ? ' ' : ($unit ? '50' : $typed[$label] ?? '1'));
                    $filled = true;
                }
                if (
                    $kind === 'button'
                    || $filled
                        && in_array($kind, ['checkbox', 'text'], true)
                        && $this->browser->executeScript('return document.querySelector("#adding").checkValidity()')
                ) {
                    break;
                }
                $this->keys(WebDriverKeys::TAB);
            }
            $this->keys(WebDriverKeys::ENTER);
            $this->wait(
                fn (): bool => count($this->all('.stair[data-one]')) === $before + 1,
                "“{$label}” became no step.",
            );
            self::assertSame(
                [],
                array_map(
                    fn (RemoteWebElement $wrong): string => $wrong->getText(),
                    $this->all('#changing [role=alert]'),
                ),
                $label,
            );
        }
    }

    public function test_a_watch_shows_its_newcomer_once_its_time_has_come(): void
    {
        $this->signIn('Selma', '/finder?on=contacts&c[0][f]=title&c[0][q]=leakmaster');
        self::assertSame(0, $this->total());
        $this->open(
            '/finder?on=contacts&c[0][f]=title&c[0][q]=leakmaster OR "head of '
                .'maintenance"&c[1][f]=domain&c[1][v]=tunhede.example',
        );
        self::assertSame(1, $this->total());
        $this->press('Watch');
        $this->find('.modal.show input[name=name]')->sendKeys('Leakmasters'.WebDriverKeys::ENTER);
        $this->see('Nobody new since it began');
        $watch = (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
        $this->open('/finder?on=accounts&c[0][f]=domain&c[0][v]=tunhede.example');
        $this->press('Glasverk Tunhede');
        $this->press('Add a person');
        $this->fill('.modal.show input[name=first_name]', 'Signe');
        $this->fill('.modal.show input[name=last_name]', 'Utoft');
        $this->find('.modal.show input[name=title]')->sendKeys('Leakmaster'.WebDriverKeys::ENTER);
        $this->see('Signe Utoft is added.');
        try {
            self::at('2026-11-24T09:00:00Z');
            $this->signIn('Selma');
            $this->keys('g', 'l');
            $this->see('1 unread');
            $this->open($watch);
            $this->see('Signe Utoft');
            $this->press('All read');
            $this->see('All are read.');
            self::at('2026-11-25T09:00:00Z');
            $this->signIn('Selma', $watch);
            self::assertCount(1, $this->all('tr[data-row]', 'Signe'), 'once');
            self::assertStringNotContainsString('unread', $this->text());
        } finally {
            self::at(self::NOW);
        }
    }

    /** Into the field that has the focus once a condition is chosen. */
    private function type(string $text): void
    {
        $this->until('document.activeElement?.closest("#adding") !== null', 'No field has the focus.');
        $this->browser->switchTo()->activeElement()->sendKeys($text.WebDriverKeys::ENTER);
    }

    /** A condition, by the field that one types into. */
    private function add(string $condition): void
    {
        $this->find('#add')->sendKeys($condition);
        $this->until('document.querySelector("#conditions-found.show") !== null', 'No condition is offered.');
        // The first that is called so may be a longer one.
        $at = (int) $this->browser->executeScript(
            'return [...document.querySelectorAll("#conditions-found [role=option]:not([hidden])")].findIndex((one) '
                .'=> one.textContent.trim() === arguments[0])',
            [$condition],
        );
        for ($i = 0; $i <= $at; $i++) {
            $this->keys(WebDriverKeys::ARROW_DOWN);
        }
        $this->keys(WebDriverKeys::ENTER);
        $this->find('#adding');
    }

    /** Opens what can be done with a step. */
    private function change(string $condition): void
    {
        $this->press($this->find(".stair [aria-label='Change this step: $condition']"));
        $this->find('.stair .dropdown-menu.show');
    }

    private function keepAs(string $name): void
    {
        $this->press('Keep as list');
        $this->dialog('input[name=name]')->sendKeys($name.WebDriverKeys::ENTER);
        $this->see("The list “{$name}” is kept");
    }

    private function total(): int
    {
        // In one go, since the page may be exchanged between finding it and reading it.
        $total = $this->until('document.querySelector("[data-total]")?.innerText', 'There is no total.');

        return (int) str_replace(',', '', is_string($total) ? $total : '');
    }
}
