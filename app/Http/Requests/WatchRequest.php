<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Rhythm;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a watch is called, and when it runs. */
final class WatchRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        // Onto one that is there, only the search is exchanged.
        $needed = $this->filled('as') ? 'nullable' : 'required';

        return [
            'as' => ['nullable', 'integer'],
            'name' => [$needed, 'string', 'max:100'],
            'rhythm' => [$needed, Rule::enum(Rhythm::class)],
            'weekday' => ['nullable', 'integer', 'between:1,7'],
            'hour' => [$needed, 'integer', 'between:0,23'],
            'time_zone' => [$needed, 'timezone'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the watch a name.',
            'time_zone.timezone' => 'That time zone is not known.',
            'hour.between' => 'An hour is a number from 0 to 23.',
        ];
    }

    /** @return array{name: string, rhythm: Rhythm, weekday: int, hour: int, time_zone: string, mailed: bool} */
    public function says(): array
    {
        return [
            'name' => $this->string('name')->trim()->toString(),
            'rhythm' => Rhythm::from($this->string('rhythm')->toString()),
            'weekday' => $this->filled('weekday') ? $this->integer('weekday') : 1,
            'hour' => $this->integer('hour'), 'time_zone' => $this->string('time_zone')->toString(),
            'mailed' => $this->boolean('mailed'),
        ];
    }
}
