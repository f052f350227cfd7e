<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Company\Domain;
use Luftig\Core\Rules\Input;

/** Rule 15, first sentences. */
final class DomainOperation implements Operation
{
    public static function name(): string
    {
        return 'domain';
    }

    public static function summary(): string
    {
        return 'The domain that identifies a company.';
    }

    public static function fields(): array
    {
        return ['text' => 'a domain, a web address or an e-mail address'];
    }

    public static function example(): array
    {
        return ['text' => 'https://www.tunhede.example/about'];
    }

    public static function answer(Input $input): array
    {
        $domain = Domain::from($input->string('text'));
        $input->done();

        return [
            'domain' => $domain?->name,
            'free_mail' => $domain->freeMail ?? false,
            'disposable' => $domain->disposable ?? false,
        ];
    }
}
