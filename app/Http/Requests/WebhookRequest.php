<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Feed;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A source that posts, and what its token is for. */
final class WebhookRequest extends FormRequest
{
    public const SCOPES = ['signals' => 'signals', 'facts' => 'facts of accounts'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $isToken = $this->route('feed') instanceof Feed;

        return [
            'name' => $isToken ? [] : ['bail', 'required', 'string', 'max:100', Rule::unique('feeds', 'name')],
            'confidence' => $isToken ? [] : (new FeedRequest)->sure(),
            'scopes' => ['required', 'array'], 'scopes.*' => [Rule::in(array_keys(self::SCOPES))],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['scopes.*' => 'Say what it may post.'] + (new FeedRequest)->messages();
    }

    /** @return array<string, mixed> */
    public function feed(): array
    {
        return [
            'name' => $this->string('name')->trim()->toString(), 'format' => Feed::WEBHOOK, 'address' => '',
            'confidence' => FeedRequest::share($this->string('confidence')->toString()), 'rhythm' => 0,
        ];
    }

    /** @return list<string> */
    public function scopes(): array
    {
        return array_values(array_intersect(array_keys(self::SCOPES), $this->array('scopes')));
    }
}
