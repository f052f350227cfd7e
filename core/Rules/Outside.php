<?php

declare(strict_types=1);

namespace Luftig\Core\Rules;

use Luftig\Core\Mistake;
use Luftig\Core\Signal\TechnologyStance;
use Luftig\Core\Signal\Topic;

/** What an offer looks out for outside, as it is written down: technologies and topics. */
final class Outside
{
    /** @throws Mistake naming the field that cannot be used */
    public static function technologies(Input $input): TechnologyStance
    {
        $stance = new TechnologyStance($input->strings('completes'), $input->strings('replaces'));
        $input->done();

        return $stance;
    }

    /** @throws Mistake naming the field that cannot be used */
    public static function topic(Input $input): Topic
    {
        $topic = new Topic(
            $input->string('name'),
            $input->optionalQuery('query') ?? throw Mistake::at(
                $input->place('query'),
                'A topic needs a query that finds its posts.',
            ),
        );
        $input->done();

        return $topic;
    }
}
