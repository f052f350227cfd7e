<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Account;
use Illuminate\Foundation\Http\FormRequest;
use Luftig\Core\Company\CompanyName;
use Luftig\Core\Company\Domain;

/** A position that somebody enters or corrects. */
final class PositionRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:190'], 'company' => ['nullable', 'string', 'max:190'],
            'since' => ['bail', 'nullable', 'string', 'date', 'before_or_equal:today'],
            'until' => ['bail', 'nullable', 'string', 'date', 'after_or_equal:since', 'before_or_equal:today'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Give the title of the position.',
            'until.after_or_equal' => 'The position ends before it begins.',
            'since.before_or_equal' => 'Nobody is in a position since a day to come.',
            'until.before_or_equal' => 'A position that ends in the future is not over; leave the end empty.',
        ];
    }

    /**
     * The company by its domain is an account; by its name it is only a name.
     *
     * @param  int  $own  the account the contact is at, meant where no company is given
     * @return array<string, mixed>
     */
    public function held(int $own): array
    {
        $company = trim($this->string('company')->toString());
        $domain = $company === '' || str_contains($company, ' ') ? null : Domain::from($company)?->name;
        $account = $company === ''
            ? $own
            : Account::query()->where('domain', $domain)->whereNotNull('domain')->value('id');

        return [
            'title' => trim($this->string('title')->toString()),
            'account_id' => $account,
            'company' => $account !== null ? null : $company,
            'company_key' => $account !== null ? null : CompanyName::of($company)->key(),
            'since' => $this->input('since'), 'until' => $this->input('until'), 'by_hand' => true,
        ];
    }
}
