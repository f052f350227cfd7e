<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Lists\Collect;
use Illuminate\Foundation\Http\FormRequest;
use Luftig\Core\Search\Subject;

/** Who goes onto a list, or off it. */
final class MemberRequest extends FormRequest
{
    private const MOST = 100_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'subject' => ['required', 'in:accounts,contacts'], 'onto' => ['nullable', 'integer'],
            'list_name' => ['nullable', 'required_without:onto', 'string', 'max:100'], 'only' => ['required'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'list_name.required_without' => 'Choose a list, or give a new one a name.',
            'only.required' => 'Choose at least one.',
        ];
    }

    public function subject(): Subject
    {
        return Subject::from($this->string('subject')->toString());
    }

    /** @return list<int> of records that there are, in the order in which they were sent */
    public function ids(Subject $subject): array
    {
        $sent = is_array($this->input('only')) ? $this->input('only') : explode(',', $this->string('only')->toString());
        $ids = array_slice(array_values(array_unique(array_map(
            fn (mixed $id): int => is_scalar($id) ? (int) $id : 0,
            $sent,
        ))), 0, self::MOST);

        return Collect::known($subject, $ids);
    }
}
