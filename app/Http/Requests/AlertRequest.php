<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\AlertAbout;
use App\Models\KeptList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Luftig\Core\Signal\Kind;

/** Of what somebody wants to be told, and how. */
final class AlertRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $is = fn (AlertAbout $about): string => "required_if:about,{$about->value}";

        return [
            'about' => ['required', Rule::enum(AlertAbout::class)],
            'kinds' => ['nullable', 'array'],
            'kinds.*' => [Rule::enum(Kind::class)],
            'list_id' => [$is(AlertAbout::List), 'nullable', Rule::exists(KeptList::class, 'id')->withoutTrashed()],
            'account_id' => [$is(AlertAbout::Account), 'nullable', 'integer', 'exists:accounts,id'],
            'ways' => ['required', 'array', 'min:1'],
            'ways.*' => ['in:on_today,by_mail,in_feed'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'about.*' => 'Say of whom you want to be told.',
            'kinds.*' => 'One of these kinds is not known.',
            'list_id.*' => 'Choose the list.',
            'account_id.*' => 'That account is not there any more.',
            'ways.*' => 'Say how you want to be told: on Today, by mail or in your feed.',
        ];
    }

    /** @return array<string, mixed> */
    public function alert(): array
    {
        $about = AlertAbout::from($this->string('about')->toString());
        $kinds = array_values(array_intersect(
            array_column(Kind::cases(), 'value'),
            $this->array('kinds'),
        ));
        $ways = $this->array('ways');

        return [
            'about' => $about, 'kinds' => $kinds === [] ? null : $kinds,
            'list_id' => $about === AlertAbout::List ? $this->integer('list_id') : null,
            'account_id' => $about === AlertAbout::Account ? $this->integer('account_id') : null,
            'on_today' => in_array('on_today', $ways, true), 'by_mail' => in_array('by_mail', $ways, true),
            'in_feed' => in_array('in_feed', $ways, true),
        ];
    }
}
