<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Account;
use App\Models\Contact;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Collection;
use Illuminate\Validation\Rule;
use Luftig\Core\Buying\Part;

/** What somebody sets by hand of a person in a buying group. Who reports to whom is typed by name. */
final class GroupPlaceRequest extends FormRequest
{
    /** The part as the rules compute it. */
    private const COMPUTED = 'computed';

    public const OUT = 'out';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'part' => ['nullable', Rule::in([...array_column(Part::cases(), 'value'), self::COMPUTED, self::OUT])],
            'reports_to' => ['bail', 'nullable', 'string', 'max:210', $this->oneOfThem(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['part.in' => 'There is no such part.'];
    }

    public function reportsTo(): ?int
    {
        return $this->filled('reports_to') ? $this->named()->first()?->id : null;
    }

    private function oneOfThem(string $attribute, mixed $name, Closure $fail): void
    {
        $named = $this->named();
        match (true) {
            $named->isEmpty() => $fail("Nobody at this account is called “{$name}”."),
            $named->count() > 1 => $fail(
                "Several people at this account are called “{$name}”, so who is meant is not clear.",
            ),
            $named->sole()->getKey() === $this->contact()?->getKey() => $fail('Nobody reports to themselves.'),
            default => null,
        };
    }

    private function contact(): ?Contact
    {
        $contact = $this->route('contact');

        return $contact instanceof Contact ? $contact : null;
    }

    /** @return Collection<int, Contact> */
    private function named(): Collection
    {
        $account = $this->route('account');
        $name = mb_strtolower($this->string('reports_to')->trim()->toString());

        return $account instanceof Account
            ? $account->contacts()->get()->filter(
                fn (Contact $one): bool => mb_strtolower($one->name()) === $name,
            )->values()
            : collect();
    }
}
