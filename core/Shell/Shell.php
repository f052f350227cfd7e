<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use JsonException;
use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;

/** The rules from the command line: JSON in, JSON out. */
final class Shell
{
    /** @var list<class-string<Operation>> */
    private const OPERATIONS = [
        TimingOperation::class, FitOperation::class, AccessOperation::class, PriorityOperation::class,
        MatchOperation::class, TitleOperation::class, ContactsOperation::class, DomainOperation::class,
        IdentityOperation::class, SpotCheckOperation::class, RelationOperation::class, OpeningsOperation::class,
        TechnologiesOperation::class, AboutOperation::class, SameStoryOperation::class, PlanOperation::class,
        LearnOperation::class, LookBackOperation::class, StoryOperation::class, AngleOperation::class,
        DraftOperation::class, PathsOperation::class, EmailPatternsOperation::class, BouncesOperation::class,
        StepsOperation::class,
        LookUpsOperation::class, LookalikesOperation::class, PhrasesOperation::class,
    ];

    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

    /**
     * @param  list<string>  $arguments  the operation, or --help, or both
     * @param  callable(): string  $read  the input, asked for only when it is needed
     * @return array{string, int} what to print and the exit code
     */
    public static function run(array $arguments, callable $read): array
    {
        $help = array_intersect(['--help', '-h', 'help'], $arguments) !== [];
        $names = array_values(array_diff($arguments, ['--help', '-h', 'help']));
        $name = $names[0] ?? null;
        if ($name === null) {
            return [self::help(), $help ? 0 : 1];
        }
        foreach (self::OPERATIONS as $operation) {
            if ($operation::name() === $name) {
                return $help ? [self::helpOn($operation), 0] : self::answer($operation, $read());
            }
        }

        return [self::error(new Mistake("There is no operation “{$name}”; --help lists them.")), 1];
    }

    /**
     * @param  class-string<Operation>  $operation
     * @return array{string, int}
     */
    private static function answer(string $operation, string $json): array
    {
        try {
            $input = json_decode($json, true, 512, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            return [self::error(new Mistake('The input is no JSON: '.lcfirst($e->getMessage()).'.')), 1];
        }
        if (is_array($input) && array_is_list($input) && ! ($input === [] && str_starts_with(ltrim($json), '{'))) {
            return [self::encode(array_map(static function (mixed $one) use ($operation): array {
                try {
                    return self::tidy($operation::answer(Input::of($one)));
                } catch (Mistake $mistake) {
                    return self::explain($mistake);
                }
            }, $input)), 0];
        }
        try {
            return [self::encode(self::tidy($operation::answer(Input::of($input)))), 0];
        } catch (Mistake $mistake) {
            return [self::error($mistake), 1];
        }
    }

    /**
     * Numbers as JSON has them: none that is no number, and no zero with a sign.
     *
     * @param  array<mixed>  $answer
     * @return array<mixed>
     */
    private static function tidy(array $answer): array
    {
        array_walk_recursive($answer, static function (mixed &$value): void {
            if (is_float($value) && ! is_finite($value)) {
                throw new Mistake('A number of this input is too large to be reckoned with.');
            }
            if ($value === 0.0) {
                $value = 0.0;
            }
        });

        return $answer;
    }

    private static function help(): string
    {
        $lines = [
            'Usage: luftig-core OPERATION < in.json > out.json', '',
            'One object, or a list of objects. OPERATION --help shows its fields.', '',
        ];
        foreach (self::OPERATIONS as $operation) {
            $lines[] = sprintf('  %-12s %s', $operation::name(), $operation::summary());
        }

        return implode("\n", $lines)."\n";
    }

    /** @param  class-string<Operation>  $operation */
    private static function helpOn(string $operation): string
    {
        $lines = [$operation::name().': '.$operation::summary(), ''];
        foreach ($operation::fields() as $field => $meaning) {
            $lines[] = sprintf('  %-28s %s', $field, $meaning);
        }

        return implode("\n", $lines)."\n\nExample:\n".json_encode($operation::example(), self::JSON | JSON_PRETTY_PRINT)
            ."\n";
    }

    private static function error(Mistake $mistake): string
    {
        return self::encode(self::explain($mistake));
    }

    /** @return array{error: array{message: string, at: string|int|null}} */
    private static function explain(Mistake $mistake): array
    {
        $within = is_string($mistake->at) && $mistake->character !== null
            ? " (at character {$mistake->character})"
            : '';

        return ['error' => ['message' => $mistake->getMessage().$within, 'at' => $mistake->at]];
    }

    /** @param  array<mixed>  $answer */
    private static function encode(array $answer): string
    {
        return json_encode($answer, self::JSON | JSON_THROW_ON_ERROR)."\n";
    }
}
