<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Seniority;
use Luftig\Core\Person\Status;
use Luftig\Core\Person\TitleReader;
use Luftig\Core\Rules\Input;

/** Rule 7. */
final class TitleOperation implements Operation
{
    public static function name(): string
    {
        return 'title';
    }

    public static function summary(): string
    {
        return 'What a title says of status, seniority and functions.';
    }

    public static function fields(): array
    {
        return [
            'title' => 'text, in one of nine languages',
            'country' => 'ISO code, optional: of the account',
            'headcount' => 'whole number, optional: of the account',
            'answer: status' => Input::values(Status::class),
            'answer: seniority' => Input::values(Seniority::class),
            'answer: functions' => 'any of '.Input::values(BusinessFunction::class),
        ];
    }

    public static function example(): array
    {
        return ['title' => 'Leiter Instandhaltung', 'country' => 'DE', 'headcount' => 420];
    }

    public static function answer(Input $input): array
    {
        $text = $input->string('title');
        $country = $input->optionalString('country');
        $headcount = $input->optionalInteger('headcount');
        $input->done();
        $title = TitleReader::standard()->read($text, $country === null ? null : strtoupper($country), $headcount);

        return [
            'status' => $title->status->value,
            'seniority' => $title->seniority->value,
            'functions' => array_map(
                static fn (BusinessFunction $function): string => $function->value,
                $title->functions(),
            ),
        ];
    }
}
