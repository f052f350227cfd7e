<?php

declare(strict_types=1);

namespace Luftig\Core\Shell;

use Luftig\Core\Mistake;
use Luftig\Core\Rules\Input;

/** A rule as the shell reaches it: an object in, an object out. */
interface Operation
{
    public static function name(): string;

    /** What it answers, in one line. */
    public static function summary(): string;

    /** @return array<string, string> field, or path of a field → what it is and may be */
    public static function fields(): array;

    /** @return array<string, mixed> an input that works */
    public static function example(): array;

    /**
     * @return array<mixed>
     *
     * @throws Mistake
     */
    public static function answer(Input $input): array;
}
