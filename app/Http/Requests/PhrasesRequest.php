<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Str;
use Illuminate\Validation\Validator;
use Luftig\Core\Mistake;
use Luftig\Core\Text\Query;

/** Phrases that are joined into one query: any of them, with a second word if one is given, and without another. */
final class PhrasesRequest extends FormRequest
{
    private const NAME = 60;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'phrases' => ['required', 'array', 'max:30'], 'phrases.*' => ['string', 'max:100'],
            'with' => ['nullable', 'string', 'max:100'], 'without' => ['nullable', 'string', 'max:100'],
            'into' => ['nullable', 'in:criterion,interest'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'phrases.required' => 'Tick at least one phrase.', 'phrases.array' => 'Tick at least one phrase.',
            'phrases.max' => 'Tick at most 30 phrases.', 'phrases.*' => 'A phrase has up to 100 characters.',
            'into.*' => 'Phrases become a criterion or a role of interest.',
        ];
    }

    /**
     * What cannot be searched for can be no rule either.
     *
     * @return list<callable(Validator): void>
     */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            try {
                Query::parse($this->searched());
            } catch (Mistake $mistake) {
                $validator->errors()->add('phrases', $mistake->getMessage());
            }
        }];
    }

    public function searched(): string
    {
        $query = implode(' OR ', array_map(self::quoted(...), $this->phrases()));
        [$with, $without] = [
            $this->string('with')->trim()->toString(), $this->string('without')->trim()->toString(),
        ];
        $query = $with === '' && $without === '' ? $query : "($query)";

        return $query.($with === '' ? '' : ' AND '.self::quoted($with))
            .($without === '' ? '' : ' NOT '.self::quoted($without));
    }

    /** What the rules call it: by the first of them. */
    public function name(): string
    {
        $phrases = $this->phrases();

        return Str::limit($phrases[0], self::NAME - 15).(count($phrases) === 1 ? '' : ' and '.(count($phrases) - 1)
            .' more');
    }

    /** @return non-empty-list<string> */
    private function phrases(): array
    {
        $phrases = array_values(array_filter((array) $this->input('phrases'), is_string(...)));

        return $phrases === [] ? [''] : $phrases;
    }

    private static function quoted(string $phrase): string
    {
        return '"'.str_replace('"', '', $phrase).'"';
    }
}
