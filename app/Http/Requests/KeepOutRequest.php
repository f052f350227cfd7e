<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Account;
use App\Models\Contact;
use App\Models\KeepOutType;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Luftig\Core\Company\Domain;
use Luftig\Core\Text\Query;
use Luftig\Core\Text\QueryMistake;

final class KeepOutRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'account' => ['nullable', 'integer', 'exists:accounts,id'],
            'contact' => ['nullable', 'integer', 'exists:contacts,id'],
            'query' => ['nullable', 'string', 'max:190'],
            'value' => ['required_without_all:account,contact,query', 'nullable', 'string', 'max:190'],
            'reason' => ['required', 'string', 'max:190'],
            'until' => ['bail', 'nullable', 'string', 'date', 'after:today'],
            'next' => ['bail', 'nullable', 'string', 'starts_with:/', 'not_regex:~^//~'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required' => 'Say why, so that others understand it.',
            'value.required_without_all' => 'Give a domain or an address, or a query.',
            'until.after' => 'The end lies ahead of us; leave it empty for good.',
        ];
    }

    /** @return array<string, mixed> */
    public function entry(): array
    {
        $rest = ['reason' => $this->string('reason')->trim()->toString(), 'until' => $this->input('until')];
        if ($this->filled('contact')) {
            $contact = Contact::query()->findOrFail($this->integer('contact'));

            return [
                'type' => KeepOutType::Contact, 'value' => $contact->name(), 'contact_id' => $contact->id,
                'account_id' => $contact->account_id,
            ]
                + $rest;
        }
        if ($this->filled('account')) {
            $account = Account::query()->findOrFail($this->integer('account'));

            return ['type' => KeepOutType::Account, 'value' => $account->name, 'account_id' => $account->id] + $rest;
        }
        if ($this->filled('query')) {
            $query = $this->string('query')->trim()->toString();
            try {
                Query::parse($query);
            } catch (QueryMistake $mistake) {
                throw ValidationException::withMessages(['query' => $mistake->inWords()]);
            }

            return ['type' => KeepOutType::Query, 'value' => $query] + $rest;
        }
        $value = $this->string('value')->trim()->lower()->toString();
        if (filter_var($value, FILTER_VALIDATE_EMAIL) !== false) {
            return ['type' => KeepOutType::Address, 'value' => $value] + $rest;
        }
        $domain = Domain::from($value);
        if ($domain === null || $domain->freeMail) {
            throw ValidationException::withMessages([
                'value' => $domain === null
                    ? "“{$value}” is neither a domain nor an e-mail address."
                    : "{$domain->name} is a domain where anybody can have an address; give the whole address.",
            ]);
        }

        return ['type' => KeepOutType::Domain, 'value' => $domain->name] + $rest;
    }

    public function nextPage(): string
    {
        return $this->filled('next') ? $this->string('next')->toString() : '/keep-out';
    }
}
