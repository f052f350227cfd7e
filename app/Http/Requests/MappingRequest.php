<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Intake\Reading\DateOrder;
use App\Intake\Reading\Sense;
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
            'sheet' => ['nullable', Rule::in($this->intake()->format['sheets'] ?? [])],
            'columns' => ['array'],
            'columns.*' => ['nullable', 'string'],
            'source' => ['nullable', 'string', 'max:80'],
            'dates' => ['array'],
            'dates.*' => ['nullable', Rule::in([DateOrder::Day->value, DateOrder::Month->value])],
            'words' => ['array'],
            'words.*' => ['array'],
            'words.*.*' => ['array'],
            'words.*.*.word' => ['required', 'string', 'max:190'],
            'words.*.*.means' => ['nullable', 'string'],
            'whose' => ['nullable', 'integer', Rule::in(array_keys($this->user()?->speaksFor() ?? []))],
        ];
    }

    public function kind(): IntakeKind
    {
        return IntakeKind::from($this->string('kind')->toString());
    }

    /** Another sheet of the workbook; null where it is the one that is looked at, or none. */
    public function sheet(): ?string
    {
        $sheet = $this->input('sheet');

        return is_string($sheet) && $sheet !== ($this->intake()->format['sheet'] ?? null) ? $sheet : null;
    }

    /** @return array<string, mixed> what is said of the file */
    public function says(): array
    {
        return [
            'mapping' => $this->mapping(), 'source' => $this->input('source'), 'whose_id' => $this->input('whose'),
            'answers' => [
                'dates' => array_filter((array) $this->input('dates', [])), 'words' => $this->words(),
            ],
        ];
    }

    /** @return array<string, array<string, string>> */
    private function words(): array
    {
        $words = [];
        foreach (RowReaders::columns($this->intake()->kind) as $field => $column) {
            foreach ((array) $this->input("words.$field", []) as $one) {
                if (in_array($one['means'] ?? null, $column->choices, true)) {
                    $words[$field][Sense::word($one['word'])] = $one['means'];
                }
            }
        }

        return $words;
    }

    /** @return array<int, string> */
    private function mapping(): array
    {
        $fields = RowReaders::columns($this->intake()->kind);
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
