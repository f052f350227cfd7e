<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

final class UploadRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:'.config('luftig.upload_megabytes') * 1024]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $most = config('luftig.upload_megabytes');

        return [
            'file.required' => 'Choose a file first.',
            'file.max' => "That file is larger than $most MB. Split it into parts.",
            'file.uploaded' => "That file did not arrive whole, or is larger than $most MB. Nothing was changed.",
        ];
    }

    public function upload(): UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : abort(422);
    }
}
