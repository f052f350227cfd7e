<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Person\EmailPatterns;
use Luftig\Core\Reach\SharedMailbox;
use Luftig\Core\Rules\Input;

/** Rule 16. */
final class EmailPatternsOperation implements Operation
{
    public static function name(): string
    {
        return 'email-patterns';
    }

    public static function summary(): string
    {
        return 'What addresses people may have, by how known ones are made.';
    }

    public static function fields(): array
    {
        return [
            'known[]' => '{first, last, email}',
            'people[]' => '{id, first, last, domain}',
            'priors' => '{pattern: share over all domains}, optional; patterns: '
                .implode(', ', array_keys(EmailPatterns::PATTERNS)),
            'answer: guesses[]' => '{id, candidates [{email, chance}]}, the likeliest first',
        ];
    }

    public static function example(): array
    {
        return [
            'known' => [
                ['first' => 'Jörg', 'last' => 'Müller', 'email' => 'joerg.mueller@glas.example'],
                ['first' => 'Ada', 'last' => 'Nord', 'email' => 'ada.nord@glas.example'],
            ],
            'people' => [['id' => 1, 'first' => 'Käthe', 'last' => 'Süd', 'domain' => 'glas.example']],
        ];
    }

    public static function answer(Input $input): array
    {
        $shares = $input->optionalObject('priors');
        $patterns = new EmailPatterns($shares === null ? null : self::priors($shares));
        foreach ($input->objects('known') as $one) {
            $email = $one->string('email');
            if (preg_match('/^[^@\s]+@[^@\s]+$/', $email) !== 1) {
                throw Mistake::at($one->place('email'), 'This is an address as in name@firm.example.');
            }
            [$first, $last] = [$one->string('first'), $one->string('last')];
            if (! SharedMailbox::is($email)) {
                $patterns->learn($first, $last, $email);
            }
            $one->done();
        }
        $guesses = array_map(static function (Input $person) use ($patterns): array {
            $id = $person->id('id');
            $of = $patterns->guesses($person->string('first'), $person->string('last'), $person->string('domain'));
            $person->done();

            return ['id' => $id, 'candidates' => array_map(
                static fn (string $email, float $chance): array => ['email' => $email, 'chance' => $chance],
                array_keys($of),
                array_values($of),
            )];
        }, $input->objects('people'));
        $input->done();

        return ['guesses' => $guesses];
    }

    /** @return array<string, float> */
    private static function priors(Input $shares): array
    {
        $priors = [];
        foreach ($shares->names() as $pattern) {
            if (! isset(EmailPatterns::PATTERNS[$pattern])) {
                throw Mistake::at($shares->place($pattern), 'A pattern is one of: '
                    .implode(', ', array_keys(EmailPatterns::PATTERNS)).'.');
            }
            $priors[$pattern] = $shares->number($pattern, 0, 1);
        }

        return $priors;
    }
}
