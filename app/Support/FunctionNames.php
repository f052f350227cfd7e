<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\OwnFunction;
use Luftig\Core\Person\BusinessFunction;
use Luftig\Core\Person\Title;

/** What functions are called here, with those that the team defined for itself. */
final class FunctionNames
{
    /** @var array<string, string>|null slot → name */
    private ?array $own = null;

    public static function of(BusinessFunction $function): string
    {
        return $function->isOwn() ? app(self::class)->own()[$function->value] ?? 'no longer known' : $function->label();
    }

    /** @return array<string, string> function → name, of those there are */
    public static function all(): array
    {
        $names = [];
        foreach (BusinessFunction::cases() as $function) {
            if (! $function->isOwn()) {
                $names[$function->value] = $function->label();
            }
        }

        return $names + app(self::class)->own();
    }

    /** What a title says, in words. */
    public static function title(Title $title): string
    {
        return $title->inWords(self::of(...));
    }

    /** @return array<string, string> */
    private function own(): array
    {
        return $this->own ??= OwnFunction::query()->toBase()->orderBy('slot')->pluck('name', 'slot')->all();
    }
}
