<?php

declare(strict_types=1);

namespace App\View;

/** How what was just done is undone, for the toast that says it; an array, since it is kept in the session. */
final class Undo
{
    /**
     * @param  array<string, scalar|null>  $fields
     * @return array{to: string, method: string, fields: array<string, scalar|null>}
     */
    public static function by(string $method, string $to, array $fields = []): array
    {
        return ['to' => $to, 'method' => $method, 'fields' => $fields];
    }
}
