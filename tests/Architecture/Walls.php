<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Who may name whom: nothing outside the core from within it, and in core and app each room only those before it. */
final class Walls
{
    /** Each builds on those before it. */
    private const CORE = [
        'Text', 'Geo', 'Company', 'Person', 'Fit', 'Signal', 'Reach', 'Buying', 'Priority', 'Search', 'Index',
        'Likeness', 'Reason', 'Learning', 'Rules', 'Shell',
    ];

    /** Each builds on those before it; what Laravel brings (Models, Http, Jobs …) stands below or above all of them. */
    private const APP = [
        'Support', 'KeepOut', 'Channels', 'Standings', 'Network', 'Alike', 'Finder', 'Lists', 'Contacts', 'Intake',
        'Feeds',
        'LookUps', 'Reasons', 'Exports', 'Archive', 'View',
    ];

    private const ABOVE = ['Http', 'Console', 'Jobs', 'Listeners', 'Mail', 'Policies', 'Providers'];

    /** @return iterable<Rule> */
    public function testTheCoreNamesNothingOutsideItself(): iterable
    {
        yield PHPat::rule()
            ->classes(Selector::inNamespace('Luftig\Core'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('Luftig\Core'),
                Selector::inNamespace('Random'),
                Selector::classname('/^(?!App\\\\|Illuminate\\\\|Database\\\\|Tests\\\\)[A-Z][A-Za-z]*$/', true),
            )
            ->because('the rules know no framework, database, clock or file');
    }

    /** @return iterable<Rule> */
    public function testRoomsOfTheCoreBuildOnEachOtherInOrder(): iterable
    {
        yield from $this->inOrder('Luftig\Core', self::CORE, []);
    }

    /** @return iterable<Rule> */
    public function testRoomsOfTheAppBuildOnEachOtherInOrder(): iterable
    {
        yield from $this->inOrder('App', self::APP, self::ABOVE);
    }

    /** @return iterable<Rule> */
    public function testModelsAndEventsKnowNoRoom(): iterable
    {
        foreach (['App\Models', 'App\Events'] as $below) {
            yield $this->mayNotName($below, 'App', [...self::APP, ...self::ABOVE]);
        }
    }

    /**
     * @param  non-empty-list<string>  $rooms  in their order
     * @param  list<string>  $above
     * @return iterable<Rule>
     */
    private function inOrder(string $root, array $rooms, array $above): iterable
    {
        foreach ($rooms as $i => $room) {
            $later = [...array_slice($rooms, $i + 1), ...$above];
            if ($later !== []) {
                yield $this->mayNotName("$root\\$room", $root, $later);
            }
        }
    }

    /** @param  non-empty-list<string>  $others */
    private function mayNotName(string $namespace, string $root, array $others): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace($namespace))
            ->shouldNotDependOn()
            ->classes(...array_map(fn (string $room) => Selector::inNamespace("$root\\$room"), $others))
            ->because('rooms build on each other in one order, never in a circle');
    }
}
