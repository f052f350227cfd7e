<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The wall around the core: it names nothing outside itself but PHP. */
final class CoreWall
{
    public function testTheCoreNamesNothingOutsideItself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Luftig\Core'))
            ->canOnlyDependOn()
            ->classes(Selector::inNamespace('Luftig\Core'), Selector::inNamespace('Random'), Selector::classname('/^(?!App\\\\|Illuminate\\\\|Database\\\\|Tests\\\\)[A-Z][A-Za-z]*$/', true))
            ->because('the rules know no framework, database, clock or file');
    }
}
