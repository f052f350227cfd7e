<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Account;
use App\Reasons\AngleSet;
use App\Support\Countries;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Luftig\Core\Company\Domain;
use Luftig\Core\Company\Industries;

/** The form of a story. */
final class StoryRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'], 'domain' => ['nullable', 'string', 'max:190'],
            'named' => ['nullable', 'boolean'],
            'told_from' => ['bail', 'nullable', 'string', 'date', 'before:+5 years'],
            'industry' => ['nullable', 'string', 'max:190'],
            'headcount' => ['nullable', 'integer', 'between:1,10000000'],
            'country' => ['nullable', 'string', 'max:60'], 'technologies' => ['nullable', 'string', 'max:1000'],
            'words' => ['required', 'array', 'max:12'], 'words.*' => ['array'],
            'words.*.language' => ['nullable', Rule::in(AngleSet::LANGUAGES), 'distinct'],
            'words.*.*' => ['nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the story a name.', 'words.*.language.distinct' => 'A language stands here twice.',
        ];
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $account = $this->account();
            if ($this->filled('domain') && $account === null) {
                $validator->errors()
                    ->add('domain', 'No account has this domain. Leave it empty, or bring it in first.');
            }
            if ($this->filled('industry') && $this->industries() === []) {
                $validator->errors()->add('industry', 'No industry is known by this name or code.');
            }
            if ($this->filled('country') && Countries::code($this->string('country')->toString()) === null) {
                $validator->errors()->add('country', 'No country is known by this name.');
            }
            foreach ((array) $this->input('words') as $i => $row) {
                $own = array_filter(
                    array_intersect_key((array) $row, self::blank()), fn ($text): bool => $text !== null,
                );
                if ($own !== [] && (count($own) < count(self::blank()) || ($row['language'] ?? '') === '')) {
                    $validator->errors()->add("words.$i", 'Each language needs the customer, problem, what was done, '
                        .'and the result.');
                }
                $name = $account === null || $this->boolean('named') ? null : $account->name;
                if ($name !== null && mb_stripos(implode("\n", $own), $name) !== false) {
                    $validator->errors()->add("words.$i", "The words name $name, which may not be named.");
                }
            }
            if ($this->words() === [] && $validator->errors()->isEmpty()) {
                $validator->errors()->add('words', 'Tell it in one language at least.');
            }
        }];
    }

    /** @return array<string, mixed> what is stored; of an account, what is not typed is taken from there */
    public function story(): array
    {
        $account = $this->account()?->load('industries', 'technologies', 'places');
        $technologies = preg_split('/\s*[,;\n]\s*/', $this->string('technologies')->trim()->toString(), -1,
            PREG_SPLIT_NO_EMPTY) ?: [];

        return [
            'name' => $this->string('name')->trim()->toString(), 'account_id' => $account?->id,
            'named' => $this->boolean('named'), 'told_from' => $this->input('told_from'),
            'industries' => $this->industries() ?: array_values(
                $account?->industries->pluck('code')->filter()->map(strval(...))->all() ?? [],
            ),
            'headcount' => $this->filled('headcount') ? $this->integer('headcount') : $account?->headcount,
            'country' => Countries::code($this->string('country')->toString())
                ?? $account?->headquarters()?->country,
            'technologies' => $technologies ?: array_values($account?->technologies->pluck('name')->all() ?? []),
            'words' => $this->words(),
        ];
    }

    private function account(): ?Account
    {
        $domain = Domain::from($this->string('domain')->trim()->toString());

        return $domain === null ? null : Account::query()->where('domain', $domain->name)->first();
    }

    /** @return list<string> */
    private function industries(): array
    {
        $typed = $this->string('industry')->trim()->toString();
        [$code] = $typed === '' ? [null] : Industries::read($typed);

        return match (true) {
            $typed !== '' && Industries::has($typed) => [strtoupper($typed)],
            $code !== null => [$code],
            default => [],
        };
    }

    /** @return array<string, array<string, string>> */
    private function words(): array
    {
        $words = [];
        foreach ((array) $this->input('words') as $row) {
            $own = array_map(
                fn ($text): string => trim((string) $text), array_intersect_key((array) $row, self::blank()),
            );
            if (array_filter($own) !== [] && ($row['language'] ?? '') !== '') {
                $words[$row['language']] = $own + self::blank();
            }
        }

        return $words;
    }

    /** @return array{customer: string, problem: string, done: string, result: string} */
    private static function blank(): array
    {
        return ['customer' => '', 'problem' => '', 'done' => '', 'result' => ''];
    }
}
