<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Feeds\Formats;
use App\Feeds\Site;
use App\Feeds\SitesToVisit;
use App\Feeds\Unreachable;
use App\Models\Feed;
use App\Support\Quantity;
use App\View\Feeds\Rhythms;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Luftig\Core\Mistake;

/** A feed: where it is, in which format, how often it is asked, how sure it is. */
final class FeedRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $feed = $this->route('feed');

        return [
            'name' => [
                'required', 'string', 'max:100',
                Rule::unique('feeds', 'name')->ignore($feed instanceof Feed ? $feed->id : null),
            ],
            ...$this->source(),
            'rhythm' => ['required', Rule::in(array_keys(Rhythms::all()))],
            'confidence' => $this->sure(),
        ];
    }

    /** @return array<string, list<mixed>> what a trial needs */
    public function source(): array
    {
        return [
            'format' => ['required', Rule::in(array_keys(Formats::labels()))],
            'address' => ['bail', 'required', 'string', 'max:500', $this->site(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give the feed a name.', 'name.unique' => 'There is a feed of this name, or was one.',
            'format.*' => 'Choose the format in which it speaks.', 'address.required' => 'Give its address.',
            'rhythm.*' => 'Choose how often it is asked.', 'confidence.required' => 'Say how sure it is, in per cent.',
        ];
    }

    /** @return array<string, mixed> */
    public function feed(): array
    {
        return [
            'name' => $this->string('name')->trim()->toString(), 'format' => $this->string('format')->toString(),
            'address' => $this->string('address')->trim()->toString(), 'rhythm' => $this->integer('rhythm'),
            'confidence' => self::share($this->string('confidence')->toString()),
        ];
    }

    private function site(string $field, mixed $value, Closure $fail): void
    {
        try {
            // Of pages that are visited one by one, the address of any of them.
            Site::of(str_replace(SitesToVisit::DOMAIN, 'example.com', (string) $value));
        } catch (Unreachable $e) {
            $fail($e->getMessage());
        }
    }

    /** @return list<mixed> the rules of how sure a source is */
    public function sure(): array
    {
        return ['bail', 'required', 'string', 'max:10', function (string $field, mixed $value, Closure $fail): void {
            try {
                $share = self::share((string) $value);
            } catch (Mistake) {
                $share = -1.0;
            }
            if ($share <= 0 || $share > 1) {
                $fail('How sure it is: a share above 0, at most 100 %.');
            }
        }];
    }

    public static function share(string $typed): float
    {
        return Quantity::Share->read($typed);
    }
}
