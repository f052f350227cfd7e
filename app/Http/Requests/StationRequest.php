<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Contacts\Titles;
use App\Models\Account;
use App\Models\Station;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Luftig\Core\Company\Domain;

final class StationRequest extends FormRequest
{
    public function authorize(): bool
    {
        $of = User::query()->find($this->integer('user'));

        return $of === null || (bool) $this->user()?->can('createFor', [Station::class, $of]);
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'user' => ['required', 'integer', 'exists:users,id'],
            'kind' => ['required', 'in:position,school,association,place'], 'name' => ['required', 'string', 'max:190'],
            'title' => ['nullable', 'string', 'max:190'],
            'since' => ['nullable', 'required_if:kind,position', 'date', 'before_or_equal:today'],
            'until' => ['bail', 'nullable', 'string', 'date', 'after_or_equal:since'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Name the company, school or association.',
            'since.required_if' => 'Say since when, so that it is known who was there at that time.',
            'until.after_or_equal' => 'It ends before it begins.',
            'since.before_or_equal' => 'The beginning lies ahead of us.',
        ];
    }

    /** @return array<string, mixed> */
    public function station(): array
    {
        $name = $this->string('name')->trim()->toString();
        $domain = $this->input('kind') === 'position' && str_contains($name, '.') ? Domain::from($name) : null;
        $account = $domain === null ? null : Account::query()->where('domain', $domain->name)->first();
        $title = $this->filled('title') ? $this->string('title')->trim()->toString() : null;

        return [
            'user_id' => $this->integer('user'), 'kind' => $this->input('kind'), 'name' => $account->name ?? $name,
            'account_id' => $account->merged_into ?? $account?->id, 'title' => $title,
            'reading' => (new Titles)->read($title, null, $account?->headcount), 'since' => $this->input('since'),
            'until' => $this->input('until'), 'brought_by' => $this->user()?->id,
        ];
    }
}
