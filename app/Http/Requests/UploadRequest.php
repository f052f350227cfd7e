<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Arr;

/** One file, several at once, or rows that were copied from a spreadsheet. */
final class UploadRequest extends FormRequest
{
    private const FILES = 20;

    /** Characters that may be pasted; a file has room for more. */
    private const PASTED = 1_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'file' => ['required_without:rows', $this->wholeAndSmall(...)],
            'rows' => ['nullable', 'string', 'max:'.self::PASTED],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required_without' => 'Choose a file first, or paste rows.',
            'rows.max' => 'That is more than can be pasted. Save it as a file, and bring that.',
        ];
    }

    /** @return list<UploadedFile> */
    public function uploads(): array
    {
        return array_values(Arr::wrap($this->file('file')));
    }

    public function pasted(): ?string
    {
        $rows = $this->string('rows')->toString();

        return trim($rows) === '' ? null : $rows;
    }

    /** @param  Closure(string): mixed  $fail */
    private function wholeAndSmall(string $attribute, mixed $value, Closure $fail): void
    {
        $most = config()->integer('luftig.upload_megabytes');
        $files = Arr::wrap($value);
        if (count($files) > self::FILES) {
            $fail('Bring at most '.self::FILES.' files at once.');
        }
        foreach ($files as $file) {
            if (! $file instanceof UploadedFile || ! $file->isValid()) {
                $fail("That file did not arrive whole, or is larger than $most MB. Nothing was changed.");
            } elseif ($file->getSize() > $most * 1024 * 1024) {
                $fail("{$file->getClientOriginalName()} is larger than $most MB. Split it into parts.");
            }
        }
    }
}
