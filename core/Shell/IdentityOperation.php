<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Company\CompanyFacts;
use Luftig\Core\Company\Identity;
use Luftig\Core\Company\Verdict;
use Luftig\Core\Rules\Input;

/** Rule 15. */
final class IdentityOperation implements Operation
{
    public static function name(): string
    {
        return 'identity';
    }

    public static function summary(): string
    {
        return 'Whether two records are of one company.';
    }

    public static function fields(): array
    {
        return [
            'a, b' => '{name, domain?, country? (ISO code), city?}',
            'answer: verdict' => Input::values(Verdict::class),
            'answer: score' => 'likeness of the names, 0–1',
            'answer: because' => 'list of sentences',
        ];
    }

    public static function example(): array
    {
        return [
            'a' => ['name' => 'Glasverk Tunhede A/S', 'country' => 'DK'],
            'b' => ['name' => 'Glasværk Tunhede', 'city' => 'Hobro'],
        ];
    }

    public static function answer(Input $input): array
    {
        $a = self::company($input->object('a'));
        $b = self::company($input->object('b'));
        $input->done();
        $identity = Identity::of($a, $b);

        return ['verdict' => $identity->verdict->value, 'score' => $identity->score, 'because' => $identity->because];
    }

    private static function company(Input $input): CompanyFacts
    {
        $facts = new CompanyFacts(
            $input->string('name'),
            $input->optionalString('domain'),
            $input->optionalString('country'),
            $input->optionalString('city'),
        );
        $input->done();

        return $facts;
    }
}
