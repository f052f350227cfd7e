<?php

declare(strict_types=1);

namespace App\Feeds\Formats;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** Whether what a source sends holds to the schema of its format. */
final readonly class Schema
{
    private Validator $validator;

    private mixed $schema;

    public function __construct(string $path)
    {
        $this->validator = new Validator;
        $this->schema = json_decode((string) file_get_contents($path));
    }

    /** @return string|null what does not hold, in a sentence */
    public function wrong(mixed $value): ?string
    {
        $error = $this->validator->validate($value, $this->schema)->error();

        return $error === null ? null : 'It does not hold to the schema: '
            .((new ErrorFormatter)->formatOutput($error, 'basic')['errors'][0]['error'] ?? 'it differs');
    }
}
