<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\View\Help;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use Tests\TestCase;

/** The question mark says on every screen what it is for. */
final class HelpTest extends TestCase
{
    /** What is no screen: parts of one, files, what others read, what has no name, and what stands before one is in. */
    private const NO_SCREEN = '/^(storage|generated::|api\.|login$|second\.ask$|asks\.answer$|steps$|metrics$'
        .'|alerts\.feed$)/';

    public function test_every_screen_has_up_to_five_lines(): void
    {
        $screens = array_filter(
            array_map(
                fn (Route $route): ?string => in_array('GET', $route->methods(), true) ? $route->getName() : null,
                Routes::getRoutes()->getRoutes(),
            ),
            fn (?string $name): bool => $name !== null && preg_match(self::NO_SCREEN, $name) !== 1,
        );
        self::assertGreaterThan(60, count($screens));
        foreach ($screens as $name) {
            $lines = Help::of($name);
            self::assertNotSame([], $lines, "$name says nothing of what it is for");
            self::assertLessThanOrEqual(5, count($lines), $name);
            foreach ($lines as $line) {
                self::assertMatchesRegularExpression('/^[A-Z].{15,140}\.$/u', $line, $name);
            }
        }
        self::assertSame([], Help::of(null));
        self::assertSame([], Help::of('nowhere'));
    }

    public function test_it_stands_on_the_screen_it_is_of(): void
    {
        $account = $this->tunhede();
        $this->actingAs($this->rep)->get('/')->assertSeeText('Whom to approach today and what to say');
        $this->get(route('accounts.show', $account))->assertSeeText('One company: what happened, how it ages')
            ->assertDontSeeText('Whom to approach today and what to say');
        $this->get('/finder')->assertSeeText('Begin with all, add one condition at a time');
        $this->get('/no-such-page')->assertNotFound();
    }
}
