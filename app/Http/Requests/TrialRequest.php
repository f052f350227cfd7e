<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Feed;
use Illuminate\Foundation\Http\FormRequest;

/** A feed that is tried before it is kept. */
final class TrialRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return (new FeedRequest)->source();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return (new FeedRequest)->messages();
    }

    public function feed(): Feed
    {
        return new Feed([
            'format' => $this->string('format')->toString(), 'address' => $this->string('address')->trim()->toString(),
            'confidence' => .9, 'rhythm' => 60,
        ]);
    }
}
