<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\PressClass;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Luftig\Core\Signal\Kind;
use Luftig\Core\Text\Query;
use Luftig\Core\Text\QueryMistake;

/** What a sort of reports is called, what it means, and by which query it is told. */
final class PressRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $class = $this->route('class');
        $unique = Rule::unique('press_classes', 'name')->ignore($class instanceof PressClass ? $class->id : null);

        return [
            'name' => ['bail', 'required', 'string', 'max:60', $unique],
            'kind' => ['required', Rule::enum(Kind::class)],
            'query' => ['bail', 'required', 'string', 'max:5000', $this->readable(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it a name.', 'name.unique' => 'There is one of this name.',
            'kind.*' => 'Choose what it means.', 'query.required' => 'Say by which words it is told.',
        ];
    }

    /** @return array<string, string> */
    public function says(): array
    {
        return [
            'name' => $this->string('name')->trim()->toString(), 'kind' => $this->string('kind')->toString(),
            'query' => $this->string('query')->trim()->toString(),
        ];
    }

    private function readable(string $field, mixed $value, Closure $fail): void
    {
        try {
            Query::parse((string) $value);
        } catch (QueryMistake $mistake) {
            $fail($mistake->inWords());
        }
    }
}
