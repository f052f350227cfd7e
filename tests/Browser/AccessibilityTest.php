<?php

declare(strict_types=1);

namespace Tests\Browser;

/**
 * axe-core finds nothing serious on any view; of colours, which take most of the time and are the same everywhere, it
 * is asked on the main ones, in the light and in the dark. And no page asks for more than it needs.
 */
final class AccessibilityTest extends BrowserTestCase
{
    public function test_every_view_in_the_light_and_in_the_dark(): void
    {
        $found = $this->check('/sign-in', true);
        $this->signIn('Ylva');
        $reason = $this->recorded();
        $draft = $this->draft();
        $main = [
            '/', '/accounts', '/accounts/1', '/contacts', '/contacts/1', '/finder', '/lists', '/network', '/reasons',
            $reason, '/intake', $draft, '/feeds/1', '/candidates', '/keep-out', '/rules/1', '/team',
            '/begin?step=2',
        ];
        $further = [
            '/accounts?view=picture', '/accounts?tab=waiting',
            '/accounts/1/edit', '/contacts?q=nobody-at-all', '/accounts/1/reasons/new',
            '/finder?on=accounts&add=industry&c[0][f]=headcount&c[0][lo]=x',
            '/finder?on=contacts&add=event&every=1', '/finder?on=contacts&add=reach',
            '/finder?on=contacts&c[0][f]=country&c[0][v]=SE&vary=0&wide=country',
            '/finder/words?on=contacts&c[0][f]=country&c[0][v]=SE', ...$this->kept(), '/network/relations',
            '/intake/1', '/feeds/new', '/webhooks/new', '/press', '/alerts', '/results',
            '/posts?of=https%3A%2F%2Fa.example',
            '/finder?on=accounts&add=opening', '/signals/1', '/candidates?tab=people',
            '/rules/1/angles', '/rules/1/angles/0', '/rules/1/angles/new',
            '/results/learned', '/rules/1/stories', '/stories/1', '/reasons?state=open',
            '/look-ups', '/alike?e=8,23&x=33', '/network/around/1',
            '/alike/phrases?e=1,2,3,4,5', '/look-ups/new?contacts[]=1', '/look-ups/services/1',
            '/pace', '/under-way', '/second-factor', '/tokens', '/log', '/status', '/team/events', '/go?q=a',
            '/no-such-page',
        ];
        foreach ([...$main, ...$further] as $view) {
            $found += $this->check($view, in_array($view, $main, true));
        }
        $this->open('/finder');
        $this->press('Export');
        $this->dialog();
        $found += $this->scan('exporting');
        $this->open('/');
        $this->keys('/');
        $this->see('screen');
        $found += $this->scan('go to');

        self::assertSame([], $found);
    }

    public function test_what_never_changes_is_asked_for_once(): void
    {
        $this->signIn('Mira', '/finder');
        $this->open('/accounts/1');
        $this->find('h1');
        $sent = $this->browser->executeScript(
            'return performance.getEntriesByType("resource").filter((r) => '
                .'/\\.(css|js|woff2)/.test(r.name)).map((r) => [new URL(r.name).pathname, r.transferSize])',
        );
        self::assertContains('/css/luftig.css', array_column($sent, 0));
        self::assertContains('/vendor/bootstrap/bootstrap.bundle.min.js', array_column($sent, 0));
        self::assertContains('/js/keys.js', array_column($sent, 0));
        self::assertSame(
            [],
            array_values(array_filter($sent, fn (array $one): bool => $one[1] > 0)),
            'each came with a page before',
        );
    }

    /** Without fonts, and as it travels: a first visit brings everything, the next ones a page only. */
    public function test_pages_are_light(): void
    {
        $this->signIn('Mira');
        $weigh = 'return performance.getEntriesByType("resource").concat(performance.getEntriesByType("navigation"))'
            .'.filter((r) => !/woff2/.test(r.name)).reduce((sum, r) => sum + r.%s, 0)';
        $pages = [
            '/', '/accounts', '/accounts/1', '/contacts', '/contacts/1', '/finder', '/lists', '/network', '/reasons',
            '/intake',
        ];
        foreach ($pages as $page) {
            $this->open($page);
            $this->find('h1');
            $whole = $this->browser->executeScript(sprintf($weigh, 'encodedBodySize'));
            self::assertLessThan(100_000, $whole, "$page on a first visit");
            self::assertLessThan(
                30_000,
                $this->browser->executeScript(sprintf($weigh, 'transferSize')),
                "$page after it",
            );
        }
    }

    /** @return array<string, string> */
    private function check(string $view, bool $isMain): array
    {
        $this->open($view);
        $this->find('h1');

        return $this->scan($view, $isMain);
    }

    /** @return array<string, string> place → what is wrong */
    private function scan(string $where, bool $withColours = false): array
    {
        $this->browser->executeScript((string) file_get_contents(dirname(__DIR__).'/vendor/axe/axe.min.js'));
        $this->browser->executeScript('document.querySelectorAll("details").forEach((d) => { d.open = true; })');
        // A colour on its way to another is neither.
        $this->browser->executeScript(
            'const still = new CSSStyleSheet(); still.replaceSync("* { transition: none !important }"); '
                .'document.adoptedStyleSheets = [still]',
        );
        $found = [];
        foreach ($withColours ? ['light', 'dark'] : ['light'] as $theme) {
            $violations = $this->browser->executeAsyncScript(
                'const [theme, colours, done] = arguments; document.documentElement.dataset.bsTheme = theme; '
                    .'axe.run(document, {resultTypes: ["violations"], '
                    .'...(colours || {runOnly: ["wcag2a", "wcag2aa"], rules: {"color-contrast": {enabled: false}}}), '
                    .'...(theme === "dark" && {runOnly: ["color-contrast", "link-in-text-block"]})}).then((r) => '
                    .'done(r.violations.filter((v) => ["serious", "critical"].includes(v.impact)).map((v) => [v.id, '
                    .'v.nodes.map((n) => n.html + " " + n.failureSummary).slice(0, 2).join(" | ")])));',
                [$theme, $withColours],
            );
            foreach ($violations as [$id, $nodes]) {
                $found["$where, $theme: $id"] = mb_substr($nodes, 0, 500);
            }
        }
        $this->browser->executeScript('document.documentElement.dataset.bsTheme = "light"');

        return $found;
    }

    public function test_what_was_chosen_of_light_and_dark_stays(): void
    {
        $this->open('/sign-in');
        foreach (['dark', 'light'] as $theme) {
            $this->browser->executeScript("localStorage.setItem('luftig-theme', '$theme')");
            $this->open('/sign-in');
            self::assertSame($theme, $this->browser->executeScript('return document.documentElement.dataset.bsTheme'));
        }
    }

    /** @return list<string> a list, both ways through it, and a watch */
    private function kept(): array
    {
        $addresses = [];
        foreach (['Watch' => 'is watched', 'Keep as list' => 'is kept'] as $button => $said) {
            $this->open('/finder?on=accounts&c[0][f]=country&c[0][v]=SE');
            $this->press($button);
            $this->fill('.modal.show input[name=name]', uniqid('Swedes '));
            $this->find('.modal.show .btn-primary')->click();
            $this->see($said);
            $addresses[] = (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
        }

        return [...$addresses, "$addresses[1]/reasons", "$addresses[1]/spot-check", "$addresses[1]/step-through"];
    }

    private function recorded(): string
    {
        $this->open('/accounts/1/reasons/new');
        $this->fill('textarea[name=words]', 'Hello Pernille, how will you find the leaks? '.uniqid());
        $this->press('Record the reason');
        $this->see('The evidence as it was');

        return (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
    }

    private function draft(): string
    {
        $this->open('/intake');
        $this->find('input[type=file]')->sendKeys($this->file('axe.csv', "domain,name\naxe.example,Axe\n,Nobody\n"));
        $this->press('Look at it');
        $this->see('What becomes of its rows');

        return (string) parse_url($this->browser->getCurrentURL(), PHP_URL_PATH);
    }
}
