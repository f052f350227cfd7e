<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Intake\RowReaders;
use App\Models\Intake;
use App\Models\IntakeKind;
use App\Models\IntakeState;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class MappingRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->intake()->state === IntakeState::Draft && (bool) $this->user()?->can('update', $this->intake());
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(IntakeKind::class)],
            'columns' => ['array'],
            'columns.*' => ['nullable', 'string'],
            'source' => ['nullable', 'string', 'max:80'],
            'whose' => ['nullable', 'integer', Rule::in(array_keys($this->user()?->speaksFor() ?? []))],
        ];
    }

    public function kind(): IntakeKind
    {
        return IntakeKind::from($this->string('kind')->toString());
    }

    /** @return array<int, string> */
    public function mapping(): array
    {
        $fields = RowReaders::of($this->intake()->kind)::columns();
        $mapping = [];
        foreach ((array) $this->input('columns', []) as $position => $field) {
            if (
                is_string($field)
                && isset($fields[$field])
                && isset($this->intake()->format['columns'][(int) $position])
            ) {
                $mapping[(int) $position] = $field;
            }
        }

        return $mapping;
    }

    private function intake(): Intake
    {
        $intake = $this->route('intake');

        return $intake instanceof Intake ? $intake : abort(404);
    }
}
