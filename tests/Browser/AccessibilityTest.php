<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/**
 * axe-core finds nothing serious on any view; in the dark, where only the colours differ, nothing of colours. And no
 * page asks for more than it needs.
 */
final class AccessibilityTest extends BrowserTestCase
{
    /** @return array<string, array{string}> */
    public static function themes(): array
    {
        return ['light' => ['light'], 'dark' => ['dark']];
    }

    #[DataProvider('themes')]
    public function test_every_view(string $theme): void
    {
        $this->open('/sign-in');
        $this->browser->executeScript("localStorage.setItem('luftig-theme', '$theme')");
        $found = $this->check('/sign-in', $theme);
        $this->signIn('Ylva');
        $reason = $this->recorded();
        $draft = $this->draft();
        foreach (
            [
                '/', '/accounts', '/accounts?view=picture', '/accounts?tab=waiting', '/accounts?tab=out',
                '/accounts?tab=kept_out', '/accounts/1', '/contacts', '/contacts?q=nobody-at-all', '/contacts/1',
                '/accounts/1/reasons/new', '/finder', '/finder?on=accounts&add=industry&c[0][f]=headcount&c[0][lo]=x',
                '/finder?on=contacts&add=event&every=1', '/finder?on=contacts&add=reach',
                '/finder?on=contacts&c[0][f]=country&c[0][v]=SE&vary=0',
                '/finder/words?on=contacts&c[0][f]=country&c[0][v]=SE', ...$this->kept(), '/lists', '/network',
                '/network/relations', '/reasons', $reason, '/intake', '/intake/1', $draft, '/keep-out', '/pace',
                '/rules/1', '/team', '/go?q=a', '/no-such-page',
            ] as $view
        ) {
            $found += $this->check($view, $theme);
        }
        $this->open('/finder');
        $this->press('Export');
        $this->dialog();
        $found += $this->scan("exporting, $theme");
        $this->open('/');
        $this->keys('/');
        $this->see('screen');
        $found += $this->scan("go to, $theme");

        self::assertSame([], $found);
    }

    public function test_what_never_changes_is_asked_for_once(): void
    {
        $this->signIn('Mira');
        $this->open('/finder');
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
    private function check(string $view, string $theme): array
    {
        $this->open($view);
        $this->find('h1');
        self::assertSame($theme, $this->browser->executeScript('return document.documentElement.dataset.bsTheme'));

        return $this->scan("$view, $theme");
    }

    /** @return array<string, string> place → what is wrong */
    private function scan(string $where): array
    {
        $this->browser->executeScript((string) file_get_contents(dirname(__DIR__).'/vendor/axe/axe.min.js'));
        $this->browser->executeScript('document.querySelectorAll("details").forEach((d) => { d.open = true; })');
        $violations = $this->browser->executeAsyncScript(
            'const done = arguments[0]; const dark = document.documentElement.dataset.bsTheme === "dark"; '
                .'axe.run(document, {resultTypes: ["violations"], '
                .'...(dark && {runOnly: ["color-contrast", "link-in-text-block"]})}).then((r) => '
                .'done(r.violations.filter((v) => ["serious", "critical"].includes(v.impact)).map((v) => [v.id, '
                .'v.nodes.map((n) => n.html + " " + n.failureSummary).slice(0, 2).join(" | ")])));',
        );
        $found = [];
        foreach ($violations as [$id, $nodes]) {
            $found["$where: $id"] = mb_substr($nodes, 0, 500);
        }

        return $found;
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

        return [...$addresses, "$addresses[1]/spot-check", "$addresses[1]/step-through"];
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
