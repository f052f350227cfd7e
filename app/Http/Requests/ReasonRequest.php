<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\ApproachKind;
use App\Rules\FitsItsKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class ReasonRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'words' => [
                'required', 'string', 'min:10', 'max:2000', 'not_regex:/[\[{]/',
                new FitsItsKind($this->input('channel')),
            ],
            'channel' => ['nullable', Rule::enum(ApproachKind::class)],
            'contact' => ['nullable', 'integer'], 'angle' => ['nullable', 'string', 'max:190'],
            'signals' => ['array'], 'signals.*' => ['integer'],
            'facts' => ['array'], 'facts.*' => ['string'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'words.required' => 'Write down what to say.', 'words.min' => 'That is too short to be a reason.',
            'words.not_regex' => 'There is an open slot in brackets left in the words; fill it in.',
        ];
    }

    public function words(): string
    {
        return trim($this->string('words')->toString());
    }

    public function channel(): ?string
    {
        return $this->filled('channel') ? $this->string('channel')->toString() : null;
    }

    /**
     * @return array{words: string, channel: string|null, contact: int, signals: list<string>, facts: list<string>,
     *     angle: string|null}
     */
    public function said(): array
    {
        return [
            'words' => $this->words(), 'channel' => $this->channel(), 'contact' => $this->integer('contact'),
            'signals' => array_values(array_map(strval(...), $this->array('signals'))),
            'facts' => array_values($this->array('facts')),
            'angle' => $this->string('angle')->toString() ?: null,
        ];
    }
}
